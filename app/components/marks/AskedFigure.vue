<script setup lang="ts">
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useNamedFigures } from '~/stores/namedFigures'
import { showsMore } from '~~/core/base/units/format'
import { useWhy } from '~/stores/why'

/** A figure with its ± that tells where it comes from when it is asked. */
const { name, title, value } = defineProps<{
  /** Its place in the published result, such as `chains[0].slack.playMm`. */
  name: string
  title: string
  value: string
}>()
const why = useWhy()
const figures = useNamedFigures()
const { length, angle } = useFormat()
const spread = computed(() => {
  const size = figures.plusMinus(name)
  if (size === null) return ''
  const text = name.endsWith('Mm') ? length(size) : angle(size)
  // Below half the last digit shown there is nothing to say.
  return showsMore(text) ? `± ${text}` : ''
})
</script>

<template>
  <button type="button" :title="texts.why.title" @click="why.ask(name, title, value)">
    {{ value }} <span v-if="spread" class="soft">{{ spread }}</span>
  </button>
</template>

<style scoped>
button {
  text-align: inherit;
  cursor: pointer;
  text-decoration: underline dotted var(--line);
  text-underline-offset: 4px;
}
.soft {
  font-size: 0.875rem;
  font-weight: 500;
  white-space: nowrap;
}
</style>

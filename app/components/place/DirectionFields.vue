<script setup lang="ts">
import { directionOf, directionWords, WAY_NAMES, WAYS, type Way } from '~~/core/gaps/direction'
import type { Gap } from '~~/core/project/gap'
import { texts } from '~/texts/en'

/** Which way a gap was read: mostly one way, leaning another by some degrees. */
const { toward } = defineProps<{ toward: Gap['toward'] }>()
const emit = defineEmits<{ change: [toward: Gap['toward']] }>()
const words = texts.place.drawer
const NONE = 'none'
const now = computed(() => directionWords(toward))
const mains = WAY_NAMES.map((value) => ({ value, label: words.ways[value] }))
/** What runs along the same line leans nowhere. */
const leans = computed(() => [
  { value: NONE, label: words.straight },
  ...WAY_NAMES.filter((way) => WAYS[way].every((part, i) => part === 0 || WAYS[now.value.main][i] === 0)).map(
    (value) => ({ value, label: words.ways[value] }),
  ),
])
const LEAN_DEG = 15
function setMain(main: Way) {
  const { lean, leanDeg } = now.value
  const stays = lean !== null && WAYS[lean].every((part, i) => part === 0 || WAYS[main][i] === 0)
  emit('change', directionOf({ main, lean: stays ? lean : null, leanDeg }))
}
function setLean(lean: string) {
  const way = WAY_NAMES.find((one) => one === lean) ?? null
  emit('change', directionOf({ ...now.value, lean: way, leanDeg: now.value.leanDeg || LEAN_DEG }))
}
function setDegrees(leanDeg: number | undefined) {
  if (leanDeg !== undefined) emit('change', directionOf({ ...now.value, leanDeg }))
}
</script>

<template>
  <UFormField :label="words.toward">
    <USelect
      :model-value="now.main"
      :items="mains"
      class="w-full"
      :aria-label="words.toward"
      @update:model-value="setMain($event as Way)"
    />
  </UFormField>
  <div class="lean">
    <UFormField :label="words.lean">
      <USelect
        :model-value="now.lean ?? NONE"
        :items="leans"
        class="w-full"
        :aria-label="words.lean"
        @update:model-value="setLean(String($event))"
      />
    </UFormField>
    <FigureField
      v-if="now.lean"
      :label="words.leanBy"
      unit="°"
      :least="0"
      :most="45"
      required
      :value="now.leanDeg"
      @change="setDegrees"
    />
  </div>
</template>

<style scoped>
.lean {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>

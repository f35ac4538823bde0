<script setup lang="ts">
import type { PairRow } from '~~/core/show/text/bayText'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'

/** What stands close as it is drawn and has no gap of its own yet. */
defineProps<{ pairs: readonly PairRow[] }>()
const drawer = useDrawer()
const words = texts.bay.close
const SHOWN = 6
const sizeText = ({ size, isInside, view }: PairRow) =>
  isInside ? words.inside(size, words.views[view]) : words.apart(size, words.views[view])
</script>

<template>
  <section :aria-label="words.title">
    <h3>{{ words.title }}</h3>
    <p class="soft">{{ words.lead }}</p>
    <p v-if="pairs.length === 0">{{ words.none }}</p>
    <ul v-else data-testid="close-pairs">
      <li v-for="pair in pairs.slice(0, SHOWN)" :key="pair.key">
        <VerdictMark verdict="unknown" :size="14" silent />
        <div>
          <p class="pair">{{ words.pair(pair.a, pair.b) }}</p>
          <p class="figure">{{ sizeText(pair) }}</p>
          <p v-if="pair.isOneView" class="soft small">{{ words.oneView }}</p>
        </div>
        <UButton
          size="sm"
          variant="outline"
          :aria-label="`${words.watch}: ${words.pair(pair.a, pair.b)}`"
          @click="drawer.open('gaps', `between:${pair.bodies[0]}:${pair.bodies[1]}`)"
          >{{ words.watch }}</UButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3,
.pair {
  font-weight: 600;
}
.small {
  font-size: 0.9375rem;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
  padding: 7px 0;
  border-bottom: 1px dashed var(--hair);
}
li > :first-child {
  margin-top: 4px;
}
</style>

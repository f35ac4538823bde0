<script setup lang="ts">
import type { HolePlace } from '~~/core/model/cableBand'
import { useFormat } from '~/composables/useFormat'
import { cables as words } from '~/texts/cables'
import { useBulkheads } from '~/stores/bulkheads'
import { useCables } from '~/stores/cables'

/** Where a cable passes its bulkhead: the picture, what another place would take, the template. */
const cables = useCables()
const bulkheads = useBulkheads()
const { length } = useFormat()
const held = ref<HolePlace | null>(null)
const cable = computed(() => cables.found?.cable ?? null)
const told = computed(() => {
  if (!held.value) return ''
  const fit = bulkheads.fitThrough(held.value)
  if (fit.as === 'cannot') return words.over.cannot
  const over = fit.as === 'unknown' ? words.over.unknown : words.over[fit.as](length(fit.mm))
  return words.dragged(length(fit.takesMm), over)
})
</script>

<template>
  <section v-if="cable?.hole" aria-labelledby="cable-hole">
    <h2 id="cable-hole">{{ bulkheads.bulkhead?.name }}</h2>
    <BulkheadPicture
      :scene-of="bulkheads.sheetScene"
      :hole="cable.hole"
      :told="told"
      @hold="held = $event"
      @move="bulkheads.moveHole($event)"
    />
    <p class="figure" data-testid="hole-told">{{ bulkheads.holeTold }}</p>
    <UButton
      v-if="bulkheads.betterHole"
      variant="outline"
      size="sm"
      @click="bulkheads.moveHole(bulkheads.betterHole)"
      >{{ words.toBest }}</UButton
    >
    <template v-if="bulkheads.template">
      <h3>{{ words.template }}</h3>
      <TemplateDrawing :template="bulkheads.template" :label="words.template" />
      <TemplatePrint @save="bulkheads.save($event)" />
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
h3 {
  font-weight: 600;
}
button {
  justify-self: start;
}
</style>

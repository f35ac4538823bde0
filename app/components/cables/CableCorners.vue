<script setup lang="ts">
import type { Cable } from '~~/core/file/parts/cable'
import { cables as words } from '~/texts/cables'
import { useCables, type CornerSide } from '~/stores/cables'

/** The corners of a cable's way, and what is hot near it. */
const { cable } = defineProps<{ cable: Cable }>()
const cables = useCables()
const sides = computed((): readonly CornerSide[] => (cable.hole ? ['corners', 'cornersBehind'] : ['corners']))
const cornersOf = (side: CornerSide) =>
  (cable[side] ?? []).map(({ point, radiusMm }) => ({ point, mm: radiusMm }))
const hot = computed(() => (cable.hot ?? []).map(({ point, gapMm }) => ({ point, mm: gapMm })))
type Changed = { readonly point?: string; readonly mm?: number | undefined }
const changeCorner = (side: CornerSide, k: number, { mm, ...changed }: Changed, isSize: boolean) =>
  cables.changeCorner(side, k, isSize ? { radiusMm: mm } : changed)
const changeHot = (k: number, { point, mm }: Changed) => {
  if (point !== undefined) cables.changeHot(k, { point })
  if (mm !== undefined) cables.changeHot(k, { gapMm: mm })
}
</script>

<template>
  <section v-for="side in sides" :key="side" :aria-label="words.cornersOf[side]">
    <h2>{{ cable.hole ? words.cornersOf[side] : words.cornersOf.plain }}</h2>
    <PointRows
      :rows="cornersOf(side)"
      :point="words.cornerPoint"
      :length="words.cornerRadius"
      of="cables.corners.radiusMm"
      :remove="words.removeCorner"
      :test-id="`cable-${side}`"
      @change="(k, changed) => changeCorner(side, k, changed, 'mm' in changed)"
      @remove="cables.removeCorner(side, $event)"
    />
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="cables.addCorner(side)">{{
      words.addCorner
    }}</UButton>
  </section>
  <section aria-labelledby="cable-hot">
    <h2 id="cable-hot">{{ words.hot }}</h2>
    <p class="soft">{{ words.hotHelp }}</p>
    <PointRows
      :rows="hot"
      :point="words.hotPoint"
      :length="words.hotGap"
      of="cables.hot.gapMm"
      is-needed
      :remove="words.removeHot"
      test-id="cable-hot"
      @change="changeHot"
      @remove="cables.removeHot($event)"
    />
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="cables.addHot()">{{
      words.addHot
    }}</UButton>
  </section>
</template>

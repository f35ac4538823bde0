<script setup lang="ts">
import type { Cable } from '~~/core/file/parts/cable'
import { cables as words } from '~/texts/cables'
import { useCables, type CornerSide } from '~/stores/cables'
import { useWorkbench } from '~/stores/workbench'

/** The corners of a cable's way, and what is hot near it. */
const { cable } = defineProps<{ cable: Cable }>()
const cables = useCables()
const workbench = useWorkbench()
const sides = computed((): readonly CornerSide[] => (cable.hole ? ['corners', 'cornersBehind'] : ['corners']))
const points = computed(() =>
  (workbench.build?.points ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const nameOf = (id: string) => points.value.find(({ value }) => value === id)?.label ?? id
</script>

<template>
  <section v-for="side in sides" :key="side" :aria-label="words.cornersOf[side]">
    <h2>{{ cable.hole ? words.cornersOf[side] : words.cornersOf.plain }}</h2>
    <ol class="rows" :data-testid="`cable-${side}`">
      <li v-for="(corner, k) in cable[side] ?? []" :key="corner.point">
        <ChoiceField
          :label="words.cornerPoint"
          :value="corner.point"
          :items="points"
          @change="cables.changeCorner(side, k, { point: $event })"
        />
        <FigureField
          :label="words.cornerRadius"
          kind="length"
          of="cables.corners.radiusMm"
          :value="corner.radiusMm"
          @change="cables.changeCorner(side, k, { radiusMm: $event })"
        />
        <RemoveButton
          :label="words.removeCorner(nameOf(corner.point))"
          @click="cables.removeCorner(side, k)"
        />
      </li>
    </ol>
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="cables.addCorner(side)">{{
      words.addCorner
    }}</UButton>
  </section>
  <section aria-labelledby="cable-hot">
    <h2 id="cable-hot">{{ words.hot }}</h2>
    <p class="soft">{{ words.hotHelp }}</p>
    <ol class="rows" data-testid="cable-hot">
      <li v-for="(hot, k) in cable.hot ?? []" :key="k">
        <ChoiceField
          :label="words.hotPoint"
          :value="hot.point"
          :items="points"
          @change="cables.changeHot(k, { point: $event })"
        />
        <FigureField
          :label="words.hotGap"
          kind="length"
          of="cables.hot.gapMm"
          :value="hot.gapMm"
          required
          @change="cables.changeHot(k, { gapMm: $event })"
        />
        <RemoveButton :label="words.removeHot(nameOf(hot.point))" @click="cables.removeHot(k)" />
      </li>
    </ol>
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="cables.addHot()">{{
      words.addHot
    }}</UButton>
  </section>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 4px;
  margin-block: 6px 8px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px 36px;
  gap: 8px;
  align-items: end;
}
</style>

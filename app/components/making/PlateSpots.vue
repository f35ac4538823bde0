<script setup lang="ts">
import type { Plate, PlateHoleEntry } from '~~/core/file/kinds/plateKinds'
import { cards as words } from '~/texts/cards'
import { usePlates } from '~/stores/plates'

/** Holes and bosses by coordinates; a place counts once both of its figures are there. */
const { plate } = defineProps<{ plate: Plate }>()
const plates = usePlates()
const FACES = ['at', 'boss'] as const
const WAYS = ['xMm', 'yMm'] as const
type Spot = { xMm?: number; yMm?: number }
/** Figures whose other one is not there yet. */
const begun = reactive(new Map<string, Spot>())
const keyOf = (hole: string, face: 'at' | 'boss') => `${plate.id}/${hole}/${face}`
const spotOf = (hole: PlateHoleEntry, face: 'at' | 'boss'): Spot =>
  begun.get(keyOf(hole.id, face)) ?? hole[face] ?? {}
function set(hole: PlateHoleEntry, face: 'at' | 'boss', way: 'xMm' | 'yMm', mm: number | undefined) {
  const { xMm, yMm }: Spot = { ...spotOf(hole, face), [way]: mm }
  const isWhole = xMm !== undefined && yMm !== undefined
  if (isWhole) begun.delete(keyOf(hole.id, face))
  else begun.set(keyOf(hole.id, face), { xMm, yMm })
  if (isWhole) plates.changeHole(hole.id, { [face]: { xMm, yMm } })
  else if (hole[face]) plates.changeHole(hole.id, { [face]: undefined })
}
</script>

<template>
  <FoldedPart
    :title="words.spots"
    :is-open="plate.holes.some(({ at, boss }) => at !== undefined || boss !== undefined)"
  >
    <p class="soft">{{ words.spotLead }}</p>
    <PlateCircle :holes="plate.holes.length" />
    <template v-for="hole in plate.holes" :key="hole.id">
      <fieldset v-for="face in FACES" :key="face" class="spot">
        <legend>{{ words.spotOf(hole.id, face) }}</legend>
        <FigureField
          v-for="way in WAYS"
          :key="way"
          :label="words.spot[way]"
          kind="length"
          :of="`plates.holes.${face}.${way}`"
          :value="spotOf(hole, face)[way]"
          @change="set(hole, face, way, $event)"
        />
      </fieldset>
    </template>
  </FoldedPart>
</template>

<style scoped>
.spot {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 10px;
  padding-bottom: 6px;
}
legend {
  font-weight: 600;
}
</style>

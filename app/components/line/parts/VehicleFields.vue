<script setup lang="ts">
import { axlesOf, chassisOf, powertrainOf } from '~~/core/file/parts/bodies'
import type { AxleBody, ChassisSizes, PowertrainSizes } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import type { Draft } from 'immer'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** The axle, and sizes that only the picture needs. */
const { build } = defineProps<{ build: Build }>()
const workbench = useWorkbench()
const words = texts.parts.fields
const springs = Object.entries(words.springs).map(([value, label]) => ({ value, label }))
const suspensions = Object.entries(words.suspensions).map(([value, label]) => ({ value, label }))
const POWERTRAIN: readonly (keyof PowertrainSizes)[] = [
  'lengthMm',
  'gearboxLengthMm',
  'aboveAxisMm',
  'belowAxisMm',
  'widthMm',
]
const AXLE = ['housingDiameterMm', 'tyreDiameterMm', 'trackMm'] as const
const CHASSIS: readonly (keyof ChassisSizes)[] = [
  'railDepthMm',
  'railSpacingMm',
  'railFrontSpacingMm',
  'railTaperStationMm',
  'railFrontStationMm',
  'railRearStationMm',
  'groundBelowMm',
]
function changeAxle(axleId: string, recipe: (draft: Draft<AxleBody>) => void) {
  workbench.change('Change the axle', (draft) => {
    const there = draft.bodies.find(({ id }) => id === axleId)
    if (there?.kind === 'axle') recipe(there)
  })
}
function changeSize(kind: 'powertrain' | 'chassis', key: string, size: number | undefined) {
  workbench.change('Set a size', (draft) => {
    const body = draft.bodies.find((one) => one.kind === kind)
    if (body?.kind === 'powertrain' || body?.kind === 'chassis') body.sizes = { ...body.sizes, [key]: size }
  })
}
</script>

<template>
  <PartsCard v-for="axle in axlesOf(build)" :key="axle.id" :title="axle.name">
    <ChoiceField
      :label="words.suspension"
      :value="axle.suspension"
      :items="suspensions"
      @change="changeAxle(axle.id, (draft) => void (draft.suspension = $event))"
    />
    <ChoiceField
      v-if="axle.suspension === 'leaf'"
      :label="words.spring"
      :value="axle.spring ?? 'above'"
      :items="springs"
      @change="changeAxle(axle.id, (draft) => void (draft.spring = $event))"
    />
  </PartsCard>
  <PartsCard :title="texts.parts.picture" :note="words.pictureNote">
    <FigureField
      v-for="key in POWERTRAIN"
      :key="key"
      :label="words.sizes[key]"
      kind="length"
      :of="`bodies.powertrain.sizes.${key}`"
      :value="powertrainOf(build)?.sizes?.[key]"
      @change="changeSize('powertrain', key, $event)"
    />
    <template v-for="axle in axlesOf(build)" :key="axle.id">
      <FigureField
        v-for="key in AXLE"
        :key="key"
        :label="words.sizes[key]"
        kind="length"
        :of="`bodies.axle.sizes.${key}`"
        :value="axle.sizes?.[key]"
        @change="changeAxle(axle.id, (draft) => void (draft.sizes = { ...draft.sizes, [key]: $event }))"
      />
    </template>
    <FigureField
      v-for="key in CHASSIS"
      :key="key"
      :label="words.sizes[key]"
      kind="length"
      :of="`bodies.chassis.sizes.${key}`"
      :value="chassisOf(build)?.sizes?.[key]"
      @change="changeSize('chassis', key, $event)"
    />
  </PartsCard>
</template>

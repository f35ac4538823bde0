<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import type { Line, SpeedSource } from '~~/core/file/parts/lineSpec'
import { lineSpeed } from '~~/core/vehicle/strength/shaftSpeed'
import { grouped } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** Where the highest shaft speed comes from; kept once all its figures are there. */
const { build, line } = defineProps<{ build: Build; line: Line }>()
const workbench = useWorkbench()
const words = texts.parts.fields
type Figures = Partial<
  Record<
    'rpm' | 'redlineRpm' | 'topGearRatio' | 'transferRatio' | 'speedKmh' | 'tyreDiameterMm' | 'axleRatio',
    number
  >
>
const basis = ref<SpeedSource['basis']>(line.speed?.basis ?? 'engine')
const figures = ref<Figures>({ ...(line.speed as Figures | undefined) })
watch(
  () => line.speed,
  (speed) => {
    if (!speed) return
    basis.value = speed.basis
    figures.value = { ...(speed as Figures) }
  },
)
const bases = Object.entries(words.bases).map(([value, label]) => ({ value, label }))
const speed = computed(() => lineSpeed(build, line))

function take(key: keyof Figures, value: number | undefined) {
  figures.value = { ...figures.value, [key]: value }
  keep()
}
function choose(next: SpeedSource['basis']) {
  basis.value = next
  keep()
}
function keep() {
  const source = complete(basis.value, figures.value)
  if (source)
    workbench.change('Set the shaft speed', (draft) => {
      const there = draft.lines.find(({ id }) => id === line.id)
      if (there) there.speed = source
    })
}
function complete(of: SpeedSource['basis'], given: Figures): SpeedSource | null {
  const { rpm, redlineRpm, topGearRatio, transferRatio, speedKmh, tyreDiameterMm, axleRatio } = given
  if (of === 'drivetrain') return { basis: of }
  if (of === 'stated') return rpm ? { basis: of, rpm } : null
  if (of === 'engine') {
    if (!redlineRpm || !topGearRatio) return null
    return { basis: of, redlineRpm, topGearRatio, ...(transferRatio ? { transferRatio } : {}) }
  }
  return speedKmh && tyreDiameterMm && axleRatio ? { basis: of, speedKmh, tyreDiameterMm, axleRatio } : null
}
</script>

<template>
  <PartsCard
    :data-field="`lines[${build.lines.findIndex(({ id }) => id === line.id)}].speed`"
    :title="texts.parts.speed"
    :note="
      speed.known
        ? `${grouped(speed.value.speedRpm)} rev/min: ${speed.value.basis}`
        : basis === 'drivetrain'
          ? speed.missing.map(({ what }) => what).join('; ')
          : words.speedMissing
    "
  >
    <ChoiceField :label="words.basis" :value="basis" :items="bases" @change="choose($event)" />
    <template v-if="basis === 'engine'">
      <FigureField
        :label="words.redline"
        unit="rev/min"
        of="lines.speed.engine.redlineRpm"
        :value="figures.redlineRpm"
        @change="take('redlineRpm', $event)"
      />
      <FigureField
        :label="words.topGear"
        of="lines.speed.engine.topGearRatio"
        :value="figures.topGearRatio"
        :help="words.topGearHelp"
        @change="take('topGearRatio', $event)"
      />
      <FigureField
        :label="words.transfer"
        of="lines.speed.engine.transferRatio"
        :value="figures.transferRatio"
        @change="take('transferRatio', $event)"
      />
    </template>
    <template v-else-if="basis === 'road'">
      <FigureField
        :label="words.road"
        unit="km/h"
        of="lines.speed.road.speedKmh"
        :value="figures.speedKmh"
        @change="take('speedKmh', $event)"
      />
      <FigureField
        :label="words.tyre"
        kind="length"
        of="lines.speed.road.tyreDiameterMm"
        :value="figures.tyreDiameterMm"
        @change="take('tyreDiameterMm', $event)"
      />
      <FigureField
        :label="words.axleRatio"
        of="lines.speed.road.axleRatio"
        :value="figures.axleRatio"
        @change="take('axleRatio', $event)"
      />
    </template>
    <FigureField
      v-else-if="basis === 'stated'"
      :label="words.stated"
      unit="rev/min"
      of="lines.speed.stated.rpm"
      :value="figures.rpm"
      @change="take('rpm', $event)"
    />
  </PartsCard>
</template>

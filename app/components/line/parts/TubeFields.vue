<script setup lang="ts">
import type { Line, Tube } from '~~/core/file/parts/lineSpec'
import { METALS } from '~~/core/vehicle/strength/metal'
import { texts } from '~/texts/en'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** Tube, heavy ends, spline teeth and phase of a shaft. */
const { line, index } = defineProps<{ line: Line; index: number }>()
const parts = useParts()
const words = partsOfLine.sheet
const fields = texts.parts.fields
const shaft = computed(() => line.shafts[index] ?? {})
/** Diameter and wall are kept once both are there. */
const tube = ref<Partial<Tube>>({})
watch(
  () => [shaft.value.tube, index] as const,
  ([there]) => (tube.value = { ...there }),
  { immediate: true },
)
const materials = Object.entries(fields.materials).map(([value, label]) => ({ value, label }))
const ends = computed(() => shaft.value.endMasses)

function takeTube(part: { readonly [K in keyof Tube]?: Tube[K] | undefined }) {
  const next = { ...tube.value, ...part } as Partial<Tube>
  tube.value = next
  const { outerMm, wallMm, material = 'steel', yieldMPa } = next
  if (outerMm && wallMm && wallMm * 2 <= outerMm)
    parts.changeShaft(line.id, index, {
      tube: { outerMm, wallMm, material, ...(yieldMPa !== undefined && { yieldMPa }) },
    })
  else if (!outerMm && !wallMm) parts.changeShaft(line.id, index, { tube: undefined })
}
function takeEnds(kg: number | undefined, inboardMm: number | undefined) {
  parts.changeShaft(line.id, index, {
    endMasses: kg === undefined ? undefined : { kg, inboardMm: inboardMm ?? 0 },
  })
}
</script>

<template>
  <FigureField
    :data-field="`shaft/${index} tube`"
    :label="fields.outer"
    kind="length"
    of="lines.shafts.tube.outerMm"
    :value="tube.outerMm"
    @change="takeTube({ outerMm: $event })"
  />
  <FigureField
    :label="fields.wall"
    kind="length"
    :most="(tube.outerMm ?? 1000) / 2"
    of="lines.shafts.tube.wallMm"
    :value="tube.wallMm"
    @change="takeTube({ wallMm: $event })"
  />
  <ChoiceField
    :label="fields.material"
    :value="tube.material ?? 'steel'"
    :items="materials"
    @change="takeTube({ material: $event })"
  />
  <FigureField
    :label="words.yield"
    unit="MPa"
    of="lines.shafts.tube.yieldMPa"
    :value="tube.yieldMPa"
    :help="words.yieldHint(METALS[tube.material ?? 'steel'].yieldMPa)"
    @change="takeTube({ yieldMPa: $event })"
  />
  <FigureField
    :label="words.phase"
    unit="°"
    :help="words.phaseHint"
    of="lines.shafts.phaseDeg"
    :value="shaft.phaseDeg ?? 0"
    @change="parts.changeShaft(line.id, index, { phaseDeg: $event ?? 0 })"
  />
  <FigureField
    :label="words.teeth"
    of="lines.shafts.splineTeeth"
    :value="shaft.splineTeeth"
    @change="
      parts.changeShaft(line.id, index, {
        splineTeeth: $event === undefined ? undefined : Math.round($event),
      })
    "
  />
  <FigureField
    :label="words.ends"
    unit="kg"
    of="lines.shafts.endMasses.kg"
    :value="ends?.kg"
    @change="takeEnds($event, ends?.inboardMm)"
  />
  <FigureField
    v-if="ends"
    :label="words.inboard"
    kind="length"
    of="lines.shafts.endMasses.inboardMm"
    :value="ends.inboardMm"
    @change="takeEnds(ends.kg, $event)"
  />
</template>

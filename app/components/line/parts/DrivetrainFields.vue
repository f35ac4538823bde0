<script setup lang="ts">
import type { Draft } from 'immer'
import { axlesOf } from '~~/core/file/parts/bodies'
import type { Build } from '~~/core/file/build/build'
import type { Drivetrain } from '~~/core/file/parts/drivetrain'
import { lineTorque } from '~~/core/vehicle/strength/lineTorque'
import { grouped } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** Engine, gears, ranges and final drives; from them each line gets its speed and torque. */
const { build } = defineProps<{ build: Build }>()
const workbench = useWorkbench()
const words = texts.parts.drivetrain
const LISTS = [
  { key: 'gears', word: words.gear, add: words.addGear },
  { key: 'ranges', word: words.range, add: words.addRange },
] as const

const torques = computed(() =>
  build.lines.flatMap((line) => {
    const torque = lineTorque(build, line)
    return torque.known
      ? [words.lineTorque(line.name, grouped(torque.value.grossNm), torque.value.basis)]
      : []
  }),
)
const finalDrive = (axle: string) => build.drivetrain.axleRatios?.find((one) => one.axle === axle)?.ratio

function change(recipe: (draft: Draft<Drivetrain>) => void) {
  workbench.change('Change the drivetrain', (draft) => recipe(draft.drivetrain))
}
function setFigure(key: 'redlineRpm' | 'peakTorqueNm' | 'converterRatio', value: number | undefined) {
  change((draft) => {
    if (value === undefined) Reflect.deleteProperty(draft, key)
    else draft[key] = value
  })
}
function setRatio(key: 'gears' | 'ranges', index: number, ratio: number | undefined) {
  change((draft) => {
    const gear = draft[key]?.[index]
    if (gear && ratio !== undefined && Math.abs(ratio) >= 0.05) gear.ratio = ratio
  })
}
function addGear(key: 'gears' | 'ranges') {
  change((draft) => void (draft[key] ??= []).push({ name: String((draft[key]?.length ?? 0) + 1), ratio: 1 }))
}
function setFinalDrive(axle: string, ratio: number | undefined) {
  change((draft) => {
    const others = (draft.axleRatios ?? []).filter((one) => one.axle !== axle)
    draft.axleRatios = ratio === undefined ? others : [...others, { axle, ratio }]
  })
}
</script>

<template>
  <PartsCard :title="words.title" :note="words.note">
    <FigureField
      data-field="drivetrain.redlineRpm"
      :label="texts.parts.fields.redline"
      unit="rev/min"
      of="drivetrain.redlineRpm"
      :value="build.drivetrain.redlineRpm"
      @change="setFigure('redlineRpm', $event)"
    />
    <FigureField
      data-field="drivetrain.peakTorqueNm"
      :label="words.torque"
      unit="Nm"
      of="drivetrain.peakTorqueNm"
      :value="build.drivetrain.peakTorqueNm"
      @change="setFigure('peakTorqueNm', $event)"
    />
    <FigureField
      data-field="drivetrain.converterRatio"
      :label="words.converter"
      of="drivetrain.converterRatio"
      :value="build.drivetrain.converterRatio"
      @change="setFigure('converterRatio', $event)"
    />
    <FigureField
      v-for="(axle, at) in axlesOf(build)"
      :key="axle.id"
      :data-field="at === 0 ? 'drivetrain.axleRatios' : undefined"
      :label="words.final(axle.name)"
      of="drivetrain.axleRatios.ratio"
      :value="finalDrive(axle.id)"
      @change="setFinalDrive(axle.id, $event)"
    />
    <template v-for="{ key, word, add } in LISTS" :key="key">
      <div v-for="(gear, i) in build.drivetrain[key] ?? []" :key="i" class="gear">
        <FigureField
          :label="word(gear.name)"
          :of="`drivetrain.${key}.ratio`"
          :value="gear.ratio"
          required
          @change="setRatio(key, i, $event)"
        />
        <UButton
          icon="i-lucide-x"
          variant="ghost"
          :aria-label="words.remove(word(gear.name))"
          @click="change((draft) => void draft[key]?.splice(i, 1))"
        />
      </div>
      <UButton
        icon="i-lucide-plus"
        variant="outline"
        class="add"
        :data-field="`drivetrain.${key}`"
        @click="addGear(key)"
        >{{ add }}</UButton
      >
    </template>
    <p v-for="torque in torques" :key="torque" class="soft torque">{{ torque }}</p>
  </PartsCard>
</template>

<style scoped>
.gear {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px;
  align-items: end;
}
.add {
  align-self: end;
  justify-self: start;
}
.torque {
  grid-column: 1 / -1;
  line-height: 1.3;
}
</style>

<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import type { Grip } from '~~/core/file/parts/drivetrain'
import { texts } from '~/texts/en'
import { strength } from '~/texts/strength'
import { useStock } from '~/stores/stock'

/** Which axles are driven, what the tyres hold, what shakes the torque up. */
const { build } = defineProps<{ build: Build }>()
const stock = useStock()
const words = strength.train
const { auto, ...told } = words.drives
const drives = Object.entries(told).map(([value, label]) => ({ value, label }))
const train = computed(() => build.drivetrain)
function setGrip(key: keyof Grip, value: number | undefined) {
  const grip: Record<string, number | undefined> = { ...train.value.grip, [key]: value }
  if (value === undefined) Reflect.deleteProperty(grip, key)
  stock.changeTrain({ grip: grip as Grip })
}
</script>

<template>
  <PartsCard :title="texts.parts.grip">
    <ChoiceField
      :label="words.drive"
      :value="train.drive"
      :items="drives"
      :unsaid="auto"
      @change="stock.changeTrain({ drive: $event })"
    />
    <FigureField
      v-if="train.drive === 'open'"
      :label="words.frontShare"
      of="drivetrain.frontShare"
      :value="train.frontShare"
      @change="stock.changeTrain({ frontShare: $event })"
    />
    <FigureField
      data-field="drivetrain.tyreRadiusMm"
      :label="words.radius"
      kind="length"
      of="drivetrain.tyreRadiusMm"
      :value="train.tyreRadiusMm"
      @change="stock.changeTrain({ tyreRadiusMm: $event })"
    />
    <FigureField
      data-field="drivetrain.grip.mu"
      :label="words.mu"
      :help="words.muHelp"
      of="drivetrain.grip.mu"
      :value="train.grip?.mu"
      @change="setGrip('mu', $event)"
    />
    <FigureField
      data-field="drivetrain.grip.frontKg"
      :label="words.frontKg"
      unit="kg"
      :help="words.loadHelp"
      of="drivetrain.grip.frontKg"
      :value="train.grip?.frontKg"
      @change="setGrip('frontKg', $event)"
    />
    <FigureField
      data-field="drivetrain.grip.rearKg"
      :label="words.rearKg"
      unit="kg"
      :help="words.loadHelp"
      of="drivetrain.grip.rearKg"
      :value="train.grip?.rearKg"
      @change="setGrip('rearKg', $event)"
    />
    <FigureField
      data-field="drivetrain.shock"
      :label="words.shock"
      :help="words.shockHelp"
      of="drivetrain.shock"
      :value="train.shock"
      @change="stock.changeTrain({ shock: $event })"
    />
    <FigureField
      data-field="drivetrain.efficiency"
      :label="words.efficiency"
      :help="words.efficiencyHelp"
      of="drivetrain.efficiency"
      :value="train.efficiency"
      @change="stock.changeTrain({ efficiency: $event })"
    />
    <FigureField
      data-field="drivetrain.topSpeedKmh"
      :label="words.topSpeed"
      unit="km/h"
      of="drivetrain.topSpeedKmh"
      :value="train.topSpeedKmh"
      @change="stock.changeTrain({ topSpeedKmh: $event })"
    />
  </PartsCard>
</template>

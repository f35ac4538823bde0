<script setup lang="ts">
import type { Build } from '~~/core/project/build'
import type { DriveKind, Grip } from '~~/core/project/drivetrain'
import { texts } from '~/texts/en'
import { strength } from '~/texts/strength'
import { useStock } from '~/stores/stock'

/** Which axles are driven, what the tyres hold, what shakes the torque up. */
const { build } = defineProps<{ build: Build }>()
const stock = useStock()
const words = strength.train
const AUTO = 'auto'
const drives = Object.entries(words.drives).map(([value, label]) => ({ value, label }))
const train = computed(() => build.drivetrain)
function setGrip(key: keyof Grip, value: number | undefined) {
  const grip: Record<string, number | undefined> = { ...train.value.grip, [key]: value }
  if (value === undefined) Reflect.deleteProperty(grip, key)
  stock.changeTrain({ grip: grip as Grip })
}
</script>

<template>
  <PartsCard :title="texts.parts.grip">
    <UFormField :label="words.drive">
      <USelect
        :model-value="train.drive ?? AUTO"
        :items="drives"
        class="w-full"
        @update:model-value="
          stock.changeTrain({ drive: $event === AUTO ? undefined : ($event as DriveKind) })
        "
      />
    </UFormField>
    <FigureField
      v-if="train.drive === 'open'"
      :label="words.frontShare"
      :least="0.01"
      :most="0.99"
      :value="train.frontShare"
      @change="stock.changeTrain({ frontShare: $event })"
    />
    <FigureField
      data-field="drivetrain.tyreRadiusMm"
      :label="words.radius"
      kind="length"
      :least="50"
      :most="2500"
      :value="train.tyreRadiusMm"
      @change="stock.changeTrain({ tyreRadiusMm: $event })"
    />
    <FigureField
      data-field="drivetrain.grip.mu"
      :label="words.mu"
      :least="0.01"
      :most="5"
      :help="words.muHelp"
      :value="train.grip?.mu"
      @change="setGrip('mu', $event)"
    />
    <FigureField
      data-field="drivetrain.grip.frontKg"
      :label="words.frontKg"
      unit="kg"
      :help="words.loadHelp"
      :value="train.grip?.frontKg"
      @change="setGrip('frontKg', $event)"
    />
    <FigureField
      data-field="drivetrain.grip.rearKg"
      :label="words.rearKg"
      unit="kg"
      :help="words.loadHelp"
      :value="train.grip?.rearKg"
      @change="setGrip('rearKg', $event)"
    />
    <FigureField
      data-field="drivetrain.shock"
      :label="words.shock"
      :least="0.1"
      :most="10"
      :help="words.shockHelp"
      :value="train.shock"
      @change="stock.changeTrain({ shock: $event })"
    />
    <FigureField
      data-field="drivetrain.efficiency"
      :label="words.efficiency"
      :least="0.1"
      :most="1"
      :help="words.efficiencyHelp"
      :value="train.efficiency"
      @change="stock.changeTrain({ efficiency: $event })"
    />
    <FigureField
      data-field="drivetrain.topSpeedKmh"
      :label="words.topSpeed"
      unit="km/h"
      :least="1"
      :most="1000"
      :value="train.topSpeedKmh"
      @change="stock.changeTrain({ topSpeedKmh: $event })"
    />
  </PartsCard>
</template>

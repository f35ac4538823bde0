<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { Build } from '~~/core/file/build/build'
import { gearRows } from '~~/core/vehicle/strength/gearRows'
import type { GearRow } from '~~/core/vehicle/strength/gearing'
import { fixed, grouped } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'

/** Speeds of every gear and range at the redline. */
const { build } = defineProps<{ build: Build }>()
const words = strength.gears
const rows = computed(() => gearRows(build))
const fastest = computed(() =>
  rows.value.known ? Math.max(...rows.value.value.map(({ shaftRpm }) => shaftRpm)) : 0,
)
const remarkOf = ({ shaftRpm }: GearRow) =>
  shaftRpm < fastest.value
    ? ''
    : shaftRpm > (build.drivetrain.redlineRpm ?? Infinity)
      ? words.overdrive
      : words.fastest
const columns = computed((): FactColumn<GearRow>[] => [
  ...(rows.value.known && rows.value.value.some(({ range }) => range !== null)
    ? [{ key: 'range', label: words.range, text: ({ range }: GearRow) => range }]
    : []),
  { key: 'gear', label: words.gear, text: ({ gear }) => gear, is: 'head' },
  { key: 'total', label: words.total, text: ({ total }) => fixed(total, 2), is: 'number' },
  { key: 'shaft', label: words.shaft, is: 'number' },
  { key: 'speed', label: words.speed, text: ({ speedKmh }) => `${fixed(speedKmh, 1)} km/h`, is: 'number' },
  { key: 'at100', label: words.at100, text: ({ rpmAt100 }) => `${grouped(rpmAt100)} rev/min`, is: 'number' },
])
</script>

<template>
  <section :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p v-if="!rows.known" class="soft">{{ strength.waitsFor }} <MissingWords :missing="rows.missing" /></p>
    <LazyGearSaw v-if="rows.known" :build="build" />
    <FactTable
      v-if="rows.known"
      :label="words.title"
      :columns="columns"
      :rows="rows.value"
      :key-of="(row) => `${row.range} ${row.gear}`"
      test-id="gears"
    >
      <template #shaft="{ row }">
        {{ grouped(row.shaftRpm) }} rev/min <span class="soft">{{ remarkOf(row) }}</span>
      </template>
    </FactTable>
  </section>
</template>

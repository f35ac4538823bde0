<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { gearRows } from '~~/core/vehicle/strength/gearRows'
import { fixed, grouped } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'

/** Speeds of every gear and range at the redline. */
const { build } = defineProps<{ build: Build }>()
const words = strength.gears
const rows = computed(() => gearRows(build))
const fastest = computed(() =>
  rows.value.known ? Math.max(...rows.value.value.map(({ shaftRpm }) => shaftRpm)) : 0,
)
const hasRanges = computed(() => rows.value.known && rows.value.value.some(({ range }) => range !== null))
</script>

<template>
  <section :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p v-if="!rows.known" class="soft">{{ strength.waitsFor }} <MissingWords :missing="rows.missing" /></p>
    <LazyGearSaw v-if="rows.known" :build="build" />
    <div v-if="rows.known" class="wide" tabindex="0" role="group" :aria-label="words.title">
      <table data-testid="gears">
        <thead>
          <tr>
            <th v-if="hasRanges" scope="col">{{ words.range }}</th>
            <th scope="col">{{ words.gear }}</th>
            <th scope="col" class="number">{{ words.total }}</th>
            <th scope="col" class="number">{{ words.shaft }}</th>
            <th scope="col" class="number">{{ words.speed }}</th>
            <th scope="col" class="number">{{ words.at100 }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows.value" :key="`${row.range} ${row.gear}`">
            <td v-if="hasRanges">{{ row.range }}</td>
            <th scope="row">{{ row.gear }}</th>
            <td class="number">{{ fixed(row.total, 2) }}</td>
            <td class="number">
              {{ grouped(row.shaftRpm) }} rev/min
              <span v-if="row.shaftRpm === fastest" class="soft">{{
                row.shaftRpm > (build.drivetrain.redlineRpm ?? Infinity) ? words.overdrive : words.fastest
              }}</span>
            </td>
            <td class="number">{{ fixed(row.speedKmh, 1) }} km/h</td>
            <td class="number">{{ grouped(row.rpmAt100) }} rev/min</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

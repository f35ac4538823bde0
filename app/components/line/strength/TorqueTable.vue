<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { torqueScene } from '~~/core/drawing/torqueScene'
import { torqueRows, type GearTorque } from '~~/core/vehicle/strength/gearRows'
import { grouped } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'

/** Torque of every shaft, gear by gear, as far as the tyres let it through. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const words = strength.torque
const COLUMNS: readonly FactColumn<GearTorque>[] = [
  { key: 'gear', text: ({ range, gear }) => (range ? `${range}, ${gear}` : gear), is: 'head' },
  { key: 'torque', text: ({ limitedNm }) => `${grouped(limitedNm)} N·m`, is: 'number' },
  { key: 'reaches', text: ({ limitedNm, engineNm }) => (limitedNm < engineNm ? words.reaches : '') },
]
const shafts = computed(() =>
  evaluation.lines.map((one) => ({
    line: one.line,
    torque: one.torque,
    rows: torqueRows(build, one.line),
    scene: torqueScene(build, evaluation, one),
  })),
)
</script>

<template>
  <section :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p class="soft">{{ words.lead }}</p>
    <div v-for="{ line, torque, rows, scene } in shafts" :key="line.id" class="shaft" :data-torque="line.id">
      <h3>{{ line.name }}</h3>
      <p v-if="!torque.known" class="soft">
        {{ strength.waitsFor }} <MissingWords :missing="torque.missing" />
      </p>
      <template v-else>
        <p class="most">
          {{ words.most }} <strong>{{ grouped(torque.value.limitedNm) }} N·m</strong>
          {{ words.by[torque.value.limitedBy] }} · {{ words.design }}
          <strong>{{ grouped(torque.value.designNm) }} N·m</strong>
          <span v-if="torque.value.gripNm !== null" class="soft">
            · {{ words.held(grouped(torque.value.gripNm)) }}</span
          >
        </p>
        <p v-if="torque.assumptions.length" class="soft">{{ torque.assumptions.join('; ') }}</p>
        <TorqueAlong v-if="scene.known" :scene="scene.value" :name="line.name" />
        <FactTable
          v-if="rows.known"
          :label="line.name"
          :columns="COLUMNS"
          :rows="rows.value"
          :key-of="(row) => `${row.range} ${row.gear}`"
        />
      </template>
    </div>
  </section>
</template>

<style scoped>
.shaft {
  margin-top: 10px;
}
.shaft :deep(table) {
  width: auto;
}
.most {
  font-variant-numeric: tabular-nums;
}
</style>

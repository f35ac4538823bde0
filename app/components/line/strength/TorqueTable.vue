<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { torqueScene } from '~~/core/drawing/torqueScene'
import { torqueRows } from '~~/core/vehicle/strength/gearRows'
import { grouped } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'

/** Torque of every shaft, gear by gear, as far as the tyres let it through. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const words = strength.torque
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
        <div v-if="rows.known" class="wide" tabindex="0" role="group" :aria-label="line.name">
          <table>
            <tbody>
              <tr v-for="row in rows.value" :key="`${row.range} ${row.gear}`">
                <th scope="row">{{ row.range ? `${row.range}, ${row.gear}` : row.gear }}</th>
                <td class="number">{{ grouped(row.limitedNm) }} N·m</td>
                <td class="soft">{{ row.limitedNm < row.engineNm ? words.reaches : '' }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </template>
    </div>
  </section>
</template>

<style scoped>
.shaft {
  margin-top: 10px;
}
.shaft table {
  width: auto;
}
.most {
  font-variant-numeric: tabular-nums;
}
</style>

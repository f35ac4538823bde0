<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { crossStrengths, shaftStrengths } from '~~/core/show/parts/strengthOf'
import type { Build } from '~~/core/file/build/build'
import { tubeText } from '~~/core/show/text/tubeText'
import { fixed, grouped } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'
import { partsOfLine } from '~/texts/parts'
import { useFormat } from '~/composables/useFormat'

/** Tubes and crosses of a line against what they have to bear. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const { angle } = useFormat()
const words = strength
const tubes = computed(() => shaftStrengths(evaluation))
const crosses = computed(() => crossStrengths(build, evaluation))
const verdictOf = (quantity: string, index: number) =>
  evaluation.checks.find(
    ({ subject, quantity: of }) => of === quantity && 'index' in subject && subject.index === index,
  )?.verdict ?? null
const partLink = (part: string) => ({
  path: `/b/${build.id}/parts`,
  query: { line: evaluation.line.id, part },
})
</script>

<template>
  <section :aria-label="words.tubes.title">
    <h2>{{ words.tubes.title }}</h2>
    <p v-if="tubes.length > 1" class="soft">{{ words.tubes.sections }}</p>
    <div class="wide" tabindex="0" role="group" :aria-label="words.tubes.title">
      <table data-testid="tube-strength">
        <thead>
          <tr>
            <th scope="col">{{ words.tubes.shaft }}</th>
            <th scope="col">{{ words.tubes.tube }}</th>
            <th scope="col" class="number">{{ words.tubes.shear }}</th>
            <th scope="col" class="number">{{ words.tubes.twist }}</th>
            <th scope="col" class="number">{{ words.tubes.mass }}</th>
            <th scope="col" class="number">{{ words.tubes.critical }}</th>
            <th scope="col" class="number">{{ words.tubes.ofCritical }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ index, figures } in tubes" :key="index">
            <th scope="row">{{ partsOfLine.names.shaft(index, tubes.length) }}</th>
            <td>
              <NuxtLink :to="partLink(`shaft/${index}`)">{{
                tubeText(evaluation.line.shafts[index]?.tube)
              }}</NuxtLink>
            </td>
            <td v-if="!figures.known" colspan="5" class="soft">
              {{ strength.waitsFor }} <MissingWords :missing="figures.missing" />
            </td>
            <template v-else>
              <td class="number">
                <VerdictMark
                  v-if="verdictOf('tube-shear', index)"
                  :verdict="verdictOf('tube-shear', index) ?? 'unknown'"
                />
                {{ fixed(figures.value.shearMPa, 0) }} MPa
                <span class="soft">{{ fixed(figures.value.shearShare, 2) }} {{ words.tubes.ofYield }}</span>
              </td>
              <td class="number">{{ fixed(figures.value.twistDeg, 2) }}°</td>
              <td class="number">{{ fixed(figures.value.massKg, 2) }} kg</td>
              <td class="number">{{ grouped(figures.value.criticalRpm) }} rev/min</td>
              <td class="number">
                <VerdictMark
                  v-if="verdictOf('critical-speed-ratio', index)"
                  :verdict="verdictOf('critical-speed-ratio', index) ?? 'unknown'"
                />
                {{ fixed(figures.value.speedShare, 2) }}
              </td>
            </template>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
  <section v-if="crosses.length" :aria-label="words.crosses.title">
    <h2>{{ words.crosses.title }}</h2>
    <div class="wide" tabindex="0" role="group" :aria-label="words.crosses.title">
      <table data-testid="cross-strength">
        <thead>
          <tr>
            <th scope="col">{{ words.crosses.joint }}</th>
            <th scope="col">{{ words.crosses.size }}</th>
            <th scope="col" class="number">{{ words.crosses.angle }}</th>
            <th scope="col" class="number">{{ words.crosses.force }}</th>
            <th scope="col" class="number">{{ words.crosses.shear }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ index, angleDeg, size, load } in crosses" :key="index">
            <th scope="row">{{ index + 1 }}</th>
            <td>
              <NuxtLink :to="partLink(`joint/${index}`)">{{ size?.name ?? words.crosses.choose }}</NuxtLink>
            </td>
            <td class="number">{{ angleDeg === null ? '?' : angle(angleDeg) }}</td>
            <td v-if="!load.known" colspan="2" class="soft">
              {{ strength.waitsFor }} <MissingWords :missing="load.missing" />
            </td>
            <template v-else>
              <td class="number">{{ grouped(load.value.forceN) }} N</td>
              <td class="number">
                <VerdictMark
                  v-if="verdictOf('cross-shear', index)"
                  :verdict="verdictOf('cross-shear', index) ?? 'unknown'"
                />
                {{ fixed(load.value.shearMPa, 0) }} MPa
                <span class="soft">{{ fixed(load.value.share, 2) }} {{ words.crosses.share }}</span>
              </td>
            </template>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

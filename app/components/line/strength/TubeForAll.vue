<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { tubeForAll } from '~~/core/show/parts/tubesThatDo'
import type { Build } from '~~/core/file/build/build'
import { tubeOf } from '~~/core/file/parts/stock'
import { fixed } from '~~/core/base/units/format'
import { strength } from '~/texts/strength'
import { useParts } from '~/stores/parts'

/** One tube of which all shafts of the build could be made, so that one length of it is bought. */
const { build, lines } = defineProps<{ build: Build; lines: readonly LineEvaluation[] }>()
const parts = useParts()
const words = strength.tubes
const answer = computed(() => tubeForAll(build, lines))
const best = computed(() => (answer.value.known ? answer.value.value.best : null))
const shafts = computed(() => lines.reduce((sum, { line }) => sum + line.shafts.length, 0))
const title = computed(() => words.forAll(shafts.value))
</script>

<template>
  <section v-if="shafts > 1" :aria-label="title" data-testid="tube-for-all">
    <h2>{{ title }}</h2>
    <p v-if="!answer.known" class="soft">
      {{ strength.waitsFor }} <MissingWords :missing="answer.missing" />
    </p>
    <p v-else-if="!best">{{ words.forAllNone }}</p>
    <div v-else class="best">
      <p>{{ words.forAllBest(best.name, fixed(best.massKg, 2)) }}</p>
      <p v-if="answer.value.isTaken" class="soft">{{ words.forAllTaken }}</p>
      <UButton v-else size="sm" variant="outline" @click="parts.setAllTubes(tubeOf(best.entry))">{{
        words.takeForAll(best.name)
      }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.best {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
</style>

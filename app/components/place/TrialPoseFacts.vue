<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { leverAmount, leverName } from '~~/core/show/told/leverText'
import type { ForetoldGap } from '~~/core/answers/trials/foretold'
import type { PackedAndMoved, TrialPose } from '~~/core/answers/trials/trialPoses'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useLiftIns } from '~/stores/liftIns'

/** How the powertrain stood in a trial: packed and moved, what does not fit, and gaps foretold and read. */
const { build, trial, poses, gaps } = defineProps<{
  build: Build
  trial: string
  poses: readonly TrialPose[]
  gaps: readonly ForetoldGap[]
}>()
const words = texts.place.trials.again
const liftIns = useLiftIns()
const isCounted = computed(() => build.countedFrom === trial)
const isAgreed = computed(
  () =>
    gaps.every(({ agrees }) => agrees) &&
    poses.every(({ suspect, levers }) => suspect === null && levers.every(({ disagrees }) => !disagrees)),
)
const { units, length } = useFormat()
const amount = ({ lever }: PackedAndMoved, mm: number) => leverAmount(lever, mm, units.value)
const pointName = (id: string) => build.points.find((point) => point.id === id)?.name ?? id
/** Levers that were packed or have moved all the same. */
const told = (levers: readonly PackedAndMoved[]) =>
  levers.filter(({ packed, disagrees }) => packed !== 0 || disagrees)
</script>

<template>
  <div v-for="pose in poses" :key="pose.body" class="pose">
    <p class="soft">{{ words.by(pose.points.length, length(pose.rms)) }}</p>
    <p v-if="pose.suspect" class="warn">{{ words.suspect(pointName(pose.suspect)) }}</p>
    <ul>
      <li v-for="one in told(pose.levers)" :key="one.lever.id">
        <VerdictMark :verdict="one.disagrees ? 'out' : 'holds'" :size="14" />
        <span>
          {{ leverName(build, one.lever) }}:
          <span class="figure">{{
            words.packedMoved(amount(one, one.packed), amount(one, one.moved), length(one.plusMinus))
          }}</span><template v-if="one.disagrees">. {{ words.disagrees }}</template>
        </span>
      </li>
    </ul>
  </div>
  <div v-if="poses.length > 0" class="base">
    <template v-if="isCounted">
      <p role="status">{{ words.counted }}</p>
      <UButton size="sm" variant="outline" @click="liftIns.countFrom(null)">{{ words.countFirst }}</UButton>
    </template>
    <template v-else>
      <p class="soft">{{ isAgreed ? words.countHint.agrees : words.countHint.against }}</p>
      <UButton size="sm" variant="outline" icon="i-lucide-check" @click="liftIns.countFrom(trial)">{{
        words.countHere
      }}</UButton>
    </template>
  </div>
  <template v-if="gaps.length > 0">
    <p class="soft">{{ words.foretold }}</p>
    <ul>
      <li v-for="one in gaps" :key="one.gap">
        <VerdictMark :verdict="one.agrees ? 'holds' : 'out'" :size="14" />
        <span>
          {{ one.name }}:
          <span class="figure">{{
            words.foretoldRead(length(one.foretoldMm), length(one.plusMinus), length(one.readMm))
          }}</span>, {{ one.agrees ? words.agrees : words.against }}
        </span>
      </li>
    </ul>
  </template>
</template>

<style scoped>
.base {
  display: grid;
  gap: 6px;
  justify-items: start;
  margin: 8px 0;
}
.pose {
  margin-top: 6px;
}
ul li {
  display: grid;
  grid-template-columns: 18px 1fr;
  gap: 4px;
  align-items: baseline;
  padding: 2px 0;
}
.warn {
  color: var(--tight);
}
</style>

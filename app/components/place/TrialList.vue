<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { packedText } from '~~/core/show/told/positionFacts'
import { texts } from '~/texts/en'
import { useLiftIns } from '~/stores/liftIns'
import { useTrials } from '~/stores/trials'

/** Every lift-in: what was packed, what was read in it, and why. */
const { build } = defineProps<{ build: Build }>()
const liftIns = useLiftIns()
const trials = useTrials()
const words = texts.place.trials
const rows = computed(() =>
  build.trials.map((trial, index) => ({
    trial,
    packed: packedText(build, trial.packed) || words.nothing,
    readings: build.readings.filter((reading) =>
      'trial' in reading ? (reading.trial ?? build.trials[0]?.id) === trial.id : false,
    ).length,
    stands: index === build.trials.length - 1,
  })),
)
</script>

<template>
  <p class="soft lead">{{ words.lead }}</p>
  <p v-if="rows.length === 0" class="none">{{ words.none }}</p>
  <ol v-else>
    <li v-for="{ trial, packed, readings, stands } in rows" :key="trial.id">
      <div class="picture">
        <SettingThumb
          v-if="trials.packed.get(trial.id)"
          :build="build"
          :evaluation="trials.packed.get(trial.id)!"
        />
      </div>
      <h3>
        {{ trial.name }}
        <span v-if="stands" class="stands">{{ words.stands }}</span>
        <small class="soft figure">{{ trial.date }}</small>
      </h3>
      <p>{{ words.packed }}: {{ packed }} · {{ words.readings(readings) }}</p>
      <TrialPoseFacts
        :build="build"
        :trial="trial.id"
        :poses="trials.poses.get(trial.id) ?? []"
        :gaps="trials.foretoldGaps.get(trial.id) ?? []"
      />
      <TrialPoints v-if="stands && build.trials.length > 1" :trial="trial" />
      <TextField
        :label="words.why"
        class="why"
        :value="trial.note"
        :most="500"
        @change="liftIns.change(trial.id, { note: $event })"
      />
      <RemoveButton
        v-if="!liftIns.isRead(trial.id)"
        :label="words.remove"
        is-worded
        @click="liftIns.remove(trial.id)"
      />
    </li>
  </ol>
  <UButton
    icon="i-lucide-plus"
    variant="outline"
    size="sm"
    @click="liftIns.add(words.name(build.trials.length + 1))"
    >{{ words.add }}</UButton
  >
  <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.place.liftCaution }}</p>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 8px;
}
ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
  gap: 12px;
  margin-bottom: 12px;
}
li {
  padding: 10px 14px 12px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.picture {
  max-width: 240px;
  margin-bottom: 8px;
}
h3 {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
  font-weight: 600;
}
.stands {
  color: var(--accent);
  font-size: 0.9375rem;
}
.why {
  margin: 8px 0 4px;
}
.none {
  margin-bottom: 12px;
}
.caution {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 6px;
  margin-top: 12px;
  max-width: 70ch;
  color: var(--soft);
}
</style>

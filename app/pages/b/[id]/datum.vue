<script setup lang="ts">
import { texts } from '~/texts/en'
import { useDatum } from '~/stores/datum'
import { useReadings } from '~/stores/readings'
import { useSetups } from '~/stores/setups'
import { useWorkbench } from '~/stores/workbench'

const workbench = useWorkbench()
const readings = useReadings()
const setups = useSetups()
const datum = useDatum()
const words = texts.measuring.datum
const name = ref('')
/** The point tapped on the plan: its card is brought into sight. */
const chosen = ref('')
watch(chosen, (id) => {
  const card = document.getElementById(`point-${id}`)
  if (card) card.scrollIntoView({ block: 'nearest', behavior: 'smooth' })
  else if (workbench.build?.points.some((point) => point.id === id)) otherId.value = id
})
const pairName = ref('')
const otherId = ref<string>()
const otherItems = computed(() =>
  (workbench.build?.points ?? [])
    .filter((point) => !point.datum)
    .map((point) => ({ label: point.name, value: point.id })),
)
const other = computed(() => workbench.build?.points.find((point) => point.id === otherId.value))
const shownOthers = computed(() =>
  other.value && !datum.others.includes(other.value) ? [...datum.others, other.value] : datum.others,
)
function addDatum() {
  if (name.value.trim() === '') return
  setups.addDatum(name.value.trim().slice(0, 200))
  name.value = ''
}
function addPair() {
  if (pairName.value.trim() === '') return
  setups.addPair(pairName.value.trim().slice(0, 180))
  pairName.value = ''
}
</script>

<template>
  <MeasureNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <FramePlan v-model:chosen="chosen" class="plan" />
    <div class="columns">
      <section>
        <form class="add" @submit.prevent="addDatum">
          <UInput
            v-model="name"
            :placeholder="words.name"
            :aria-label="words.name"
            maxlength="200"
            class="w-full"
          />
          <UButton type="submit" icon="i-lucide-plus">{{ words.add }}</UButton>
        </form>
        <p v-if="datum.points.length === 0" class="soft">{{ words.none }}</p>
        <DatumPointCard
          v-for="point in datum.points"
          :id="`point-${point.id}`"
          :key="point.id"
          :point="point"
          :class="{ chosen: point.id === chosen }"
        />
        <h2>{{ words.others }}</h2>
        <USelect
          v-model="otherId"
          :items="otherItems"
          :placeholder="words.choose"
          :aria-label="words.choose"
        />
        <DatumPointCard v-for="point in shownOthers" :key="point.id" :point="point" />
      </section>
      <section class="results" aria-live="polite">
        <h2>{{ words.registration }}</h2>
        <p v-if="!datum.registration" class="soft">{{ words.notMeasured }}</p>
        <p v-else-if="!datum.registration.known" class="refused" data-testid="registration">
          <VerdictMark verdict="unknown" silent /> {{ datum.registration.missing[0]?.what }}
        </p>
        <div v-else data-testid="registration">
          <p>{{ words.fit(datum.registration.value.rms, datum.registration.value.count) }}</p>
          <ul>
            <li v-for="one in datum.registration.value.misses" :key="one.name">
              <VerdictMark :verdict="one.isSuspect ? 'out' : 'holds'" :size="13" silent />
              {{ one.name }} {{ words.miss }} <strong class="figure">{{ one.miss }}</strong>
            </li>
          </ul>
          <p v-if="datum.registration.value.suspect" class="refused">
            {{ words.suspect(datum.registration.value.suspect) }}
          </p>
          <p v-else-if="!datum.registration.value.canSuspect" class="soft">{{ words.noSuspect }}</p>
          <p v-if="datum.registration.value.isFlat" class="refused">{{ words.flat }}</p>
          <p class="soft">{{ words.attitude }}</p>
        </div>

        <h2>{{ words.pairs }}</h2>
        <p class="soft">{{ words.pairsLead }}</p>
        <form class="add" @submit.prevent="addPair">
          <UInput
            v-model="pairName"
            :placeholder="words.pairName"
            :aria-label="words.pairName"
            maxlength="180"
            class="w-full"
          />
          <UButton type="submit" variant="outline" icon="i-lucide-plus">{{ words.addPair }}</UButton>
        </form>
        <ul>
          <li v-for="pair in workbench.build?.centrePairs ?? []" :key="pair.id">
            {{ pair.name }}
            <RemoveButton :label="`${words.remove}: ${pair.name}`" @click="setups.removePair(pair)" />
          </li>
        </ul>
        <template v-if="datum.centreline">
          <div v-if="datum.centreline.known" data-testid="centreline">
            <p>{{ words.line(datum.centreline.value.start, datum.centreline.value.angle) }}</p>
            <ul>
              <li v-for="one in datum.centreline.value.misfits" :key="one.name">
                {{ words.misfit(one.name, one.misfit) }}
              </li>
            </ul>
            <UCheckbox
              :model-value="readings.setup?.centreline === 'pairs'"
              :label="words.use"
              @update:model-value="
                setups.changeSetup('Change the centreline', {
                  centreline: $event === true ? 'pairs' : 'string',
                })
              "
            />
          </div>
          <p v-else class="soft">{{ words.pairsMissing }}</p>
        </template>
      </section>
    </div>
  </MeasurePage>
</template>

<style scoped>
.plan {
  margin-bottom: 18px;
}
.chosen {
  border-color: var(--accent);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 32px;
  align-items: start;
}
section {
  display: grid;
  gap: 12px;
}
h2 {
  margin-top: 8px;
  font-weight: 600;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 3px 0;
}
.refused {
  color: var(--out);
  line-height: 1.35;
}
@media (max-width: 1020px) {
  .plan {
    margin-bottom: 18px;
  }
  .chosen {
    border-color: var(--accent);
  }
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>

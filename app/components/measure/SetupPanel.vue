<script setup lang="ts">
import { axlesOf } from '~~/core/file/parts/bodies'
import { DATUM_SCHOOLS, type Setup } from '~~/core/file/build/setup'
import { stateProblem } from '~~/core/measure/targets/warnings'
import { setupStand } from '~~/core/show/text/setupText'
import { texts } from '~/texts/en'
import { useReadings } from '~/stores/readings'
import { useSetups } from '~/stores/setups'
import { useWorkbench } from '~/stores/workbench'

/** One setup: how the vehicle stands, by which school its datum is set, and what that means for its readings. */
const { setup } = defineProps<{ setup: Setup }>()
const workbench = useWorkbench()
const readings = useReadings()
const setups = useSetups()
const words = texts.readings
const more = texts.measuring.setups
const stand = computed(() => (workbench.build ? setupStand(workbench.build, setup) : null))
const rearLowDeg = computed(() =>
  stand.value?.attitude.known ? stand.value.attitude.value.rearLowDeg : null,
)
const count = computed(
  () => workbench.build?.readings.filter((one) => 'setup' in one && one.setup === setup.id).length ?? 0,
)
const problem = computed(() =>
  workbench.build && axlesOf(workbench.build).length > 0 ? stateProblem(setup) : null,
)
const isActive = computed(() => readings.setup?.id === setup.id)
const stands = Object.entries(words.stands).map(([value, label]) => ({ label, value }))
const datums = DATUM_SCHOOLS.map((value) => ({ label: more.schools[value].name, value }))
const axes = computed(() =>
  (workbench.build?.axes ?? []).map((axis) => ({ label: axis.name, value: axis.id })),
)
const change = (label: string, changed: Partial<Setup>) => setups.changeSetup(label, changed, setup.id)
</script>

<template>
  <article
    class="setup"
    :class="{ active: isActive }"
    :data-field="`setups/${setup.id}`"
    :aria-label="setup.name"
  >
    <div class="head">
      <SetupPicture :setup="setup" :rear-low-deg="rearLowDeg" />
      <div>
        <p class="figure name">{{ setup.name }}</p>
        <p class="soft">{{ [setup.date, setup.by, more.count(count)].filter(Boolean).join(' · ') }}</p>
        <p :class="{ soft: stand?.attitude.known }" data-testid="stand">
          {{ more.attitude }}: {{ stand?.words }}
        </p>
        <p v-if="isActive" class="here">{{ more.measuring }}</p>
        <UButton v-else size="sm" variant="outline" @click="readings.chosenSetup = setup.id">{{
          more.measureHere
        }}</UButton>
      </div>
    </div>
    <p v-if="problem" class="problem">
      <VerdictMark verdict="tight" :size="14" silent /> {{ more.warning }}: {{ problem }}.
    </p>
    <div class="fields">
      <TextField
        :label="words.setupName"
        :value="setup.name"
        required
        @change="change('Rename the setup', { name: $event })"
      />
      <TextField :label="more.by" :value="setup.by" @change="change('Say who measures', { by: $event })" />
      <ChoiceField
        :label="words.standsOn"
        :value="setup.standsOn"
        :items="stands"
        @change="change('Change what the vehicle stands on', { standsOn: $event })"
      />
      <ChoiceField
        :label="words.datum"
        :help="more.schools[setup.datum].hint"
        :value="setup.datum"
        :items="datums"
        @change="change('Change the datum', { datum: $event })"
      />
      <ChoiceField
        v-if="setup.datum === 'face-plumb'"
        :label="more.plumbAxis"
        :value="setup.plumbAxis"
        :items="axes"
        @change="change('Change the plumb face', { plumbAxis: $event })"
      />
      <ChoiceField
        v-if="workbench.build?.centrePairs?.length"
        :label="more.centreline"
        :value="setup.centreline ?? 'string'"
        :items="[
          { label: more.centrelines.string, value: 'string' },
          { label: more.centrelines.pairs, value: 'pairs' },
        ]"
        @change="change('Change the centreline', { centreline: $event })"
      />
      <UCheckbox
        :model-value="setup.loaded"
        :label="words.loaded"
        @update:model-value="change('Change the load', { loaded: $event === true })"
      />
      <UCheckbox
        :model-value="setup.settled"
        :label="words.settled"
        @update:model-value="change('Change settling', { settled: $event === true })"
      />
    </div>
  </article>
</template>

<style scoped>
.setup {
  display: grid;
  gap: 14px;
  padding: 16px;
  background: var(--card);
  border: 1.5px solid var(--hair);
  border-radius: 4px;
}
.setup.active {
  border-color: var(--accent);
}
.head {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr);
  gap: 18px;
  align-items: center;
  line-height: 1.35;
}
.name {
  font-size: 1.25rem;
}
.here {
  color: var(--accent);
  font-weight: 600;
}
.problem {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 8px;
  align-items: baseline;
  color: var(--tight);
  line-height: 1.3;
}
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px 16px;
  align-items: start;
}
@media (max-width: 640px) {
  .head {
    grid-template-columns: 120px minmax(0, 1fr);
  }
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>

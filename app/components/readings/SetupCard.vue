<script setup lang="ts">
import type { Setup } from '~~/core/project/build'
import { texts } from '~/texts/en'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

/** How the vehicle stands while this lot of readings is taken. */
const workbench = useWorkbench()
const readings = useReadings()
const words = texts.readings
const setups = computed(() =>
  (workbench.build?.setups ?? []).map((one) => ({ label: one.name, value: one.id })),
)
const stands = Object.entries(words.stands).map(([value, label]) => ({ label, value }))
const datums = Object.entries(words.datums).map(([value, label]) => ({ label, value }))
</script>

<template>
  <section v-if="readings.setup" class="setup" :aria-label="words.setup">
    <UFormField :label="words.setup">
      <USelect
        :model-value="readings.setup.id"
        :items="setups"
        class="w-full"
        @update:model-value="readings.chosenSetup = $event"
      />
    </UFormField>
    <UFormField :label="words.setupName">
      <UInput
        :model-value="readings.setup.name"
        class="w-full"
        maxlength="200"
        @change="
          readings.changeSetup('Rename the setup', {
            name: ($event.target as HTMLInputElement).value.trim() || readings.setup.name,
          })
        "
      />
    </UFormField>
    <UFormField :label="words.standsOn">
      <USelect
        :model-value="readings.setup.standsOn"
        :items="stands"
        class="w-full"
        @update:model-value="
          readings.changeSetup('Change what the vehicle stands on', { standsOn: $event as Setup['standsOn'] })
        "
      />
    </UFormField>
    <UFormField :label="words.datum">
      <USelect
        :model-value="readings.setup.datum"
        :items="datums"
        class="w-full"
        @update:model-value="readings.changeSetup('Change the datum', { datum: $event as Setup['datum'] })"
      />
    </UFormField>
    <UCheckbox
      :model-value="readings.setup.loaded"
      :label="words.loaded"
      @update:model-value="readings.changeSetup('Change the load', { loaded: $event === true })"
    />
    <UCheckbox
      :model-value="readings.setup.settled"
      :label="words.settled"
      @update:model-value="readings.changeSetup('Change settling', { settled: $event === true })"
    />
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="readings.addSetup()">{{
      words.addSetup
    }}</UButton>
  </section>
</template>

<style scoped>
.setup {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 16px;
  align-items: center;
  padding: 12px 14px;
  margin-bottom: 18px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
@media (max-width: 860px) {
  .setup {
    grid-template-columns: 1fr;
  }
}
</style>

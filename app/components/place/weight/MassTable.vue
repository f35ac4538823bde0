<script setup lang="ts">
import type { MassEntry } from '~~/core/file/parts/weightSheet'
import { texts } from '~/texts/en'
import { useWeight } from '~/stores/weight'
import { useWorkbench } from '~/stores/workbench'

/** What is put in, taken out and moved, with its weight and place. */
const weight = useWeight()
const workbench = useWorkbench()
const words = texts.weight
const CHASSIS = 'chassis'
const AXES = [
  ['stationMm', words.station],
  ['leftMm', words.offset],
  ['upMm', words.height],
] as const
const kinds = (Object.keys(words.done) as MassEntry['done'][]).map((value) => ({
  value,
  label: words.done[value],
}))
const bodies = computed(() => [
  { value: CHASSIS, label: words.ridesNothing },
  ...(workbench.build?.bodies ?? [])
    .filter(({ kind }) => kind !== 'chassis')
    .map(({ id, name }) => ({ value: id, label: name })),
])
function rename(id: string, name: string) {
  if (name.trim() !== '') weight.changeMass(id, { name: name.trim().slice(0, 200) })
}
</script>

<template>
  <section aria-labelledby="masses-title" class="masses">
    <h2 id="masses-title">{{ words.masses }}</h2>
    <p v-if="weight.sheet.masses.length === 0" class="soft">{{ words.noMasses }}</p>
    <article v-for="mass in weight.sheet.masses" :key="mass.id" :aria-label="mass.name" :data-mass="mass.id">
      <input
        class="name"
        :value="mass.name"
        :aria-label="words.mass"
        maxlength="200"
        @change="rename(mass.id, ($event.target as HTMLInputElement).value)"
      />
      <USelect
        :model-value="mass.done"
        :items="kinds"
        class="done"
        :aria-label="`${words.does}: ${mass.name}`"
        @update:model-value="weight.changeMass(mass.id, { done: $event as MassEntry['done'] })"
      />
      <FigureInput
        :label="`${words.kg}: ${mass.name}`"
        kind="plain"
        unit="kg"
        of="weight.masses.kg"
        :value="mass.kg"
        @change="weight.changeMass(mass.id, { kg: $event })"
      />
      <RemoveButton :label="words.removeMass(mass.name)" class="bin" @click="weight.removeMass(mass.id)" />
      <div class="spots">
        <template v-for="which in ['at', 'to'] as const" :key="which">
          <template v-if="which === 'at' || mass.done === 'moved'">
            <label v-for="([key, axis], index) in AXES" :key="key">
              <span class="soft">{{ which === 'to' && index === 0 ? `${words.to}: ` : '' }}{{ axis }}</span>
              <FigureInput
                :label="`${which === 'to' ? `${words.to}, ` : ''}${axis}: ${mass.name}`"
                :of="`weight.masses.at.${key}`"
                :value="mass[which]?.[key]"
                @change="weight.spot(mass.id, which, { [key]: $event })"
              />
            </label>
          </template>
        </template>
        <label v-if="mass.done !== 'out'">
          <span class="soft">{{ words.rides }}</span>
          <USelect
            :model-value="mass.body ?? CHASSIS"
            :items="bodies"
            class="rides"
            :aria-label="`${words.rides}: ${mass.name}`"
            @update:model-value="
              weight.changeMass(mass.id, { body: $event === CHASSIS ? undefined : String($event) })
            "
          />
        </label>
        <UCheckbox
          v-if="mass.done !== 'out'"
          class="hangs"
          :model-value="mass.hangs === true"
          :label="words.hangs"
          @update:model-value="weight.changeMass(mass.id, { hangs: $event === true || undefined })"
        />
        <UCheckbox
          v-if="mass.done !== 'out'"
          class="hangs"
          :model-value="mass.later === true"
          :label="words.later"
          @update:model-value="weight.changeMass(mass.id, { later: $event === true || undefined })"
        />
      </div>
    </article>
    <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="weight.addMass">{{
      words.addMass
    }}</UButton>
  </section>
</template>

<style scoped>
.masses {
  margin-top: 18px;
}
h2 {
  margin-bottom: 8px;
  font-size: 1.1rem;
  font-weight: 600;
}
article {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  gap: 8px 12px;
  align-items: center;
  padding: 8px 12px 10px;
  margin-bottom: 8px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.name {
  min-width: 0;
  padding: 3px 4px;
  margin-left: -4px;
  font-weight: 600;
  background: transparent;
  border-bottom: 1px dashed transparent;
}
.name:hover,
.name:focus {
  border-color: var(--part-line);
}
.done {
  min-width: 100px;
}
.spots {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: end;
}
.spots label {
  display: grid;
  font-size: 0.88rem;
}
.rides {
  min-width: 130px;
}
.hangs {
  padding-bottom: 8px;
}
@media (max-width: 620px) {
  article {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>

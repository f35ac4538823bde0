<script setup lang="ts">
import { cables as words } from '~/texts/cables'
import { useCables } from '~/stores/cables'
import { useWorkbench } from '~/stores/workbench'

/** Cables of a set length: their way, their hole in the bulkhead, what to order. */
const cables = useCables()
const workbench = useWorkbench()
const named = computed(() => cables.all.map(({ cable }) => ({ value: cable.id, label: cable.name })))
const cable = computed(() => cables.found?.cable ?? null)
const missing = computed(() =>
  cables.found && !cables.found.found.known ? cables.found.found.missing : null,
)
const steps = computed(() =>
  [
    { step: cables.placeStep, label: words.readPlaces, is: 'solid' as const },
    { step: cables.stringStep, label: words.readString, is: 'outline' as const },
  ].filter(({ step }) => step !== null),
)
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="cable?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="cable?.id"
    @look="cables.looked = $event"
  >
    <template v-if="cable">
      <p class="figure sentence" data-testid="cable-sentence">{{ cables.sentence }}</p>
      <WaitsFor v-if="missing" :missing="missing" />
      <CablePicture :scene-of="cables.scene" @look="cables.looked = $event" />
      <p v-if="steps.length > 0" class="does">
        <UButton
          v-for="{ step, label, is } in steps"
          :key="label"
          :variant="is"
          icon="i-lucide-ruler"
          :to="{ path: `/b/${workbench.build.id}/readings`, query: { step: String(step) } }"
          >{{ label }}</UButton
        >
      </p>
      <CableHole v-if="!missing" />
      <p class="caution">{{ words.caution }}</p>
      <section v-if="!missing" aria-labelledby="cable-table">
        <h2 id="cable-table">{{ words.table }}</h2>
        <AskedTable :label="words.table" :rows="cables.rows" test-id="cable-table" />
      </section>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton class="add" :variant="cable ? 'outline' : 'solid'" icon="i-lucide-plus" @click="cables.add()">{{
      words.add
    }}</UButton>
    <template v-if="cable" #side>
      <CableFields :cable="cable" />
      <CableCorners :cable="cable" />
      <BulkheadFields :cable="cable" />
      <RemoveButton is-worded :label="words.remove(cable.name)" @click="cables.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.sentence {
  font-size: 1.125rem;
  font-weight: 600;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>

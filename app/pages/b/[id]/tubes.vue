<script setup lang="ts">
import type { TubeEndRow } from '~~/core/show/text/copedTubeText'
import type { FactColumn } from '~/composables/factColumn'
import { tubes as words } from '~/texts/tubes'
import { useCopedTubes } from '~/stores/copedTubes'
import { useTubeInBay } from '~/stores/inBay'
import { useWorkbench } from '~/stores/workbench'

/** Tubes coped onto others: how they are sawn, wrapped and cut. */
const tubes = useCopedTubes()
const inBay = useTubeInBay()
const workbench = useWorkbench()
const named = computed(() => tubes.all.map(({ tube }) => ({ value: tube.id, label: tube.name })))
const missing = computed(() => (tubes.found && !tubes.found.found.known ? tubes.found.found.missing : null))
const COLUMNS: readonly FactColumn<TubeEndRow>[] = [
  { key: 'end', label: words.columns.end, is: 'head', text: ({ name }) => name },
  { key: 'main', label: words.columns.main, is: 'words', text: ({ main }) => main },
  { key: 'angle', label: words.columns.angle, is: 'number', text: ({ angle }) => angle },
  { key: 'passes', label: words.columns.passes, is: 'number', text: ({ passes }) => passes },
  { key: 'deep', label: words.columns.deep, is: 'number', text: ({ deep }) => deep },
  { key: 'flats', label: words.columns.flats, is: 'words', text: ({ flats }) => flats },
]
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="tubes.found?.tube.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="tubes.found?.tube.id"
    @look="tubes.looked = $event"
  >
    <template v-if="tubes.found">
      <WaitsFor v-if="missing" :missing="missing" />
      <CopedTubeDrawing v-else :scene-of="tubes.scene" />
      <section v-if="tubes.steps.length > 0" aria-labelledby="tube-steps">
        <h2 id="tube-steps">{{ words.steps }}</h2>
        <ol class="steps figure" data-testid="tube-steps">
          <li v-for="step in tubes.steps" :key="step">{{ step }}</li>
        </ol>
      </section>
      <section aria-labelledby="tube-cuts">
        <h2 id="tube-cuts">{{ words.cuts }}</h2>
        <FactTable
          :columns="COLUMNS"
          :rows="tubes.rows"
          :key-of="({ name }) => name"
          :label="words.cuts"
          is-cards
          test-id="tube-cuts"
        />
        <CheckRow
          v-for="check in tubes.found.checks"
          :key="check.id"
          :check="check"
          :units="workbench.build.units"
          :many="false"
        />
      </section>
      <section v-if="tubes.template" aria-labelledby="tube-wraps">
        <h2 id="tube-wraps">{{ words.wraps }}</h2>
        <TemplateDrawing :template="tubes.template" :label="words.wraps" />
        <p class="soft">{{ words.inner }} {{ words.mirror }} {{ words.wrapCheck }}</p>
      </section>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="tubes.found ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="tubes.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="tubes.found" #side>
      <TemplatePrint v-if="tubes.printed" @save="tubes.save" />
      <StepsLink of="tube" :thing="tubes.found.tube.id" />
      <CopedTubeFields :tube="tubes.found.tube" />
      <PartInBay :part="inBay" />
      <RemoveButton is-worded :label="words.remove(tubes.found.tube.name)" @click="tubes.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.steps {
  list-style: decimal;
  padding-left: 22px;
  line-height: 1.6;
}
</style>

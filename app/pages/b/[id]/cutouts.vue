<script setup lang="ts">
import type { CutRow } from '~~/core/show/text/cutoutText'
import type { FactColumn } from '~/composables/factColumn'
import { cutouts as words } from '~/texts/cutouts'
import { useCutouts } from '~/stores/cutouts'
import { useWorkbench } from '~/stores/workbench'

/** An opening that something is lowered through: touch, cut, lower again. */
const cutouts = useCutouts()
const workbench = useWorkbench()
const named = computed(() => cutouts.all.map(({ id, name }) => ({ value: id, label: name })))
const missing = computed(() => (cutouts.answer && !cutouts.answer.known ? cutouts.answer.missing : null))
const larger = computed(() => {
  const one = cutouts.known?.larger
  return one && !one.known ? one.missing : null
})
const COLUMNS: readonly FactColumn<CutRow>[] = [
  { key: 'side', label: words.columns.side, is: 'head', text: ({ side }) => side },
  { key: 'overlap', label: words.columns.overlap, is: 'number', text: ({ overlap }) => overlap },
  { key: 'depth', label: words.columns.depth, is: 'number', text: ({ depth }) => depth },
]
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="cutouts.cutout?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="cutouts.cutout?.id"
    @look="cutouts.looked = $event"
  >
    <template v-if="cutouts.cutout">
      <WaitsFor v-if="missing" :missing="missing" :words="words.waits" />
      <section v-if="cutouts.next" aria-labelledby="next-cut">
        <div data-testid="next-cut">
          <h2 id="next-cut">{{ cutouts.next.name }}</h2>
          <p class="depth figure">{{ cutouts.next.figure }}</p>
          <p>{{ words.marks }}</p>
          <ol>
            <li v-for="mark in cutouts.next.marks" :key="mark">{{ mark }}</li>
          </ol>
        </div>
        <p v-if="cutouts.larger" class="soft" data-testid="larger-cut">{{ cutouts.larger }}</p>
        <p v-else-if="larger" class="soft">{{ words.largerWaits }} <MissingWords :missing="larger" /></p>
        <UButton variant="link" icon="i-lucide-undo-2" @click="cutouts.takeBack()">{{ words.back }}</UButton>
      </section>
      <p class="caution">{{ words.caution }}</p>
      <CutoutTouch :key="cutouts.cutout.id" />
      <section v-if="cutouts.rows.length > 0" aria-labelledby="cutout-touches">
        <h2 id="cutout-touches">{{ words.touches }}</h2>
        <FactTable
          :columns="COLUMNS"
          :rows="cutouts.rows"
          :key-of="({ id }) => id"
          :label="words.touches"
          is-dense
          test-id="cutout-touches"
        />
      </section>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="cutouts.cutout ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="cutouts.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="cutouts.cutout" #side>
      <CutoutFields :cutout="cutouts.cutout" />
      <RemoveButton is-worded :label="words.remove(cutouts.cutout.name)" @click="cutouts.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.depth {
  font-size: 2.5rem;
  line-height: 1.2;
}
ol {
  padding-left: 22px;
  list-style: decimal;
  font-variant-numeric: tabular-nums;
}
</style>

<script setup lang="ts">
import { releases as words } from '~/texts/ways'
import { useReleases } from '~/stores/releases'
import { useWorkbench } from '~/stores/workbench'

/** Parts that are to come out of where they sit: a way, or the proof that there is none. */
const releases = useReleases()
const workbench = useWorkbench()
const named = computed(() => releases.all.map(({ id, name }) => ({ value: id, label: name })))
const PANE = 300
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="releases.part?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="releases.part?.id"
    @look="releases.looked = $event"
  >
    <template v-if="releases.part">
      <MadeAnswer :verdict="releases.isOut ? 'holds' : 'out'" data-testid="release-answer">{{
        releases.sentence
      }}</MadeAnswer>
      <ReleaseDrawing :panes="releases.panes(PANE)" />
      <p class="caution">{{ words.caution }}</p>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="releases.part ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="releases.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="releases.part" #side>
      <TextField :label="words.name" :value="releases.part.name" required @change="releases.rename($event)" />
      <HeldFields :part="releases.part" />
      <RemoveButton is-worded :label="words.remove(releases.part.name)" @click="releases.remove()" />
    </template>
  </MadePage>
</template>

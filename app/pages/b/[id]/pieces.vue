<script setup lang="ts">
import { usePieces } from '~/stores/pieces'
import { useWorkbench } from '~/stores/workbench'
import { making } from '~/texts/making'
import { pieces as words } from '~/texts/pieces'

/** Small made parts: drill guides, gussets, saw blocks. */
const pieces = usePieces()
const workbench = useWorkbench()
const named = computed(() => pieces.all.map(({ id, name }) => ({ value: id, label: name })))
const waits = computed(() => (pieces.answer?.tab?.known === false ? pieces.answer.tab.missing : []))
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="pieces.piece?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="pieces.piece?.id"
    @look="pieces.looked = $event"
  >
    <template v-if="pieces.piece && pieces.template">
      <div class="drawn">
        <TemplateDrawing :template="pieces.template" :label="`${pieces.piece.name}, ${words.seen}`" />
      </div>
      <p v-for="sentence in pieces.sentences" :key="sentence" class="figure" data-testid="piece-told">
        {{ sentence }}
      </p>
      <p v-if="waits.length > 0" class="waits">
        <VerdictMark verdict="unknown" :size="14" /> {{ words.waits }} <MissingWords :missing="waits" />
      </p>
      <TemplatePrint is-solid @save="pieces.save($event)" />
      <p class="caution">{{ pieces.piece.kind === 'gusset' ? making.structural : words.drill }}</p>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="pieces.piece ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="pieces.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="pieces.piece" #side>
      <PieceFields :piece="pieces.piece" />
      <RemoveButton is-worded :label="words.remove(pieces.piece.name)" @click="pieces.remove()" />
    </template>
  </MadePage>
</template>

<script setup lang="ts">
import { TEMPORARY_KINDS } from '~~/core/file/kinds/temporaryKinds'
import { temporary as words } from '~/texts/temporary'
import { useTemporary } from '~/stores/temporary'
import { useWorkbench } from '~/stores/workbench'

/** What is not yet as it will be. */
const temporary = useTemporary()
const workbench = useWorkbench()
const kinds = TEMPORARY_KINDS.map((value) => ({ value, label: words.kinds[value] }))
const bodies = computed(() =>
  (workbench.build?.bodies ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
</script>

<template>
  <MadePage v-if="workbench.build" :title="words.title" :lead="words.lead">
    <MadeAnswer
      v-if="temporary.sentence"
      :verdict="temporary.isOpen ? 'tight' : 'holds'"
      data-testid="temporary-answer"
      >{{ temporary.sentence }}</MadeAnswer
    >
    <p v-else>{{ words.none }}</p>
    <fieldset
      v-for="one in temporary.all"
      :key="one.id"
      class="one"
      :class="{ closed: one.closedAt }"
      data-testid="temporary"
    >
      <legend class="sr-only">{{ one.name }}</legend>
      <TextField
        :label="words.name"
        :value="one.name"
        required
        @change="temporary.change(one.id, { name: $event })"
      />
      <ChoiceField
        :label="words.kind"
        :value="one.kind"
        :items="kinds"
        @change="temporary.change(one.id, { kind: $event })"
      />
      <TextField
        :label="words.where"
        :value="one.where ?? ''"
        @change="temporary.change(one.id, { where: $event || undefined })"
      />
      <TextField
        :label="words.changes"
        :value="one.changes ?? ''"
        @change="temporary.change(one.id, { changes: $event || undefined })"
      />
      <ChoiceField
        :label="words.body"
        :value="one.body"
        :items="bodies"
        :unsaid="words.noBody"
        @change="temporary.change(one.id, { body: $event })"
      />
      <FigureField
        :label="words.larger"
        kind="length"
        of="temporaries.largerMm"
        :value="one.largerMm"
        @change="temporary.change(one.id, { largerMm: $event })"
      />
      <p v-if="temporary.boundOf(one)" class="bound">{{ temporary.boundOf(one) }}</p>
      <div class="does">
        <UButton v-if="!one.closedAt" icon="i-lucide-check" @click="temporary.close(one.id)">{{
          words.close
        }}</UButton>
        <UButton v-else variant="outline" @click="temporary.reopen(one.id)">{{ words.reopen }}</UButton>
        <span class="soft">{{
          one.closedAt ? words.closed(one.closedAt) : one.since ? words.since(one.since) : ''
        }}</span>
        <RemoveButton :label="words.remove(one.name)" @click="temporary.remove(one.id)" />
      </div>
    </fieldset>
    <UButton
      class="add"
      :variant="temporary.all.length > 0 ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="temporary.add()"
      >{{ words.add }}</UButton
    >
  </MadePage>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px 12px;
  align-items: end;
  padding: 10px 0 12px;
  border-bottom: 1px solid var(--hair);
}
.bound,
.does {
  grid-column: 1 / -1;
}
.bound {
  font-weight: 600;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
@media (max-width: 640px) {
  .one {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

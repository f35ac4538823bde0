<script setup lang="ts">
import type { WeldedRow } from '~~/core/show/text/weldedText'
import type { FactColumn } from '~/composables/factColumn'
import { welds as words } from '~/texts/welds'
import { useWelds } from '~/stores/welds'
import { useWeldStand } from '~/stores/weldStand'
import { useWorkbench } from '~/stores/workbench'

/** How the powertrain stands welded against how it stood tacked, by points read in both lift-ins. */
const welds = useWelds()
const stand = useWeldStand()
const workbench = useWorkbench()
const trials = computed(() => workbench.build?.trials ?? [])
const welded = computed(() => trials.value.find(({ id }) => id === welds.weld?.weldedIn))
const items = computed(() => trials.value.map(({ id, name }) => ({ value: id, label: name })))
const tables = computed(() =>
  stand.told
    ? [
        { key: 'joints', title: words.standJoints, rows: stand.told.joints },
        { key: 'points', title: words.standPoints, rows: stand.told.points },
      ].filter(({ rows }) => rows.length > 0)
    : [],
)
const columns: readonly FactColumn<WeldedRow>[] = [
  { key: 'of', label: words.standRows.of, text: ({ of }) => of, is: 'head' },
  { key: 'before', label: words.standRows.before, text: ({ before }) => before, is: 'figure' },
  { key: 'after', label: words.standRows.after, text: ({ after }) => after, is: 'figure' },
  { key: 'by', label: words.standRows.by, is: 'figure' },
]
</script>

<template>
  <section v-if="welds.weld" aria-labelledby="weld-stand">
    <h2 id="weld-stand">{{ words.stand }}</h2>
    <p class="soft">{{ words.standLead }}</p>
    <div class="fields">
      <ChoiceField
        :label="words.tackedIn"
        :value="welds.weld.tackedIn"
        :items="items"
        :unsaid="words.asChosen"
        @change="welds.change({ tackedIn: $event })"
      />
      <ChoiceField
        v-if="welded"
        :label="words.weldedIn"
        :value="welds.weld.weldedIn"
        :items="items"
        :unsaid="words.notRead"
        @change="welds.change({ weldedIn: $event })"
      />
    </div>
    <UButton v-if="!welded" class="add" icon="i-lucide-plus" variant="outline" @click="stand.readAgain()">{{
      words.readStand
    }}</UButton>
    <template v-else>
      <TrialPoints :trial="welded" hides />
      <p v-if="!stand.told" class="soft" data-testid="weld-stand-missing">
        {{ words.standMissing(stand.wants) }}
      </p>
      <template v-else>
        <MadeAnswer :verdict="stand.told.sentence.verdict" data-testid="weld-stand">{{
          stand.told.sentence.text
        }}</MadeAnswer>
        <template v-for="{ key, title, rows } in tables" :key="key">
          <h3>{{ title }}</h3>
          <FactTable
            :columns="columns"
            :rows="rows"
            :key-of="({ of }) => of"
            :label="title"
            :test-id="`weld-stand-${key}`"
            is-cards
          >
            <template #by="{ row }">
              <strong v-if="row.hasMoved" class="moved">{{ row.by }}</strong>
              <template v-else>{{ row.by }}</template>
            </template>
          </FactTable>
        </template>
        <ul v-if="stand.told.worse.length > 0" class="worse" :aria-label="words.worse">
          <li v-for="one in stand.told.worse" :key="one.label">{{ one.sentence }}</li>
        </ul>
      </template>
    </template>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 220px), 1fr));
  gap: 10px 14px;
  margin: 8px 0;
}
h3 {
  margin-top: 12px;
  font-weight: 600;
}
.moved {
  color: var(--accent);
}
.worse {
  margin-top: 8px;
  padding-left: 20px;
  list-style: disc;
}
</style>

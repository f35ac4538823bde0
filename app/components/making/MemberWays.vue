<script setup lang="ts">
import { MEMBER_KINDS, type MemberKind } from '~~/core/file/kinds/memberKinds'
import type { WayRow } from '~~/core/show/text/memberText'
import type { FactColumn } from '~/composables/factColumn'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** Every way to make it, side by side; one of them is taken. */
const making = useMaking()
const { columns } = words
const COLUMNS: readonly FactColumn<WayRow>[] = [
  { key: 'way', label: columns.way, is: 'head' },
  { key: 'cut', label: columns.cut, is: 'number', isWorked: true, text: ({ cut }) => cut },
  { key: 'lowest', label: columns.lowest, is: 'number', isWorked: true, text: ({ lowest }) => lowest },
  { key: 'share', label: columns.share, is: 'number', isWorked: true, text: ({ share }) => share },
  { key: 'sag', label: columns.sag, is: 'number', isWorked: true, text: ({ sag }) => sag },
  { key: 'work', label: columns.work, is: 'wide', isWorked: true, text: ({ work }) => work },
  { key: 'stays', label: columns.stays, is: 'words', text: ({ stays }) => stays },
  { key: 'chosen', label: columns.chosen, isLabelHidden: true },
]
const isMade = ({ id }: WayRow) => making.found?.member.chosen === id
const kinds = (Object.keys(MEMBER_KINDS) as MemberKind[]).map((kind) => ({
  label: words.kinds[kind],
  onSelect: () => making.addWay(kind),
}))
</script>

<template>
  <section aria-labelledby="member-ways">
    <h2 id="member-ways">{{ words.beside }}</h2>
    <FactTable
      :columns="COLUMNS"
      :rows="making.rows"
      :key-of="({ id }) => id"
      :label="words.beside"
      :look="(row) => ({ class: { taken: isMade(row) } })"
      :lacks="({ missing }) => missing"
      is-cards
      test-id="member-ways"
    >
      <template #way="{ row }">
        <span class="way"><MemberKindMark :kind="row.kind" /> {{ row.name }}</span>
        <span class="soft stock">{{ row.stock }}</span>
      </template>
      <template #chosen="{ row }">
        <span v-if="isMade(row)" class="made"><UIcon name="i-lucide-check" /> {{ words.isMade }}</span>
        <RemoveButton v-else :label="words.removeWay(row.name)" @click="making.removeWay(row.id)" />
      </template>
    </FactTable>
    <UDropdownMenu :items="kinds">
      <UButton variant="link" icon="i-lucide-plus" trailing-icon="i-lucide-chevron-down">{{
        words.addWay
      }}</UButton>
    </UDropdownMenu>
  </section>
</template>

<style scoped>
.way {
  display: flex;
  align-items: center;
  gap: 8px;
}
.stock {
  display: block;
  font-weight: 400;
}
.made {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  color: var(--accent);
  font-weight: 600;
  white-space: nowrap;
}
section :deep(.taken) {
  background: var(--wash);
}
section :deep(td),
section :deep(th) {
  padding-left: 8px;
}
</style>

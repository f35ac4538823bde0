<script setup lang="ts">
import type { CaseRow, ForceRow } from '~~/core/show/text/mountText'
import type { FactColumn } from '~/composables/factColumn'
import { mounts as words } from '~/texts/making'
import { useMounts } from '~/stores/mounts'

/** Every case beside the others; the one that is looked at shows what its mounts bear. */
const mounts = useMounts()
const cases = computed((): readonly FactColumn<CaseRow>[] => [
  { key: 'case', label: words.case, is: 'head' },
  { key: 'roll', label: words.roll, is: 'words', text: ({ roll }) => roll },
  { key: 'output', label: words.output, is: 'number', text: ({ output }) => output },
  { key: 'turns', label: words.turns, is: 'words', text: ({ turns }) => turns },
  { key: 'joint', label: words.joint, is: 'words', text: ({ joint }) => joint },
  { key: 'gap', label: words.gap, is: 'words' },
  // A column for what happens to none says nothing.
  ...(mounts.rows.some(({ lifts }) => lifts !== '')
    ? [{ key: 'lifts', label: words.lifts, is: 'words' as const, text: ({ lifts }: CaseRow) => lifts || '–' }]
    : []),
])
const FORCES: readonly FactColumn<ForceRow>[] = [
  { key: 'mount', label: words.mount, is: 'head', text: ({ name }) => name },
  { key: 'size', label: words.size, is: 'number' },
  { key: 'ways', label: words.ways, is: 'words', text: ({ ways }) => ways },
  { key: 'bolt', label: words.boltOf, is: 'words', text: ({ bolt }) => bolt },
]
</script>

<template>
  <section aria-labelledby="mount-cases">
    <h2 id="mount-cases">{{ words.cases }}</h2>
    <FactTable
      :columns="cases"
      :rows="mounts.rows"
      :key-of="({ key }) => key"
      :label="words.cases"
      :look="({ key }) => ({ class: { looked: key === mounts.at?.at.key } })"
      is-cards
      test-id="mount-cases"
    >
      <template #case="{ row }">
        <UButton
          variant="link"
          size="md"
          :aria-pressed="row.key === mounts.at?.at.key"
          @click="mounts.looked = row.key"
          >{{ row.name }}</UButton
        >
      </template>
      <template #gap="{ row }">
        <span :class="{ out: row.isOut }">{{ row.gap }}</span>
      </template>
    </FactTable>
    <template v-if="mounts.at">
      <h2 class="next">{{ words.forces(mounts.at.at.name) }}</h2>
      <FactTable
        :columns="FORCES"
        :rows="mounts.forces"
        :key-of="({ id }) => id"
        is-cards
        test-id="mount-forces"
      >
        <template #size="{ row }">
          <strong v-if="row.lifts" class="out">{{ words.off }}</strong>
          <template v-else
            >{{ row.size
            }}<small v-if="row.plusMinus" class="soft spread">{{ row.plusMinus }}</small></template
          >
        </template>
      </FactTable>
    </template>
    <p v-for="strain in mounts.strains" :key="strain" data-testid="mount-strain">
      {{ words.strained }}: {{ strain }}
    </p>
    <p v-if="mounts.share" :class="{ out: mounts.isMuch }" data-testid="mount-share">{{ mounts.share }}</p>
  </section>
</template>

<style scoped>
section :deep(.looked) {
  background: var(--wash);
}
section :deep(th .font-medium) {
  padding-left: 0;
}
.next {
  margin-top: 18px;
}
.spread {
  display: block;
}
p {
  margin-top: 8px;
}
</style>

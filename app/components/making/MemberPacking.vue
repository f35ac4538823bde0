<script setup lang="ts">
import type { PackRow } from '~~/core/show/text/packRows'
import type { FactColumn } from '~/composables/factColumn'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** The seat and every joint with the tail packed a little more or less. */
const making = useMaking()
const { pack } = words
const COLUMNS: readonly FactColumn<PackRow>[] = [
  {
    key: 'packed',
    label: pack.packed,
    is: 'head',
    text: ({ packed, isNow }) => (isNow ? `${packed}, ${pack.now}` : packed),
  },
  { key: 'seat', label: pack.seat, is: 'number', text: ({ seat }) => seat },
  { key: 'joints', label: pack.joints, is: 'figure', text: ({ joints }) => joints },
]
</script>

<template>
  <section v-if="making.packs.length > 0" aria-labelledby="member-packing">
    <h2 id="member-packing">{{ words.packing }}</h2>
    <FactTable
      :columns="COLUMNS"
      :rows="making.packs"
      :key-of="({ amount }) => amount"
      :label="words.packing"
      :look="({ isNow }) => ({ class: { now: isNow } })"
      test-id="member-packing"
    />
  </section>
</template>

<style scoped>
section :deep(.now) {
  background: var(--wash);
}
section :deep(:is(td, th)) {
  padding-left: 8px;
}
</style>

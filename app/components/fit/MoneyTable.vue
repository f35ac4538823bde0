<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import type { Sums } from '~~/core/jobs/money/money'
import type { FactColumn } from '~/composables/factColumn'
import { tasks as words } from '~/texts/tasks'
import { useTasks } from '~/stores/tasks'

/** What the build costs: spent, ordered, to come. */
const tasks = useTasks()
interface MoneyRow {
  readonly name: string
  readonly sums: Sums
}
const rows = computed((): MoneyRow[] => {
  const { bySort, ownHours, logged, all } = tasks.money
  return [
    { name: words.money.buy, sums: bySort.buy },
    { name: words.money.fabricate, sums: bySort.fabricate },
    { name: words.money.fit, sums: bySort.fit },
    ...(ownHours ? [{ name: words.money.ownHours, sums: ownHours }] : []),
    { name: words.money.logged, sums: logged },
    { name: words.money.all, sums: all },
  ].filter(({ sums }, k, list) => k === list.length - 1 || sums.spent + sums.ordered + sums.toCome > 0)
})
const isThere = computed(() => rows.value.length > 1)
const text = (sum: number) => (sum === 0 ? '–' : fixed(sum, 0))
const columns: readonly FactColumn<MoneyRow>[] = [
  { key: 'name', label: tasks.crew?.money ?? words.money.title, is: 'head', text: ({ name }) => name },
  { key: 'spent', label: words.money.spent, is: 'number', text: ({ sums }) => text(sums.spent) },
  { key: 'ordered', label: words.money.ordered, is: 'number', text: ({ sums }) => text(sums.ordered) },
  { key: 'toCome', label: words.money.toCome, is: 'number', text: ({ sums }) => text(sums.toCome) },
]
</script>

<template>
  <section v-if="isThere">
    <h2>{{ words.money.title }}</h2>
    <FactTable :columns="columns" :rows="rows" :key-of="({ name }) => name" test-id="money" />
  </section>
</template>

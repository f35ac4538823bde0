<script setup lang="ts">
import { sentenceCase } from '~~/core/show/text/checkText'
import { waitsText } from '~~/core/show/text/workText'
import type { Blocked } from '~~/core/jobs/next/nextWork'
import { taskName } from '~~/core/jobs/tasks/taskName'
import type { FactColumn } from '~/composables/factColumn'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'

/** What cannot be begun, and what it waits for. */
defineProps<{ rows: readonly Blocked[] }>()
const plan = usePlan()
const columns: readonly FactColumn<Blocked>[] = [
  {
    key: 'what',
    label: words.blockedColumns.what,
    is: 'head',
    text: ({ task }) => sentenceCase(taskName(task)),
  },
  {
    key: 'waits',
    label: words.blockedColumns.waits,
    is: 'wide',
    text: (row) => waitsText(row, plan.day),
  },
  { key: 'frees', label: words.blockedColumns.frees, is: 'number', text: ({ frees }) => words.frees(frees) },
]
</script>

<template>
  <FactTable
    :columns="columns"
    :rows="rows"
    :key-of="({ task }) => task.key"
    :label="words.blocked"
    test-id="blocked"
  />
</template>

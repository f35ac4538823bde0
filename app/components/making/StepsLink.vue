<script setup lang="ts">
import type { StepSubject } from '~~/core/file/kinds/tickKinds'
import { steps as words } from '~/texts/steps'

/** To the same work step by step, one a screen. */
const { of, thing } = defineProps<{ of: StepSubject; thing: string }>()
const route = useRoute()
const to = computed(() => ({ path: `/b/${String(route.params.id)}/steps`, query: { of, thing } }))
</script>

<template>
  <UButton class="add" variant="outline" icon="i-lucide-check" :to="to">{{ words.open }}</UButton>
</template>

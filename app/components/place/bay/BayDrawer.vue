<script setup lang="ts">
import { bodyById } from '~~/core/file/parts/bodies'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** One part of the bay, or the shelf to take another from. */
const { at } = defineProps<{ at: string }>()
const emit = defineEmits<{ close: [] }>()
const workbench = useWorkbench()
const body = computed(() => (workbench.build ? bodyById(workbench.build, at) : undefined))
</script>

<template>
  <SideDrawer
    v-if="workbench.build"
    :title="body ? body.name : texts.bay.title"
    :at="at"
    @close="emit('close')"
  >
    <BodyFields v-if="body" :key="body.id" :build="workbench.build" :body="body" @removed="emit('close')" />
    <ShelfList v-else :build="workbench.build" />
  </SideDrawer>
</template>

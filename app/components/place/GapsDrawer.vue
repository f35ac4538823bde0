<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** All gaps of the build; opened at the one that was asked for, or at a new one. */
const { at } = defineProps<{ at: string }>()
const emit = defineEmits<{ close: [] }>()
const workbench = useWorkbench()
const words = texts.place.drawer
/** The two bodies of a new gap, where it was asked for from the picture. */
const between = computed(() => {
  const [word, ...bodies] = at.split(':')
  return word === 'between' ? bodies : []
})
const asked = computed(() => workbench.build?.gaps.find(({ id }) => id === at) ?? null)
</script>

<template>
  <SideDrawer
    v-if="workbench.build"
    :title="asked ? asked.name : words.title"
    :at="at"
    @close="emit('close')"
  >
    <GapFields v-if="asked" :key="asked.id" :build="workbench.build" :gap="asked" />
    <NewGapForm v-else :key="at" :build="workbench.build" :between="between" />
  </SideDrawer>
</template>

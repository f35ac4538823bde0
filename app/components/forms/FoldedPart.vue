<script setup lang="ts">
/** Something that is folded away until it is asked for; the browser's own search finds what is in it, and nobody but the reader folds it away again. */
const { title, isOpen = false } = defineProps<{ title?: string; isOpen?: boolean }>()
const open = ref(isOpen)
watch(
  () => isOpen,
  (now) => void (open.value ||= now),
)
</script>

<template>
  <UCollapsible v-model:open="open" :unmount-on-hide="false" class="folded">
    <button type="button" class="title">
      <UIcon name="i-lucide-chevron-right" class="arrow" :class="{ open }" aria-hidden="true" />
      <span
        ><slot name="title">{{ title }}</slot></span
      >
    </button>
    <template #content><slot /></template>
  </UCollapsible>
</template>

<style scoped>
.folded {
  display: block;
}
.title {
  display: flex;
  align-items: center;
  gap: 4px;
  min-height: 32px;
  font-weight: 500;
  text-align: left;
  cursor: pointer;
}
.arrow {
  flex: none;
  color: var(--soft);
}
.arrow.open {
  transform: rotate(90deg);
}
</style>

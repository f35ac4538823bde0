<script setup lang="ts" generic="K extends string">
/** Tabs over one panel, which shows what is open. */
const { tabs } = defineProps<{ tabs: readonly { readonly key: K; readonly label: string }[] }>()
const open = defineModel<K>({ required: true })
const UI = {
  list: 'tab-strip',
  trigger: 'tab-grip',
  label: 'tab-word',
  indicator: 'hidden',
  content: 'tab-panel',
}
</script>

<template>
  <UTabs v-model="open" :items="[...tabs]" value-key="key" :ui="UI" class="tabbed">
    <template #content><slot /></template>
  </UTabs>
</template>

<style scoped>
.tabbed {
  display: block;
  gap: 0;
  align-items: stretch;
  border-top: 1px solid var(--hair);
}
.tabbed :deep(.tab-strip) {
  display: flex;
  flex-direction: row;
  justify-content: flex-start;
  width: auto;
  gap: 4px;
  padding: 6px 16px 0;
  overflow-x: auto;
  background: none;
  border-radius: 0;
}
.tabbed :deep(.tab-grip) {
  flex: none;
  min-height: 34px;
  padding: 0 10px;
  border-bottom: 3px solid transparent;
  border-radius: 0;
  color: inherit;
  font-size: inherit;
  cursor: pointer;
}
.tabbed :deep(.tab-grip[data-state='inactive']) {
  color: var(--soft);
}
.tabbed :deep(.tab-grip[data-state='active']) {
  color: var(--accent);
  border-color: var(--accent);
}
.tabbed :deep(.tab-word) {
  overflow: visible;
}
/* The figures in it change with every step of a lever; nothing outside is laid out for that. */
.tabbed :deep(.tab-panel) {
  contain: layout style;
  padding: 6px 16px 14px;
}
@media (max-width: 860px) {
  .tabbed :deep(.tab-grip) {
    min-height: 48px;
  }
  .tabbed :deep(.tab-panel) {
    padding: 8px 12px 16px;
  }
}
</style>

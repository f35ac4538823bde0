<script setup lang="ts" generic="K extends string">
/** Tabs over a panel: one is open, arrow keys go from one to the next. */
const { tabs, panel } = defineProps<{
  tabs: readonly { readonly key: K; readonly label: string }[]
  /** Id of the panel under them, which is named by the open tab. */
  panel: string
}>()
const open = defineModel<K>({ required: true })
const idOf = (key: K) => `${panel}-tab-${key}`
function move(sense: number) {
  const at = tabs.findIndex(({ key }) => key === open.value)
  const next = tabs[(at + sense + tabs.length) % tabs.length]
  if (!next) return
  open.value = next.key
  void nextTick(() => document.getElementById(idOf(next.key))?.focus())
}
</script>

<template>
  <div role="tablist" @keydown.right.prevent="move(1)" @keydown.left.prevent="move(-1)">
    <button
      v-for="{ key, label } in tabs"
      :id="idOf(key)"
      :key="key"
      type="button"
      role="tab"
      :aria-selected="open === key"
      :tabindex="open === key ? 0 : -1"
      :aria-controls="panel"
      @click="open = key"
    >
      {{ label }}
    </button>
  </div>
</template>

<style scoped>
[role='tablist'] {
  display: flex;
  gap: 4px;
  padding: 6px 16px 0;
  overflow-x: auto;
}
[role='tab'] {
  min-height: 34px;
  padding: 0 10px;
  border-bottom: 3px solid transparent;
  color: var(--soft);
  font-weight: 500;
  white-space: nowrap;
  cursor: pointer;
}
[role='tab'][aria-selected='true'] {
  color: var(--accent);
  border-color: var(--accent);
}
@media (max-width: 860px) {
  [role='tab'] {
    min-height: 48px;
  }
}
</style>

<script setup lang="ts" generic="W extends string">
/** One of a few words, side by side as large as fingers are; arrow keys go from one to the next. */
const { label, options, value } = defineProps<{
  label: string
  options: readonly (readonly [word: W, label: string])[]
  /** Empty until one is said. */
  value: W | '' | undefined
  /** Each stands by itself, with what the slot draws over its word. */
  isApart?: boolean
}>()
const emit = defineEmits<{ choose: [word: W] }>()
defineSlots<{ default?: (of: { word: W }) => unknown }>()
const items = computed(() => options.map(([word, text]) => ({ value: word as string, label: text })))
const chosen = computed(() => (value === undefined ? '' : (value as string)))
</script>

<template>
  <!-- A button is named once, when it is made: other words take other buttons. -->
  <URadioGroup
    :key="items.map((item) => item.label).join()"
    variant="card"
    indicator="hidden"
    orientation="horizontal"
    :aria-label="label"
    :model-value="chosen"
    :items="items"
    class="choice"
    :class="{ apart: isApart }"
    @update:model-value="emit('choose', $event as W)"
  >
    <template #label="{ item }">
      <slot :word="item.value as W" />
      {{ item.label }}
    </template>
  </URadioGroup>
</template>

<style scoped>
.choice :deep([data-slot='fieldset']) {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  gap: 0;
  border: 1px solid var(--hair);
  border-radius: 4px;
  overflow: hidden;
}
.choice :deep([data-slot='item']) {
  position: relative;
  display: grid;
  place-items: center;
  min-height: 38px;
  padding: 2px 6px;
  border: 0;
  border-radius: 0;
  background: var(--card);
  font-size: 0.9375rem;
  text-align: center;
  cursor: pointer;
}
.choice :deep([data-slot='wrapper']) {
  width: 100%;
  margin: 0;
}
.choice :deep([data-slot='label']) {
  display: grid;
  justify-items: center;
  gap: 2px;
  color: inherit;
  font-size: inherit;
  font-weight: inherit;
}
/* The whole of it is the button. */
.choice :deep([data-slot='container']) {
  position: absolute;
  inset: 0;
  height: auto;
}
.choice :deep([data-slot='base']) {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  border: 0;
  border-radius: 4px;
  box-shadow: none;
  background: transparent;
  clip-path: none;
  cursor: pointer;
}
.choice :deep([data-slot='indicator']) {
  display: none;
}
.choice :deep([data-slot='item']:has([data-state='checked'])) {
  background: var(--wash);
  color: var(--accent);
  font-weight: 600;
}
.choice :deep([data-slot='base']:focus-visible) {
  outline: 2px solid var(--accent);
  outline-offset: -2px;
}
.apart :deep([data-slot='fieldset']) {
  gap: 8px;
  border: 0;
  overflow: visible;
}
.apart :deep([data-slot='item']) {
  min-height: 64px;
  padding: 6px;
  border: 1.5px solid var(--hair);
  border-radius: 4px;
  font-size: 1rem;
  font-weight: 500;
}
.apart :deep([data-slot='item']:has([data-state='checked'])) {
  border-color: var(--accent);
}
@media (max-width: 860px) {
  .choice :deep([data-slot='item']) {
    min-height: 48px;
  }
}
</style>

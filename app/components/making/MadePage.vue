<script setup lang="ts">
import { making } from '~/texts/making'
import { tabsOf, type ViewOfBench } from '~/texts/views'

/** A page of making: what is made at the left, what it is made by at the right, what stands side by side below. */
const {
  items = [],
  item = undefined,
  choice = '',
  nav = { label: making.nav.label, views: tabsOf('make') },
} = defineProps<{
  title: string
  lead: string
  /** What there is of it, the one that is looked at, and what is chosen among: shown where there are several. */
  items?: readonly { readonly value: string; readonly label: string }[]
  item?: string
  choice?: string
  /** The views that it stands among; those of making when nothing is said. */
  nav?: { readonly label: string; readonly views: readonly ViewOfBench[] }
}>()
const emit = defineEmits<{ look: [id: string] }>()
defineSlots<{ default?: () => unknown; side?: () => unknown; below?: () => unknown }>()
</script>

<template>
  <ViewNav :label="nav.label" :views="nav.views" />
  <div class="made">
    <div class="main">
      <ChoiceField
        v-if="item !== undefined && items.length > 1"
        :label="choice"
        :value="item"
        :items="[...items]"
        @change="emit('look', $event)"
      />
      <h1>{{ title }}</h1>
      <p class="soft lead">{{ lead }}</p>
      <slot />
    </div>
    <aside v-if="$slots.side" class="side"><slot name="side" /></aside>
    <div v-if="$slots.below" class="below"><slot name="below" /></div>
  </div>
</template>

<style scoped>
.made {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  align-items: start;
}
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 14px 24px 40px;
  min-width: 0;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.made :deep(h2) {
  font-size: 1.0625rem;
  font-weight: 600;
}
.lead {
  margin-top: -10px;
}
.made :deep(.add) {
  justify-self: start;
}
.made :deep(.out) {
  color: var(--out);
  font-weight: 600;
}
.made :deep(.drawn) {
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  padding: 8px 0;
}
.made :deep(.drawn > .caption) {
  padding-inline: 14px;
}
.made :deep(.drawn > svg) {
  display: block;
  max-width: 100%;
}
.made :deep(.caution) {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  padding: 16px 20px 40px;
  border-left: 1px solid var(--hair);
}
.below {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 16px 24px 40px;
  border-top: 1px solid var(--hair);
}
.side :deep(.fields) {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  align-items: end;
  margin: 6px 0 8px;
}
@media (max-width: 1080px) {
  .made {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
@media (max-width: 640px) {
  .main,
  .side,
  .below {
    padding-inline: 14px;
  }
}
@media print {
  .made {
    display: block;
  }
}
</style>

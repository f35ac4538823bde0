<script setup lang="ts">
import { texts } from '~/texts/en'

/** The parts of measuring: what is read, where, with what, and how it compares. */
const route = useRoute()
const words = texts.measuring.nav
const links = (['readings', 'setups', 'tools', 'datum', 'compare'] as const).map((key) => ({
  key,
  to: `/b/${String(route.params.id)}/${key}`,
}))
</script>

<template>
  <nav class="measure-nav no-print" :aria-label="words.label">
    <NuxtLink
      v-for="link in links"
      :key="link.key"
      :to="link.to"
      :aria-current="route.path === link.to ? 'page' : undefined"
      :class="{ current: route.path === link.to }"
      >{{ words[link.key] }}</NuxtLink
    >
  </nav>
</template>

<style scoped>
.measure-nav {
  display: flex;
  gap: 4px;
  padding: 6px 24px 0;
  border-bottom: 1px solid var(--hair);
  overflow-x: auto;
}
a {
  display: grid;
  place-items: center;
  min-height: 36px;
  padding: 0 12px;
  border-bottom: 3px solid transparent;
  color: var(--soft);
  font-weight: 500;
  white-space: nowrap;
}
a.current {
  color: var(--accent);
  border-color: var(--accent);
}
@media (max-width: 860px) {
  .measure-nav {
    padding: 0 8px;
  }
  a {
    min-height: 48px;
    padding: 0 10px;
  }
}
</style>

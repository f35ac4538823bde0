<script setup lang="ts">
/** The views of one stage of the work, one beside the other. */
const { views } = defineProps<{
  label: string
  views: readonly { readonly key: string; readonly name: string }[]
}>()
const route = useRoute()
const links = computed(() =>
  views.map(({ key, name }) => ({ key, name, to: `/b/${String(route.params.id)}/${key}` })),
)
const nav = useTemplateRef<HTMLElement>('nav')
/** On a phone not all of them fit: the one that is looked at is brought into sight. */
onMounted(() => nav.value?.querySelector('.current')?.scrollIntoView({ inline: 'center', block: 'nearest' }))
</script>

<template>
  <nav ref="nav" class="view-nav no-print" :aria-label="label">
    <NuxtLink
      v-for="link in links"
      :key="link.key"
      :to="link.to"
      :aria-current="route.path === link.to ? 'page' : undefined"
      :class="{ current: route.path === link.to }"
      >{{ link.name }}</NuxtLink
    >
  </nav>
</template>

<style scoped>
.view-nav {
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
  .view-nav {
    padding: 0 8px;
  }
  a {
    min-height: 48px;
    padding: 0 10px;
  }
}
</style>

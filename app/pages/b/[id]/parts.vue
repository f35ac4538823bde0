<script setup lang="ts">
// Once a page of its own; addresses that were kept still lead there.
const route = useRoute()
await navigateTo(
  { path: `/b/${String(route.params.id)}/line`, query: { drawer: 'parts' } },
  { replace: true },
)
</script>

<template>
  <div />
</template>

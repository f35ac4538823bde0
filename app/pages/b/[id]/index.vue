<script setup lang="ts">
const route = useRoute()
await navigateTo(`/b/${String(route.params.id)}/line`, { replace: true })
</script>

<template>
  <div />
</template>

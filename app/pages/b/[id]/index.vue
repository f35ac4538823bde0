<script setup lang="ts">
const route = useRoute()
await navigateTo(`/b/${String(route.params.id)}/next`, { replace: true })
</script>

<template>
  <div />
</template>

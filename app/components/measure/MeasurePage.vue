<script setup lang="ts">
defineProps<{ title: string; lead: string }>()
</script>

<template>
  <div class="measure-page">
    <h1>{{ title }}</h1>
    <p class="soft lead">{{ lead }}</p>
    <slot />
  </div>
</template>

<style scoped>
.measure-page {
  padding: 20px 24px 32px;
  max-width: 1160px;
}
h1 {
  font-size: 1.5rem;
  font-weight: 600;
}
.lead {
  max-width: 64ch;
  margin: 4px 0 16px;
  line-height: 1.4;
}
@media (max-width: 860px) {
  .measure-page {
    padding: 14px 14px 24px;
  }
  .measure-page :deep(button:not([role='checkbox'])),
  .measure-page :deep(input) {
    min-height: 48px;
  }
}
</style>

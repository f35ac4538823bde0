<script setup lang="ts">
defineProps<{ title: string; note?: string }>()
</script>

<template>
  <section class="card" :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="note" class="soft note">{{ note }}</p>
    <div class="fields"><slot /></div>
  </section>
</template>

<style scoped>
.card {
  padding: 14px 16px 16px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  break-inside: avoid;
}
h2 {
  font-weight: 600;
  font-size: 1.125rem;
}
.note {
  margin-top: 2px;
  line-height: 1.3;
  font-size: 0.9375rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px 14px;
  align-items: start;
  margin-top: 10px;
}
@media (max-width: 860px) {
  .fields :deep(input),
  .fields :deep(button) {
    min-height: 48px;
  }
}
</style>

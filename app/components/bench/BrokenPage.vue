<script setup lang="ts">
import { reasonOf } from '~/stores/reasonOf'
import { texts } from '~/texts/en'

/** A page that broke while it was built: said, with what can be done; the rest of the bench stands. */
defineProps<{ error: unknown }>()
const emit = defineEmits<{ again: [] }>()
const words = texts.fault
</script>

<template>
  <section class="broken" role="alert">
    <h1>{{ words.title }}</h1>
    <p>{{ words.body }}</p>
    <details>
      <summary>{{ words.detail }}</summary>
      <p class="said">{{ reasonOf(error) }}</p>
    </details>
    <div class="doing">
      <UButton @click="emit('again')">{{ words.again }}</UButton>
      <UButton to="/" variant="outline">{{ words.home }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.broken {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 44rem;
  padding: 48px 36px;
}
h1 {
  font-size: 1.375rem;
  font-weight: 600;
}
.said {
  font-family: ui-monospace, monospace;
  font-size: 0.875rem;
}
.doing {
  display: flex;
  gap: 10px;
}
</style>

<script setup lang="ts">
import type { NuxtError } from '#app'

/** The page of last resort, when the application itself broke. */
defineProps<{ error: NuxtError }>()
const again = () => void clearError({ redirect: '/' })
</script>

<template>
  <UApp>
    <main><BrokenPage :error="error" @again="again" /></main>
  </UApp>
</template>

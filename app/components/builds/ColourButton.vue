<script setup lang="ts">
import { texts } from '~/texts/en'

const mode = useColorMode()
const toggle = () => (mode.preference = mode.value === 'dark' ? 'light' : 'dark')
</script>

<template>
  <UButton
    :icon="mode.value === 'dark' ? 'i-lucide-sun' : 'i-lucide-moon'"
    color="neutral"
    variant="ghost"
    :aria-label="texts.bar.colour"
    :title="texts.bar.colour"
    @click="toggle"
  />
</template>

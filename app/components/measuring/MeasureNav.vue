<script setup lang="ts">
import { texts } from '~/texts/en'

/** The parts of measuring: what is read, where, with what, and how it compares. */
const words = texts.measuring.nav
const views = (['readings', 'setups', 'tools', 'datum', 'compare'] as const).map((key) => ({
  key,
  name: words[key],
}))
</script>

<template>
  <ViewNav :label="words.label" :views="views" />
</template>

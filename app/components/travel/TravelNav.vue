<script setup lang="ts">
import { halfshaftTexts } from '~/texts/halfshafts'

/** The views of the travel: axles, and halfshafts. */
const words = halfshaftTexts.nav
const views = (['travel', 'halfshafts'] as const).map((key) => ({ key, name: words[key] }))
</script>

<template>
  <ViewNav :label="words.label" :views="views" />
</template>

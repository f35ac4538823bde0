<script setup lang="ts">
import { texts } from '~/texts/en'

/** The views of placing: the board, how engine and gearbox meet, what they weigh, how they come in. */
const words = texts.place.nav
const views = (['place', 'mating', 'weight', 'way-in'] as const).map((key) => ({ key, name: words[key] }))
</script>

<template>
  <ViewNav :label="words.label" :views="views" />
</template>

<script setup lang="ts">
import { partsOfLine } from '~/texts/parts'

/** The views of the line: to scale, part by part, and what it has to bear. */
const words = partsOfLine.nav
const views = (['line', 'chains', 'parts', 'schools', 'map', 'strength'] as const).map((key) => ({
  key,
  name: words[key],
}))
</script>

<template>
  <ViewNav :label="words.label" :views="views" />
</template>

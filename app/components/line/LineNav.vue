<script setup lang="ts">
import { partsOfLine } from '~/texts/parts'
import { tabsOf } from '~/texts/views'

/** The views of the line: to scale, part by part, and what it has to bear. */
const words = partsOfLine.nav
</script>

<template>
  <ViewNav :label="words.label" :views="tabsOf('line')" />
</template>

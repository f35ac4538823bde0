<script setup lang="ts">
import { halfshaftTexts } from '~/texts/halfshafts'
import { tabsOf } from '~/texts/views'

/** The views of the travel: axles, and halfshafts. */
const words = halfshaftTexts.nav
</script>

<template>
  <ViewNav :label="words.label" :views="tabsOf('travel')" />
</template>

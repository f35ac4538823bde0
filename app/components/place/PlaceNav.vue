<script setup lang="ts">
import { texts } from '~/texts/en'
import { tabsOf } from '~/texts/views'

/** The views of placing: the board, how engine and gearbox meet, what they weigh, how they come in. */
const words = texts.place.nav
</script>

<template>
  <ViewNav :label="words.label" :views="tabsOf('place')" />
</template>

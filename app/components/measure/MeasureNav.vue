<script setup lang="ts">
import { texts } from '~/texts/en'
import { tabsOf } from '~/texts/views'

/** The parts of measuring: what is read, where, with what, and how it compares. */
const words = texts.measuring.nav
</script>

<template>
  <ViewNav :label="words.label" :views="tabsOf('readings')" />
</template>

<script setup lang="ts">
import { splitByTerms } from '~/texts/glossary'

/** A text whose terms of the trade explain themselves on hover, focus or tap. */
const { text } = defineProps<{ text: string }>()
const pieces = computed(() => splitByTerms(text))
</script>

<template>
  <span
    ><template v-for="(piece, i) in pieces" :key="i"
      ><TermWord v-if="piece.entry" :word="piece.text" :meaning="piece.entry.meaning" /><template v-else>{{
        piece.text
      }}</template></template
    ></span
  >
</template>

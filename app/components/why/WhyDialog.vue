<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWhy } from '~/stores/why'

/** Where a figure comes from, as a tree down to what was read. */
const why = useWhy()
const words = texts.why
</script>

<template>
  <USlideover
    :open="why.question !== null"
    :title="words.title"
    :description="why.question ? `${why.question.title}: ${why.question.value}` : ''"
    @update:open="why.close()"
  >
    <template #body>
      <p v-if="!why.answer || why.answer.length === 0" class="soft">{{ words.nothing }}</p>
      <OriginTree v-else :lines="why.answer" @go="why.close()" />
    </template>
  </USlideover>
</template>

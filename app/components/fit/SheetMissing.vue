<script setup lang="ts">
import { sentenceCase } from '~~/core/show/text/checkText'
import { texts } from '~/texts/en'

/** Instead of orders to set by: what is still to be read before there are any. */
const { missing } = defineProps<{ missing: readonly string[]; to: string }>()
const words = texts.sheet
const SHOWN = 12
const rest = computed(() => missing.length - SHOWN)
</script>

<template>
  <section class="missing" data-testid="sheet-missing">
    <h2>{{ words.notYetTitle }}</h2>
    <p>{{ words.notYet }}</p>
    <ul>
      <li v-for="one in missing.slice(0, SHOWN)" :key="one">
        <VerdictMark verdict="unknown" :size="13" silent /> {{ sentenceCase(one) }}
      </li>
    </ul>
    <p v-if="rest > 0" class="soft">{{ words.moreMissing(rest) }}</p>
    <UButton class="no-print" :to="to">{{ words.continue }}</UButton>
  </section>
</template>

<style scoped>
.missing {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin: 12px 0;
}
h2 {
  font-weight: 600;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
</style>

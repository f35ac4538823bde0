<script setup lang="ts">
import type { Missing } from '~~/core/base/known'
import { useFieldPlaces } from '~/composables/useFieldPlaces'

/** What is missing, each a way to the field that takes it. */
const { missing } = defineProps<{ missing: readonly Missing[] }>()
const { toMissing } = useFieldPlaces()
</script>

<template>
  <span>
    <template v-for="(one, i) in missing" :key="one.what"
      ><template v-if="i > 0">; </template
      ><NuxtLink :to="toMissing(one)" class="to">{{ one.what }}</NuxtLink></template
    >
  </span>
</template>

<style scoped>
.to {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>

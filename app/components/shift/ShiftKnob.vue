<script setup lang="ts">
import { shift as words } from '~/texts/shift'
import { useShiftKnobs } from '~/stores/shiftKnobs'

/** Where the knob goes, what it comes near, the opening that the lever wants. */
const knobs = useShiftKnobs()
const rows = computed(() =>
  knobs.told.map(({ name, title, value, place }) => ({ key: name, name: title, value, place })),
)
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="knob-told">
    <h2 id="knob-told">{{ words.knob.title }}</h2>
    <AskedTable :label="words.knob.title" :rows="rows" test-id="knob-table" />
  </section>
</template>

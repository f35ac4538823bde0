<script setup lang="ts">
import { shift as words } from '~/texts/shift'
import { SHIFT_LEVERS, useShiftLevers } from '~/stores/shiftLevers'

/** Which sizes of a linkage are free. */
const shiftLevers = useShiftLevers()
</script>

<template>
  <section aria-labelledby="shift-levers">
    <h2 id="shift-levers">{{ words.levers.title }}</h2>
    <p class="soft">{{ words.levers.help }}</p>
    <FreedLevers
      :kinds="SHIFT_LEVERS"
      :own="shiftLevers.own"
      :release="words.levers.release"
      @free="shiftLevers.free"
    />
  </section>
</template>

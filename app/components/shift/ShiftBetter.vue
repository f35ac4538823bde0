<script setup lang="ts">
import { useFormat } from '~/composables/useFormat'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'

/** What would make a linkage hit its detents better: its rod, the gate to set it in, its holes, its slot. */
const shifts = useShifts()
const { length } = useFormat()
</script>

<template>
  <section v-if="shifts.told" aria-labelledby="shift-better">
    <h2 id="shift-better">{{ words.better }}</h2>
    <p data-testid="shift-rod">{{ shifts.told.rod }}</p>
    <UButton v-if="shifts.betterRodMm !== null" variant="outline" size="sm" @click="shifts.setBestRod()">{{
      words.set(length(shifts.betterRodMm))
    }}</UButton>
    <p v-if="shifts.rodAsSetMm !== null">
      {{ words.comesTo }}
      <AskedFigure
        :name="`shifts[${shifts.index}].rodMm`"
        :title="words.rod"
        :value="length(shifts.rodAsSetMm)"
      />
    </p>
    <p v-if="shifts.told.set" data-testid="shift-set">{{ shifts.told.set }}</p>
    <template v-if="shifts.told.holes.length > 0">
      <h3>{{ words.holes }}</h3>
      <ol class="figure" data-testid="shift-holes">
        <li v-for="one in shifts.told.holes" :key="one">{{ one }}</li>
      </ol>
    </template>
    <template v-if="shifts.told.slot">
      <h3>{{ words.slot }}</h3>
      <p data-testid="shift-slot">{{ shifts.told.slot }}</p>
    </template>
  </section>
</template>

<style scoped>
ol {
  list-style: decimal;
  padding-left: 22px;
}
h3 {
  margin-top: 10px;
  font-weight: 600;
}
</style>

<script setup lang="ts">
import type { Shift, ShiftEnd } from '~~/core/file/parts/shiftLinkage'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'

/** The gates of a linkage in the order of the lever's way; some may be the lever's or the gearbox's alone. */
const { shift } = defineProps<{ shift: Shift }>()
const shifts = useShifts()
const owners = (['lever', 'box'] as const).map((value: ShiftEnd) => ({ value, label: words.gate[value] }))
const canGo = computed(() => shift.gates.length > 2)
</script>

<template>
  <section aria-labelledby="shift-gates">
    <h2 id="shift-gates">{{ words.gate.title }}</h2>
    <ol class="gates" data-testid="shift-gates">
      <li v-for="(gate, k) in shift.gates" :key="gate.id">
        <TextField
          :label="words.gate.name"
          :value="gate.name"
          required
          @change="shifts.changeGate(gate.id, { name: $event })"
        />
        <ChoiceField
          :label="words.gate.only"
          :value="gate.only"
          :items="owners"
          :unsaid="words.gate.both"
          @change="shifts.changeGate(gate.id, { only: $event })"
        />
        <UButton
          v-if="k > 0"
          variant="ghost"
          icon="i-lucide-chevron-up"
          :aria-label="words.gate.up(gate.name)"
          @click="shifts.gateEarlier(gate.id)"
        />
        <span v-else />
        <RemoveButton
          v-if="canGo"
          :label="words.gate.remove(gate.name)"
          @click="shifts.removeGate(gate.id)"
        />
      </li>
    </ol>
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="shifts.addGate()">{{
      words.gate.add
    }}</UButton>
  </section>
</template>

<style scoped>
.gates {
  display: grid;
  gap: 4px;
  margin-block: 6px 8px;
}
li {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr) 36px 36px;
  gap: 8px;
  align-items: end;
}
</style>

<script setup lang="ts">
import type { Shift } from '~~/core/file/parts/shiftLinkage'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'

/** The slot that a lever runs in, as it is. */
const { shift } = defineProps<{ shift: Shift }>()
const shifts = useShifts()
const SLOT = [
  ['beyondFirstMm', words.slotFields.beyondFirstMm],
  ['beyondLastMm', words.slotFields.beyondLastMm],
  ['radiusMm', words.slotFields.radiusMm],
  ['overMm', words.slotFields.overMm],
] as const
const changeSlot = (changed: object) => {
  const next = { ...shift.slot, ...changed }
  shifts.change({ slot: Object.values(next).every((one) => one === undefined) ? undefined : next })
}
</script>

<template>
  <FoldedPart :title="words.slot" :is-open="shift.slot !== undefined">
    <div class="fields">
      <FigureField
        v-for="[key, label] in SLOT"
        :key="key"
        :label="label"
        kind="length"
        :of="`shifts.slot.${key}`"
        :value="shift.slot?.[key]"
        @change="changeSlot({ [key]: $event })"
      />
    </div>
  </FoldedPart>
</template>

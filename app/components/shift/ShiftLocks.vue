<script setup lang="ts">
import { GATE_DUTIES, YES_NO, type Shift } from '~~/core/file/parts/shiftLinkage'
import { trialsOf } from '~~/core/shift/rod/locks'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'

/** The locks of each gate as they were tried, and the thread of the rod's ends. */
const { shift } = defineProps<{ shift: Shift }>()
const shifts = useShifts()
const duties = GATE_DUTIES.map((value) => ({ value, label: words.locks.duties[value] }))
const answers = YES_NO.map((value) => ({ value, label: words.locks.answers[value] }))
const states = (['made', 'filed', 'replaced'] as const).map((value) => ({
  value,
  label: words.locks.states[value],
}))
const asked = computed(() => shift.gates.map((gate) => ({ gate, trials: trialsOf(gate) })))
</script>

<template>
  <section aria-labelledby="shift-locks">
    <h2 id="shift-locks">{{ words.locks.title }}</h2>
    <p class="soft">{{ words.locks.help }}</p>
    <fieldset v-for="{ gate, trials } in asked" :key="gate.id" :data-testid="`locks-${gate.id}`">
      <legend>{{ gate.name }}</legend>
      <div class="fields">
        <ChoiceField
          :label="words.locks.is"
          :value="gate.is"
          :items="duties"
          :unsaid="words.locks.isNone"
          @change="shifts.changeGate(gate.id, { is: $event })"
        />
        <ChoiceField
          v-if="gate.is"
          :label="words.locks.lock"
          :value="gate.lock"
          :items="states"
          :unsaid="words.locks.lockNone"
          @change="shifts.changeGate(gate.id, { lock: $event })"
        />
        <ChoiceField
          v-for="trial in trials"
          :key="trial"
          :label="words.locks.trials[trial]"
          :value="gate[trial]"
          :items="answers"
          :unsaid="words.locks.untried"
          @change="shifts.changeGate(gate.id, { [trial]: $event })"
        />
      </div>
    </fieldset>
    <div class="fields">
      <FigureField
        :label="words.locks.thread"
        kind="length"
        of="shifts.threadMm"
        :value="shift.threadMm"
        @change="shifts.change({ threadMm: $event })"
      />
      <FigureField
        :label="words.locks.engaged"
        kind="length"
        of="shifts.engagedMm"
        :value="shift.engagedMm"
        @change="shifts.change({ engagedMm: $event })"
      />
    </div>
  </section>
</template>

<style scoped>
fieldset {
  border-top: 1px solid var(--hair);
}
legend {
  padding-right: 8px;
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { shift as words } from '~/texts/shift'
import { useLevers } from '~/stores/levers'
import { useShiftLevers } from '~/stores/shiftLevers'
import { useShifts } from '~/stores/shifts'
import { useWorkbench } from '~/stores/workbench'

/** Levers that shift the gearbox: every gate against its detent. */
const shifts = useShifts()
const workbench = useWorkbench()
const shiftLevers = useShiftLevers()
const levers = useLevers()
const named = computed(() => shifts.all.map(({ shift }) => ({ value: shift.id, label: shift.name })))
const shift = computed(() => shifts.found?.shift ?? null)
const missing = computed(() =>
  shifts.found && !shifts.found.found.known ? shifts.found.found.missing : null,
)
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="shift?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="shift?.id"
    @look="shifts.looked = $event"
  >
    <template v-if="shift">
      <p class="figure sentence" data-testid="shift-sentence">{{ shifts.sentence }}</p>
      <WaitsFor v-if="missing" :missing="missing" />
      <ShiftPicture
        v-else
        :views="shifts.views"
        :scene-of="shifts.scene"
        :gate="shifts.gateId"
        :levers="shiftLevers.own"
        :settings="levers.settings"
        @hold="(lever, amount) => levers.hold(lever, amount)"
        @release="levers.release(words.levers.release)"
        @choose="shifts.gate = $event"
      />
      <p v-if="shifts.firstStep">
        <UButton
          :variant="missing ? 'solid' : 'outline'"
          icon="i-lucide-ruler"
          :to="{ path: `/b/${workbench.build.id}/readings`, query: { step: shifts.firstStep } }"
          >{{ words.readGates }}</UButton
        >
      </p>
      <ShiftTable />
      <ul v-if="shifts.unlikeTold.length > 0" data-testid="unlike-gates">
        <li v-for="one in shifts.unlikeTold" :key="one">{{ one }}</li>
      </ul>
      <section v-if="shifts.locksTold.length > 0" aria-labelledby="lock-faults">
        <h2 id="lock-faults">{{ words.locks.faults }}</h2>
        <ul data-testid="lock-faults">
          <li v-for="one in shifts.locksTold" :key="one">{{ one }}</li>
        </ul>
      </section>
      <p class="caution">{{ words.caution }}</p>
      <ShiftKnob />
      <ShiftBetter />
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton class="add" :variant="shift ? 'outline' : 'solid'" icon="i-lucide-plus" @click="shifts.add()">{{
      words.add
    }}</UButton>
    <template v-if="shift" #side>
      <ShiftRodFields :shift="shift" />
      <ShiftGates :shift="shift" />
      <ShiftSlotFields :shift="shift" />
      <ShiftKnobFields />
      <ShiftLocks :shift="shift" />
      <ShiftLevers />
      <RemoveButton is-worded :label="words.remove(shift.name)" @click="shifts.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.sentence {
  font-size: 1.125rem;
  font-weight: 600;
}
</style>

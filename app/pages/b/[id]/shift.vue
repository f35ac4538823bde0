<script setup lang="ts">
import type { ShiftRow } from '~~/core/show/text/shiftText'
import type { FactColumn } from '~/composables/factColumn'
import { useFormat } from '~/composables/useFormat'
import { making } from '~/texts/making'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'
import { useWorkbench } from '~/stores/workbench'

/** Levers that shift the gearbox: every gate against its detent. */
const shifts = useShifts()
const workbench = useWorkbench()
const { length } = useFormat()
const named = computed(() => shifts.all.map(({ shift }) => ({ value: shift.id, label: shift.name })))
const shift = computed(() => shifts.found?.shift ?? null)
const missing = computed(() =>
  shifts.found && !shifts.found.found.known ? shifts.found.found.missing : null,
)
const COLUMNS: readonly FactColumn<ShiftRow>[] = [
  { key: 'gate', label: words.columns.gate, is: 'head' },
  { key: 'lever', label: words.columns.lever, is: 'number', text: ({ lever }) => lever },
  { key: 'box', label: words.columns.box, is: 'number', text: ({ box }) => box },
  { key: 'error', label: words.columns.error, is: 'number' },
  { key: 'left', label: words.columns.left, is: 'number' },
  {
    key: 'transmission',
    label: words.columns.transmission,
    is: 'number',
    text: ({ transmission }) => transmission,
  },
]
const SIZES = [
  ['rodMm', words.rodLength],
  ['rodFromMm', words.rodFrom],
  ['rodToMm', words.rodTo],
] as const
const SLOT = [
  ['beyondFirstMm', words.slotFields.beyondFirstMm],
  ['beyondLastMm', words.slotFields.beyondLastMm],
  ['radiusMm', words.slotFields.radiusMm],
  ['overMm', words.slotFields.overMm],
] as const
const sizes = computed(() => SIZES.filter(([key]) => key !== 'rodMm' || shift.value?.setIn === undefined))
const settable = computed(() =>
  (shift.value?.gates ?? [])
    .filter(({ only }) => only === undefined)
    .map(({ id, name }) => ({ value: id, label: name })),
)
const rodNow = computed(() => (shifts.found?.found.known ? shifts.found.found.value.rodMm : null))
const best = computed(() => shifts.advice?.rod?.rodMm ?? null)
const isBest = computed(
  () => best.value !== null && Math.abs((shift.value?.rodMm ?? NaN) - best.value) < 0.06,
)
const changeSlot = (changed: object) => {
  const next = { ...shift.value?.slot, ...changed }
  shifts.change({ slot: Object.values(next).every((one) => one === undefined) ? undefined : next })
}
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
      <p v-if="missing" class="waits">
        <VerdictMark verdict="unknown" :size="14" /> {{ making.waits }} <MissingWords :missing="missing" />
      </p>
      <ShiftPicture
        v-else
        :views="shifts.views"
        :scene-of="shifts.scene"
        :gate="shifts.gateId"
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
      <section aria-labelledby="shift-table">
        <h2 id="shift-table">{{ words.gates }}</h2>
        <FactTable
          :columns="COLUMNS"
          :rows="shifts.rows"
          :key-of="({ id }) => id"
          :label="words.gates"
          is-cards
          test-id="shift-table"
        >
          <template #gate="{ row }">
            <button
              v-if="row.only === ''"
              type="button"
              class="gate"
              :aria-pressed="row.id === shifts.gateId"
              @click="shifts.gate = row.id"
            >
              <VerdictMark :verdict="row.verdict" :size="13" /> {{ row.name }}
            </button>
            <template v-else
              >{{ row.name }} <span class="soft">{{ row.only }}</span></template
            >
          </template>
          <template #error="{ row }">
            <AskedFigure
              v-if="row.place"
              :name="`${row.place}.errorDeg`"
              :title="`${words.columns.error}: ${row.name}`"
              :value="row.error"
            />
            <template v-else>{{ row.error }}</template>
          </template>
          <template #left="{ row }">
            <AskedFigure
              v-if="row.place"
              :name="`${row.place}.leftDeg`"
              :title="`${words.columns.left}: ${row.name}`"
              :value="row.left"
            />
            <template v-else>{{ row.left }}</template>
          </template>
        </FactTable>
      </section>
      <p class="caution">{{ words.caution }}</p>
      <section v-if="shifts.told" aria-labelledby="shift-better">
        <h2 id="shift-better">{{ words.better }}</h2>
        <p data-testid="shift-rod">{{ shifts.told.rod }}</p>
        <UButton
          v-if="best !== null && !isBest && shift.setIn === undefined"
          variant="outline"
          size="sm"
          @click="shifts.setBestRod()"
          >{{ words.set(length(Math.round(best * 10) / 10)) }}</UButton
        >
        <p v-if="shift.setIn !== undefined && rodNow !== null">
          {{ words.comesTo }}
          <AskedFigure :name="`shifts[${shifts.index}].rodMm`" :title="words.rod" :value="length(rodNow)" />
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
    <p v-else>{{ words.none }}</p>
    <UButton class="add" :variant="shift ? 'outline' : 'solid'" icon="i-lucide-plus" @click="shifts.add()">{{
      words.add
    }}</UButton>
    <template v-if="shift" #side>
      <section aria-labelledby="shift-sizes">
        <h2 id="shift-sizes">{{ words.rod }}</h2>
        <div class="fields">
          <TextField
            :label="words.name"
            :value="shift.name"
            required
            @change="shifts.change({ name: $event })"
          />
          <ChoiceField
            :label="words.setIn"
            :value="shift.setIn"
            :items="settable"
            :unsaid="words.setNowhere"
            @change="shifts.change({ setIn: $event })"
          />
          <FigureField
            v-for="[key, label] in sizes"
            :key="key"
            :label="label"
            kind="length"
            :of="`shifts.${key}`"
            :value="shift[key]"
            @change="shifts.change({ [key]: $event })"
          />
        </div>
        <ShiftArmFields :shift="shift" end="lever" />
        <ShiftArmFields :shift="shift" end="box" />
      </section>
      <ShiftGates :shift="shift" />
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
      <RemoveButton is-worded :label="words.remove(shift.name)" @click="shifts.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.sentence {
  font-size: 1.125rem;
  font-weight: 600;
}
.gate {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  min-width: 64px;
  padding-inline: 6px;
  border-radius: 3px;
  font-weight: 600;
  cursor: pointer;
}
.gate[aria-pressed='true'] {
  background: var(--wash);
}
ol {
  list-style: decimal;
  padding-left: 22px;
}
h3 {
  margin-top: 10px;
  font-weight: 600;
}
</style>

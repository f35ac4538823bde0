<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { HubBody } from '~~/core/file/parts/body'
import type { LengthMotion } from '~~/core/file/parts/hubMotion'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useTravel } from '~/stores/travel'

/** The heights at which a halfshaft was measured, and the next one: jack, measure, next. */
const { hub, motion } = defineProps<{ hub: HubBody; motion: LengthMotion }>()
const travel = useTravel()
const { length, travel: tall } = useFormat()
const words = travelTexts.lengths
const table = travelTexts.table
type LengthRow = LengthMotion['rows'][number]
const COLUMNS: readonly FactColumn<LengthRow>[] = [
  {
    key: 'height',
    label: words.column.height,
    text: ({ wheelUpMm }) => (wheelUpMm === 0 ? travelTexts.ride : tall(wheelUpMm)),
    is: 'head',
  },
  { key: 'length', label: words.column.length, text: ({ lengthMm }) => length(lengthMm), is: 'figure' },
  { key: 'does', label: table.again, isLabelHidden: true },
]
/** Ride height first, then both ends of the travel. */
const wanted = computed(() => {
  const { bumpMm = 60, droopMm = 80 } = hub.travel ?? {}
  return [0, -droopMm, bumpMm]
})
const left = computed(() => Math.max(0, 3 - motion.rows.length))
const isRead = (height: number) => motion.rows.some(({ wheelUpMm }) => wheelUpMm === height)
const height = ref(0)
const distance = ref<number | undefined>()
const isTried = ref(false)
/** What was measured there already stands in the field. */
function goTo(to: number) {
  height.value = to
  distance.value = motion.rows.find(({ wheelUpMm }) => wheelUpMm === to)?.lengthMm
  isTried.value = false
}
watch(
  () => hub.id,
  () => goTo(wanted.value.find((one) => !isRead(one)) ?? 0),
  { immediate: true },
)
function take() {
  isTried.value = true
  if (distance.value === undefined) return
  travel.takeLength(hub.id, { wheelUpMm: height.value, lengthMm: distance.value })
  void nextTick(() => {
    const next = wanted.value.find((one) => !isRead(one))
    if (next !== undefined) goTo(next)
  })
}
</script>

<template>
  <HeightGuide
    :title="words.title"
    :lead="words.lead"
    :caution="words.caution"
    :jack="words.jack"
    :height="height"
    :wanted="wanted"
    :is-read="isRead(height)"
    :fault="isTried && distance === undefined ? words.missing : ''"
    test-id="length-guide"
    @take="take"
  >
    <template #table>
      <FactTable
        v-if="motion.rows.length"
        :columns="COLUMNS"
        :rows="motion.rows"
        :key-of="({ wheelUpMm }) => wheelUpMm"
        test-id="length-table"
      >
        <template #does="{ row }">
          <HeightDoes
            :height="tall(row.wheelUpMm)"
            can-go
            @again="goTo(row.wheelUpMm)"
            @remove="travel.removeLength(hub.id, row.wheelUpMm)"
          />
        </template>
      </FactTable>
    </template>
    <template #fields>
      <FigureField
        :label="words.height"
        kind="length"
        required
        of="bodies.hub.motion.lengths.rows.wheelUpMm"
        :value="height"
        @change="height = $event ?? height"
      />
      <FigureField
        :label="words.length"
        kind="length"
        of="bodies.hub.motion.lengths.rows.lengthMm"
        :value="distance"
        @change="distance = $event"
      />
    </template>
    <template #said>
      <p class="soft">{{ left > 0 ? table.needed(left) : table.between }}</p>
      <p class="soft">{{ words.turn }}</p>
    </template>
  </HeightGuide>
</template>

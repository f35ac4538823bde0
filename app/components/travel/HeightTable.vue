<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { AxleBody } from '~~/core/file/parts/body'
import type { TableMotion } from '~~/core/file/parts/axleMotion'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useTravel } from '~/stores/travel'

/** The heights at which it was read how an axle stands, and the next one: jack, read, next. */
const { axle, motion } = defineProps<{ axle: AxleBody; motion: TableMotion }>()
const travel = useTravel()
const { length, angle, travel: tall } = useFormat()
const words = travelTexts.table
/** Heights to read at first: ends of the travel and halfway to them. */
const wanted = computed(() => {
  const { bumpMm = 80, droopMm = 80 } = axle.travel ?? {}
  return [0, -droopMm, -Math.round(droopMm / 2), Math.round(bumpMm / 2), bumpMm]
})
const hasRide = computed(() => motion.ride?.stationMm !== undefined && motion.ride.noseDeg !== undefined)
interface HeightRow {
  readonly wheelUpMm: number
  readonly isRide: boolean
  readonly stationMm: number | null
  readonly noseDeg: number | null
}
const COLUMNS: readonly FactColumn<HeightRow>[] = [
  {
    key: 'height',
    label: words.column.height,
    text: ({ isRide, wheelUpMm }) => (isRide ? travelTexts.ride : tall(wheelUpMm)),
    is: 'head',
  },
  {
    key: 'nose',
    label: words.column.nose,
    text: ({ noseDeg }) => (noseDeg === null ? '?' : angle(noseDeg, 1)),
    is: 'figure',
  },
  {
    key: 'station',
    label: words.column.station,
    text: ({ stationMm }) => (stationMm === null ? '?' : length(stationMm)),
    is: 'figure',
  },
  { key: 'does', label: words.again, isLabelHidden: true },
]
const rows = computed((): HeightRow[] =>
  motion.rows.map((row) => ({
    ...row,
    isRide: row.wheelUpMm === 0,
    stationMm: motion.ride?.stationMm === undefined ? null : motion.ride.stationMm - row.forwardMm,
    noseDeg: motion.ride?.noseDeg === undefined ? null : motion.ride.noseDeg + row.noseUpDeg,
  })),
)
const isRead = (height: number) =>
  height === 0 ? hasRide.value : motion.rows.some((row) => row.wheelUpMm === height)
const left = computed(() => Math.max(0, 3 - motion.rows.length))
const height = ref(0)
const nose = ref<number | undefined>()
const station = ref<number | undefined>()
const isTried = ref(false)
/** What was read there already stands in the fields. */
function goTo(to: number) {
  height.value = to
  const row = rows.value.find(({ wheelUpMm }) => wheelUpMm === to)
  nose.value = row?.noseDeg ?? undefined
  station.value = row?.stationMm ?? undefined
  isTried.value = false
}
watch(
  () => axle.id,
  () => goTo(wanted.value.find((one) => !isRead(one)) ?? 0),
  { immediate: true },
)
function take() {
  isTried.value = true
  if (nose.value === undefined || station.value === undefined) return
  travel.takeHeight(axle.id, { wheelUpMm: height.value, noseDeg: nose.value, stationMm: station.value })
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
    :fault="isTried && (nose === undefined || station === undefined) ? words.missing : ''"
    test-id="height-guide"
    @take="take"
  >
    <template #table>
      <FactTable
        v-if="hasRide"
        :columns="COLUMNS"
        :rows="rows"
        :key-of="({ wheelUpMm }) => wheelUpMm"
        test-id="height-table"
      >
        <template #does="{ row }">
          <HeightDoes
            :height="tall(row.wheelUpMm)"
            :can-go="!row.isRide"
            @again="goTo(row.wheelUpMm)"
            @remove="travel.removeHeight(axle.id, row.wheelUpMm)"
          />
        </template>
      </FactTable>
    </template>
    <template #fields>
      <FigureField
        v-if="hasRide"
        :label="words.height"
        kind="length"
        required
        of="bodies.axle.motion.table.rows.wheelUpMm"
        :value="height"
        @change="height = $event ?? height"
      />
      <FigureField
        :label="words.nose"
        kind="plain"
        unit="°"
        of="bodies.axle.motion.table.ride.noseDeg"
        :value="nose"
        @change="nose = $event"
      />
      <FigureField
        :label="words.station"
        kind="length"
        of="bodies.axle.motion.table.ride.stationMm"
        :value="station"
        @change="station = $event"
      />
    </template>
    <template #said>
      <p v-if="hasRide && left > 0" class="soft">{{ words.needed(left) }}</p>
      <p v-else-if="hasRide" class="soft">{{ words.between }}</p>
      <p v-else class="soft">{{ words.first }}</p>
    </template>
  </HeightGuide>
</template>

<script setup lang="ts">
import type { AxleBody, TableMotion } from '~~/core/project/body'
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
const rows = computed(() =>
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
const step = computed(() => wanted.value.indexOf(height.value) + 1)
const jack = computed(() =>
  height.value === 0
    ? words.jack.ride
    : height.value < 0
      ? words.jack.down(tall(-height.value))
      : words.jack.up(tall(height.value)),
)
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
  <div class="heights">
    <h3>{{ words.title }}</h3>
    <p class="soft">{{ words.lead }}</p>
    <table v-if="hasRide" data-testid="height-table">
      <thead>
        <tr>
          <th scope="col">{{ words.column.height }}</th>
          <th scope="col">{{ words.column.nose }}</th>
          <th scope="col">{{ words.column.station }}</th>
          <th scope="col">
            <span class="sr-only">{{ words.again }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.wheelUpMm">
          <th scope="row">{{ row.isRide ? travelTexts.ride : tall(row.wheelUpMm) }}</th>
          <td>{{ row.noseDeg === null ? '?' : angle(row.noseDeg, 1) }}</td>
          <td>{{ row.stationMm === null ? '?' : length(row.stationMm) }}</td>
          <td class="does">
            <UButton
              size="xs"
              variant="ghost"
              icon="i-lucide-pencil"
              :aria-label="`${words.again}: ${tall(row.wheelUpMm)}`"
              @click="goTo(row.wheelUpMm)"
            />
            <UButton
              v-if="!row.isRide"
              size="xs"
              variant="ghost"
              color="neutral"
              icon="i-lucide-x"
              :aria-label="words.remove(tall(row.wheelUpMm))"
              @click="travel.removeHeight(axle.id, row.wheelUpMm)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <form class="guide" data-testid="height-guide" @submit.prevent="take">
      <p v-if="step > 0" class="soft step">{{ words.step(step, wanted.length) }}</p>
      <p class="jack">
        <strong>{{ jack }}</strong>
      </p>
      <p class="caution">{{ words.caution }}</p>
      <div class="fields">
        <FigureField
          v-if="hasRide"
          :label="words.height"
          kind="length"
          :least="-1000"
          :most="1000"
          required
          :value="height"
          @change="height = $event ?? height"
        />
        <FigureField
          :label="words.nose"
          kind="plain"
          unit="°"
          :least="-90"
          :most="90"
          :value="nose"
          @change="nose = $event"
        />
        <FigureField
          :label="words.station"
          kind="length"
          :least="-100000"
          :most="100000"
          :value="station"
          @change="station = $event"
        />
      </div>
      <p v-if="isTried && (nose === undefined || station === undefined)" role="alert" class="fault">
        {{ words.missing }}
      </p>
      <UButton type="submit" size="lg">{{ isRead(height) ? words.take : words.next }}</UButton>
      <p v-if="hasRide && left > 0" class="soft">{{ words.needed(left) }}</p>
      <p v-else-if="hasRide" class="soft">{{ words.between }}</p>
      <p v-else class="soft">{{ words.first }}</p>
    </form>
  </div>
</template>

<style scoped>
.heights {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
h3 {
  font-weight: 600;
}
table {
  width: 100%;
  font-variant-numeric: tabular-nums;
}
th,
td {
  padding: 3px 8px 3px 0;
  text-align: right;
  border-bottom: 1px solid var(--hair);
}
thead th {
  font-weight: 400;
  color: var(--soft);
}
tbody th {
  font-weight: 600;
}
.does {
  white-space: nowrap;
  padding-right: 0;
}
.guide {
  display: grid;
  gap: 8px;
  padding: 12px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
}
.jack {
  font-size: 1.0625rem;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
  line-height: 1.3;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 10px;
}
.fault {
  color: var(--out);
}
@media (max-width: 640px) {
  .guide :deep(input),
  .guide :deep(button) {
    min-height: 48px;
  }
}
</style>

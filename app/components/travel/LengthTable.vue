<script setup lang="ts">
import type { HubBody } from '~~/core/project/body'
import type { LengthMotion } from '~~/core/project/hubMotion'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useTravel } from '~/stores/travel'

/** The heights at which a halfshaft was measured, and the next one: jack, measure, next. */
const { hub, motion } = defineProps<{ hub: HubBody; motion: LengthMotion }>()
const travel = useTravel()
const { length, travel: tall } = useFormat()
const words = travelTexts.lengths
const table = travelTexts.table
/** Both ends of the travel, and ride height first. */
const wanted = computed(() => {
  const { bumpMm = 60, droopMm = 80 } = hub.travel ?? {}
  return [0, -droopMm, bumpMm]
})
const left = computed(() => Math.max(0, 3 - motion.rows.length))
const isRead = (height: number) => motion.rows.some(({ wheelUpMm }) => wheelUpMm === height)
const height = ref(0)
const distance = ref<number | undefined>()
const isTried = ref(false)
const step = computed(() => wanted.value.indexOf(height.value) + 1)
const jack = computed(() =>
  height.value === 0
    ? words.jack.ride
    : height.value < 0
      ? words.jack.down(tall(-height.value))
      : words.jack.up(tall(height.value)),
)
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
  <div class="heights">
    <h3>{{ words.title }}</h3>
    <p class="soft">{{ words.lead }}</p>
    <table v-if="motion.rows.length" data-testid="length-table">
      <thead>
        <tr>
          <th scope="col">{{ words.column.height }}</th>
          <th scope="col">{{ words.column.length }}</th>
          <th scope="col">
            <span class="sr-only">{{ table.again }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in motion.rows" :key="row.wheelUpMm">
          <th scope="row">{{ row.wheelUpMm === 0 ? travelTexts.ride : tall(row.wheelUpMm) }}</th>
          <td>{{ length(row.lengthMm) }}</td>
          <td class="does">
            <UButton
              size="xs"
              variant="ghost"
              icon="i-lucide-pencil"
              :aria-label="`${table.again}: ${tall(row.wheelUpMm)}`"
              @click="goTo(row.wheelUpMm)"
            />
            <UButton
              size="xs"
              variant="ghost"
              color="neutral"
              icon="i-lucide-x"
              :aria-label="table.remove(tall(row.wheelUpMm))"
              @click="travel.removeLength(hub.id, row.wheelUpMm)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <form class="guide" data-testid="length-guide" @submit.prevent="take">
      <p v-if="step > 0" class="soft step">{{ table.step(step, wanted.length) }}</p>
      <p class="jack">
        <strong>{{ jack }}</strong>
      </p>
      <p class="caution">{{ words.caution }}</p>
      <div class="fields">
        <FigureField
          :label="words.height"
          kind="length"
          :least="-1000"
          :most="1000"
          required
          :value="height"
          @change="height = $event ?? height"
        />
        <FigureField
          :label="words.length"
          kind="length"
          :least="1"
          :most="5000"
          :value="distance"
          @change="distance = $event"
        />
      </div>
      <p v-if="isTried && distance === undefined" role="alert" class="fault">{{ words.missing }}</p>
      <UButton type="submit" size="lg">{{ isRead(height) ? table.take : table.next }}</UButton>
      <p class="soft">{{ left > 0 ? table.needed(left) : table.between }}</p>
      <p class="soft">{{ words.turn }}</p>
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

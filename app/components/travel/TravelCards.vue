<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { travelPictures } from '~~/core/drawing/travelPicture'
import { travelPlaceId, type TravelPlace } from '~~/core/file/build/wheelPlaces'
import { placesOfLine } from '~~/core/check/lineStates'
import { hubById } from '~~/core/file/parts/bodies'
import type { Build } from '~~/core/file/build/build'
import { checkValueText } from '~~/core/show/text/checkText'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useTravel } from '~/stores/travel'

/** The line at each named place of the wheels, small and side by side; a click goes there. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const travel = useTravel()
const { angle, travel: height } = useFormat()
const words = travelTexts
/** The body that the line drives, and whether it is a hub, which is seen from behind. */
const end = computed(() => build.axes.find(({ id }) => id === evaluation.line.driven)?.body)
const isHub = computed(() => hubById(build, end.value) !== undefined)
const cards = computed(() => {
  const named = placesOfLine(build, evaluation.line).filter((one) => one.travel !== null)
  const byPlace = (place: TravelPlace) => named.filter((one) => one.travel === place)
  const inOrder = [
    ...byPlace('droop'),
    null,
    ...byPlace('settled'),
    ...byPlace('bump'),
    ...byPlace('left-up'),
    ...byPlace('right-up'),
    ...byPlace('left-lock'),
    ...byPlace('right-lock'),
  ].filter((place) => place === null || !isHub.value || place.wheels.some(({ axle }) => axle === end.value))
  return inOrder.map((place) => {
    const wheels = place?.wheels.find(({ axle }) => axle === end.value) ?? place?.wheels[0]
    const [left, right] = [wheels?.leftUpMm ?? 0, wheels?.rightUpMm ?? 0]
    const id = place && travelPlaceId(place.travel as TravelPlace)
    const state = evaluation.states.find((one) => one.state === 'ride' && (one.at?.id ?? null) === id)
    const figures = state?.figures.known ? state.figures.value : null
    const missing = state?.figures.known === false ? state.figures.missing.map(({ what }) => what) : []
    return {
      place: place?.travel ?? null,
      name: place?.name ?? words.ride,
      by:
        wheels?.rackMm !== undefined
          ? words.rack(height(Math.abs(wheels.rackMm)))
          : left === right
            ? place && `${left > 0 ? '+' : ''}${height(left)}`
            : `${height(Math.abs(left)).replace(/ mm$/, '')} / ${height(Math.abs(right))}`,
      slope: (left - right) / travel.trackMm,
      figures,
      missing,
    }
  })
})
const drawn = computed(() =>
  travelPictures(
    cards.value.map(({ figures, slope }) => ({
      centres: figures?.geometry.centres ?? [],
      driven: figures?.geometry.axes.at(-1) ?? [NaN, NaN, NaN],
      slope,
    })),
    isHub.value ? 'behind' : 'side',
  ),
)
/** The line's own slip, at the places where its check is worst. */
const slips = computed(() => evaluation.checks.filter(({ quantity }) => quantity in words.slipTexts))
const isHere = (place: TravelPlace | null) => {
  const along = travel.way?.leftUpMm ?? []
  if (place === null) return travel.atMm === 0 && travel.way?.way === 'parallel'
  if (place === 'left-lock' || place === 'right-lock') return travel.atMm === 0 && travel.way?.way === place
  const way = place === 'left-up' || place === 'right-up' ? 'crossed' : 'parallel'
  if (way !== travel.way?.way || place === 'settled') return false
  return travel.atMm === (place === 'bump' || place === 'left-up' ? along.at(-1) : along[0])
}
const slipAt = (place: TravelPlace | null) =>
  slips.value
    .filter(({ at }) => (at?.id ?? null) === (place && travelPlaceId(place)))
    .map((check) => ({
      verdict: check.verdict,
      text: words.slipTexts[check.quantity as keyof typeof words.slipTexts](
        checkValueText(check, check.value, build.units),
      ),
    }))
</script>

<template>
  <ul class="cards" :aria-label="words.places">
    <li v-for="(card, i) in cards" :key="card.name">
      <button
        type="button"
        :class="{ here: isHere(card.place) }"
        :aria-pressed="isHere(card.place)"
        :data-place="card.place ?? 'ride'"
        @click="travel.goToPlace(card.place)"
      >
        <span class="head">
          <strong>{{ card.name }}</strong>
          <span class="by">{{ card.by }}</span>
        </span>
        <TravelPicture
          v-if="card.figures && drawn.pictures[i]"
          :picture="drawn.pictures[i]"
          :width="drawn.width"
          :height="drawn.height"
          :checks="evaluation.checks"
        />
        <span v-else class="soft unreached">{{ card.missing[0] ?? words.unreached }}</span>
        <span class="angles">
          <span v-for="(deg, k) in card.figures?.anglesDeg ?? []" :key="k"
            ><span class="soft">{{ k + 1 }}</span> {{ angle(deg, 1) }}</span
          >
        </span>
        <span v-for="slip in slipAt(card.place)" :key="slip.text" class="slip" :class="slip.verdict">{{
          slip.text
        }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(134px, 1fr));
  gap: 8px;
}
button {
  display: grid;
  align-content: start;
  gap: 2px;
  width: 100%;
  height: 100%;
  padding: 8px 10px;
  text-align: left;
  border: 1.5px solid transparent;
  border-radius: 4px;
  cursor: pointer;
}
button:hover {
  border-color: var(--hair);
}
button.here {
  border-color: var(--accent);
  background: var(--card);
}
.head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 8px;
  line-height: 1.25;
}
.head strong {
  font-weight: 600;
}
.by,
.angles {
  font-variant-numeric: tabular-nums;
}
.by {
  color: var(--soft);
}
.angles {
  display: flex;
  gap: 14px;
  font-weight: 600;
}
.slip {
  font-weight: 600;
  line-height: 1.25;
}
.slip.holds {
  color: var(--holds);
}
.slip.tight {
  color: var(--tight);
}
.slip.out {
  color: var(--out);
}
.unreached {
  padding: 18px 0;
}
</style>

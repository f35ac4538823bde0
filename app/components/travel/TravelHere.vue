<script setup lang="ts">
import { travelPictures, type TravelPlaceDrawn } from '~~/core/drawing/travelPicture'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { lineAt, type TravelLine, type TravelWay } from '~~/core/model/travelCurves'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useTravel } from '~/stores/travel'

/** The line where the mark on the ruler stands, between both ends of its way. */
const { way, line, evaluation } = defineProps<{
  way: TravelWay
  line: TravelLine
  evaluation: LineEvaluation
}>()
const travel = useTravel()
const { angle } = useFormat()
const words = travelTexts
const isAcross = computed(() => ['left', 'right'].includes(evaluation.line.flow ?? 'rearward'))
const here = computed(() => lineAt(way, line, travel.atMm))
const drawn = computed(() => {
  const ends = [way.leftUpMm[0] ?? 0, way.leftUpMm.at(-1) ?? 0].map((mm) => lineAt(way, line, mm))
  const places: TravelPlaceDrawn[] = [here.value, ...ends].map(({ centres, driven, slope }) => ({
    centres,
    driven,
    slope: slope / travel.trackMm,
  }))
  return travelPictures(places, isAcross.value ? 'behind' : 'side')
})
</script>

<template>
  <figure class="here" data-testid="travel-here" :data-at="travel.atMm.toFixed(1)">
    <TravelPicture
      v-if="drawn.pictures[0]"
      :picture="drawn.pictures[0]"
      :ghosts="drawn.pictures.slice(1)"
      :width="drawn.width"
      :height="drawn.height"
      :checks="evaluation.checks"
    />
    <figcaption>
      <strong>{{ travel.placeWords }}</strong>
      <span v-for="(deg, i) in here.anglesDeg" :key="i"
        ><span class="soft">{{ words.joint(i + 1) }}</span> {{ angle(deg, 2) }}</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.here {
  display: grid;
  grid-template-columns: minmax(0, 230px) minmax(0, 1fr);
  gap: 6px 20px;
  align-items: center;
}
figcaption {
  display: grid;
  gap: 2px;
  font-variant-numeric: tabular-nums;
}
strong {
  font-weight: 600;
}
@media (max-width: 640px) {
  .here {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

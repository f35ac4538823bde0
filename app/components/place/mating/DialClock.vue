<script setup lang="ts">
import type { Known } from '~~/core/base/known'
import { clockText, type RoundAnswer } from '~~/core/bay/mating/matingOf'
import { clockPlace } from '~~/core/drawing/clockFace'
import type { DialRound } from '~~/core/file/parts/mating'
import { parseDial } from '~~/core/bay/mating/dialText'
import { texts } from '~/texts/en'
import { useMating } from '~/stores/mating'

/** Dial readings entered where they were taken; an arrow shows which way the bore or the face is off. */
const { round, answer } = defineProps<{ round: DialRound; answer: Known<RoundAnswer> }>()
const mating = useMating()
const words = texts.mating
const spots = computed(() =>
  round.spots.map((spot) => ({
    ...spot,
    place: clockPlace(spot.clockDeg, 0.41),
    fault: spot.text !== '' && !parseDial(spot.text, round.unit).ok ? words.at(clockText(spot.clockDeg)) : '',
  })),
)
const off = computed(() => {
  if (!answer.known) return null
  const { bore, face } = answer.value
  const clockDeg = bore ? bore.centre.clockDeg : (face?.highClockDeg ?? null)
  if (clockDeg === null) return null
  return { clockDeg, tip: clockPlace(clockDeg, 0.24) }
})
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
</script>

<template>
  <div class="clock" role="group" :aria-label="words.clockLabel">
    <svg viewBox="0 0 100 100" aria-hidden="true">
      <circle cx="50" cy="50" r="33" class="ring" />
      <circle cx="50" cy="50" r="29" class="bore" />
      <path d="M50 46v8M46 50h8" class="cross" />
      <g v-if="off">
        <path :d="`M50 50L${off.tip.x * 100} ${off.tip.y * 100}`" class="arrow" />
        <circle :cx="off.tip.x * 100" :cy="off.tip.y * 100" r="2.4" class="tip" />
      </g>
      <text x="50" y="25.5" class="hour">12</text>
      <text x="74.5" y="51.5" class="hour">3</text>
      <text x="50" y="76.5" class="hour">6</text>
      <text x="25.5" y="51.5" class="hour">9</text>
    </svg>
    <input
      v-for="spot in spots"
      :key="spot.clockDeg"
      class="spot figure"
      :class="{ bad: spot.fault !== '' }"
      :style="{ left: percent(spot.place.x), top: percent(spot.place.y) }"
      :value="spot.text"
      :aria-label="words.at(clockText(spot.clockDeg))"
      :aria-invalid="spot.fault !== ''"
      inputmode="text"
      maxlength="20"
      autocomplete="off"
      @change="mating.readSpot(round.id, spot.clockDeg, ($event.target as HTMLInputElement).value)"
    />
    <span class="unit soft">{{ round.unit }}</span>
  </div>
</template>

<style scoped>
.clock {
  position: relative;
  width: min(100%, 330px);
  aspect-ratio: 1;
  margin: 0 auto;
}
svg {
  width: 100%;
  height: 100%;
}
.ring {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 0.6;
}
.bore {
  fill: var(--card);
  stroke: var(--part-line);
  stroke-width: 0.6;
}
.cross {
  stroke: var(--soft);
  stroke-width: 0.5;
}
.arrow {
  stroke: var(--accent);
  stroke-width: 1.6;
}
.tip {
  fill: var(--accent);
}
.hour {
  fill: var(--soft);
  font-size: 4.2px;
  text-anchor: middle;
}
.spot {
  position: absolute;
  width: 58px;
  height: 34px;
  margin: -17px 0 0 -29px;
  text-align: center;
  background: var(--paper);
  border: 1px solid var(--part-line);
  border-radius: 3px;
}
.spot:focus {
  border-color: var(--accent);
}
.bad {
  border: 2px solid var(--out);
}
.unit {
  position: absolute;
  left: 50%;
  top: 60%;
  transform: translateX(-50%);
  font-size: 0.85rem;
}
@media (max-width: 860px) {
  .clock {
    width: min(100%, 340px);
  }
  .spot {
    width: 62px;
    height: 48px;
    margin: -24px 0 0 -31px;
  }
}
</style>

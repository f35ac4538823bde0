<script setup lang="ts">
import type { Check } from '~~/core/check/check'
import { HEIGHTS_LARGER, type TravelPicture } from '~~/core/drawing/travelPicture'
import type { Verdict } from '~~/core/file/build/limit'

/** A line at one place of its wheels, from the side; behind it, pale, where it goes to. */
const {
  picture,
  ghosts = [],
  checks,
} = defineProps<{
  picture: TravelPicture
  ghosts?: readonly TravelPicture[]
  width: number
  height: number
  checks: readonly Check[]
}>()
const shaftOf = ({ joints }: TravelPicture) => `M${joints.map((at) => at.join(' ')).join('L')}`
const noseOf = ({ joints, axle }: TravelPicture) => `M${joints.at(-1)?.join(' ')}L${axle.join(' ')}`
const verdictOf = (index: number): Verdict =>
  checks.find(
    ({ subject, quantity }) =>
      subject.of === 'joint' && subject.index === index && quantity !== 'cross-shear',
  )?.verdict ?? 'unknown'
const gearbox = computed(() => {
  const [x = 0, y = 0] = picture.joints[0] ?? []
  return picture.sense > 0 ? `M${x - 30} ${y - 15}h22v30h-22z` : `M${x + 8} ${y - 15}h22v30h-22z`
})
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
    <g v-for="(ghost, i) in ghosts" :key="i" class="ghost">
      <path :d="shaftOf(ghost)" class="shaft" />
      <path :d="noseOf(ghost)" class="nose" />
    </g>
    <path :d="gearbox" class="gearbox" />
    <g :transform="`translate(${picture.axle.join(' ')})`">
      <circle v-if="picture.leanDeg === null" r="22" class="wheel" />
      <rect
        v-else
        x="-8"
        y="-30"
        width="16"
        height="60"
        rx="4"
        class="wheel"
        :transform="`rotate(${picture.leanDeg * HEIGHTS_LARGER})`"
      />
      <path
        v-if="picture.rollDeg !== 0"
        d="M-20 0H20"
        class="tilt"
        :transform="`rotate(${-picture.rollDeg * 3})`"
      />
    </g>
    <path :d="shaftOf(picture)" class="shaft" />
    <path :d="noseOf(picture)" class="nose" />
    <JointMark
      v-for="([x, y], i) in picture.joints"
      :key="i"
      :joint="{ number: i + 1, verdict: verdictOf(i) }"
      :x="x"
      :y="y"
      small
    />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
}
.gearbox {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.4;
}
.wheel {
  fill: none;
  stroke: var(--part);
  stroke-width: 3;
}
.tilt {
  stroke: var(--part-line);
  stroke-width: 6;
}
.shaft {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.nose {
  stroke: var(--part-line);
  stroke-width: 9;
}
.ghost {
  opacity: 0.25;
}
</style>

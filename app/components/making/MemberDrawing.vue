<script setup lang="ts">
import type { MemberScene } from '~~/core/drawing/memberScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { useFormat } from '~/composables/useFormat'
import { making as words } from '~/texts/making'
import type { Known } from '~~/core/base/known'

/** The crossmember from behind, with its dimensions on it. */
const { sceneOf, turns } = defineProps<{
  sceneOf: (width: number) => Known<MemberScene> | null
  /** What stands at its corners, from the left. */
  turns: readonly string[]
}>()
const { length } = useFormat()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const scene = computed(() => {
  const found = sceneOf(Math.max(320, Math.floor(width.value)))
  return found?.known ? found.value : null
})
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
const middle = (from: readonly [number, number], to: readonly [number, number]) => (from[0] + to[0]) / 2
</script>

<template>
  <div ref="box" class="member-drawing">
    <p class="soft caption">{{ words.behind }}</p>
    <svg
      v-if="scene"
      :viewBox="`0 0 ${scene.width} ${scene.height}`"
      :width="scene.width"
      :height="scene.height"
      role="img"
      :aria-label="words.behind"
      data-testid="member-drawing"
    >
      <polygon
        v-for="(shape, i) in scene.shapes"
        :key="i"
        :points="points(shape.points)"
        :class="shape.part"
      />
      <template v-if="scene.ground">
        <path :d="`M0 ${scene.ground.to[1]}H${scene.width}`" class="floor" />
        <path :d="`M${scene.ground.from.join(' ')}V${scene.ground.to[1]}`" class="drop" />
        <text
          :x="scene.ground.from[0] - 8"
          :y="(scene.ground.from[1] + scene.ground.to[1]) / 2 + 5"
          class="drop-words"
        >
          {{ length(scene.ground.mm) }}
        </text>
        <text x="6" :y="scene.ground.to[1] + 16" class="small">{{ words.ground }}</text>
      </template>
      <g v-for="(at, i) in scene.corners" :key="`turn-${i}`">
        <text v-if="turns[i]" :x="at[0]" :y="at[1]" class="turn">
          {{ turns[i] }}
        </text>
      </g>
      <g v-for="(way, i) in scene.ways" :key="`way-${i}`">
        <path :d="`M${way.from.join(' ')}H${way.to[0]}`" class="dimension" />
        <path
          v-for="end in [way.from, way.to]"
          :key="end[0]"
          :d="`M${end[0]} ${end[1] - 7}v14`"
          class="dimension"
        />
        <text :x="middle(way.from, way.to)" :y="way.from[1] + 18" class="measure">{{ length(way.mm) }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.member-drawing {
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  padding: 8px 0 4px;
}
.caption {
  padding-inline: 14px;
}
svg {
  display: block;
  max-width: 100%;
}
.rail {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.gearbox {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.75;
}
.bush,
.fill {
  fill: var(--part);
  stroke: var(--part-line);
}
.fill {
  fill: var(--ruler);
}
.bar,
.ledge {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linejoin: round;
}
.ghost {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 5 4;
}
.floor {
  stroke: var(--part-line);
  stroke-width: 2;
}
.drop {
  stroke: var(--accent);
  stroke-width: 1.5;
}
text {
  font-family: var(--font-figure);
  font-variant-numeric: tabular-nums;
  fill: var(--ink);
}
.drop-words {
  text-anchor: end;
  font-weight: 600;
  font-size: 15px;
  fill: var(--accent);
}
.small,
.turn {
  font-size: 13px;
  fill: var(--soft);
}
.turn,
.measure {
  text-anchor: middle;
}
.measure {
  font-weight: 600;
  font-size: 15px;
}
.dimension {
  stroke: var(--soft);
}
</style>

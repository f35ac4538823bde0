<script setup lang="ts">
import { projection } from '~~/core/drawing/projection'
import type { SceneMass, WeightPlace, WeightScene } from '~~/core/drawing/weightScene'
import { fixed } from '~~/core/base/units/format'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { texts } from '~/texts/en'

/** The vehicle on its scales, from the side and from above: what each wheel bears, what goes in and out, where the weight lies. */
const { scene } = defineProps<{ scene: WeightScene }>()
const words = texts.weight
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 1080)
/** Below this width, in px, the views stand under each other. */
const NARROW = 720
const isNarrow = computed(() => width.value < NARROW)
const each = computed(() => Math.max(260, isNarrow.value ? width.value : (width.value - 20) / 2))
/** Width of a tyre, in mm. */
const TYRE_WIDE = 190
const TOP_ROOM = 50
const FOOT = 52
const view = computed(() => {
  const [from, to] = scene.span
  const scale = each.value / (to - from)
  const sideHeight = Math.round(Math.min(230, Math.max(120, 1250 * scale)))
  const topHeight = Math.round((scene.acrossMm + TYRE_WIDE) * scale + 30)
  const low = scene.wheelUpMm - scene.tyreMm / 2
  // The wheels stand at the foot of the picture.
  const height = low + sideHeight / scale / 2 - 20 / scale
  const put = projection({ width: each.value, sideHeight, topHeight }, { from, to, height, offset: 0 }, 1)
  return { put, sideHeight, topHeight, scale, ground: put.sideY(low) }
})
const kg = (amount: number) => `${fixed(amount, 0)} kg`
const signedKg = (amount: number) => `${amount < 0 ? '−' : '+'}${fixed(Math.abs(amount), 0)} kg`
const radius = (mass: SceneMass) => Math.max(4, Math.sqrt(mass.kg) * 1.05)
const side = ({ side: at }: WeightPlace) =>
  at && { x: view.value.put.x(at[0]), y: view.value.put.sideY(at[1]) }
const top = ({ top: at }: WeightPlace) => at && { x: view.value.put.x(at[0]), y: view.value.put.topY(at[1]) }
const views = computed(() => [
  { key: 'side' as const, place: side },
  { key: 'top' as const, place: top },
])
/** Masses of a view, large ones first so that small ones lie over them. */
const massesIn = (place: (at: WeightPlace) => { x: number; y: number } | null) =>
  [...scene.masses]
    .sort((a, b) => b.kg - a.kg)
    .flatMap((mass) => {
      const at = place(mass.at)
      const to = mass.to && place(mass.to)
      return at ? [{ mass, at, to, r: radius(mass) }] : []
    })
</script>

<template>
  <figure ref="box" class="pictures" :class="{ narrow: isNarrow }" data-testid="weight-picture">
    <svg
      v-for="{ key, place } in views"
      :key="key"
      :viewBox="`0 0 ${each} ${key === 'side' ? view.sideHeight + FOOT : view.topHeight + TOP_ROOM + 6}`"
      :width="each"
      :height="key === 'side' ? view.sideHeight + FOOT : view.topHeight + TOP_ROOM + 6"
      role="img"
      :aria-label="words.picture[key]"
    >
      <g :transform="key === 'top' ? `translate(0 ${TOP_ROOM})` : undefined">
        <path v-if="key === 'side'" :d="`M0 ${view.ground}H${each}`" class="ground" />
        <DrawingShapes :shapes="scene[key]" :view="key" :projection="view.put" class="vehicle" />
        <template v-if="key === 'side'">
          <g v-for="{ end, station, load } in scene.axles" :key="end">
            <circle
              :cx="view.put.x(station)"
              :cy="view.put.sideY(scene.wheelUpMm)"
              :r="(scene.tyreMm / 2) * view.scale"
              class="wheel"
              :class="{ usual: scene.isUsual }"
            />
            <rect :x="view.put.x(station) - 34" :y="view.ground" width="68" height="7" rx="2" class="scale" />
            <text :x="view.put.x(station)" :y="view.ground + 27" class="load" :data-axle="end">
              {{ load ? kg(load.afterKg) : words.picture.unknown }}
            </text>
            <text v-if="load" :x="view.put.x(station)" :y="view.ground + 44" class="small">
              {{ words.picture.axle[end] }}, {{ signedKg(load.afterKg - load.beforeKg) }}
            </text>
          </g>
        </template>
        <template v-else>
          <path :d="`M0 ${view.put.topY(0)}H${each}`" class="middle" />
          <g v-for="{ corner, at, kg: shown } in scene.wheels" :key="corner">
            <rect
              :x="view.put.x(at[0] - scene.tyreMm / 2)"
              :y="view.put.topY(at[1] + TYRE_WIDE / 2)"
              :width="scene.tyreMm * view.scale"
              :height="TYRE_WIDE * view.scale"
              rx="4"
              class="wheel"
              :class="{ usual: scene.isUsual }"
            />
            <text
              :x="view.put.x(at[0])"
              :y="
                view.put.topY(at[1]) +
                (at[1] > 0 ? -(TYRE_WIDE / 2) * view.scale - 6 : (TYRE_WIDE / 2) * view.scale + 17)
              "
              class="weighed"
              :data-corner="corner"
            >
              {{ shown === null ? words.picture.unknown : kg(shown) }}
            </text>
          </g>
        </template>
        <g v-for="{ mass, at, to, r } in massesIn(place)" :key="mass.id" class="mass" :class="mass.done">
          <title>{{ mass.name }}, {{ kg(mass.kg) }}, {{ words.done[mass.done] }}</title>
          <template v-if="to">
            <path :d="`M${at.x} ${at.y}L${to.x} ${to.y}`" class="way" />
            <circle :cx="at.x" :cy="at.y" :r="r" class="from" />
            <circle :cx="to.x" :cy="to.y" :r="r" />
          </template>
          <circle v-else :cx="at.x" :cy="at.y" :r="r" />
        </g>
        <template v-if="scene.centre">
          <g v-if="place(scene.centre.before)" class="centre before">
            <circle :cx="place(scene.centre.before)!.x" :cy="place(scene.centre.before)!.y" r="7" />
          </g>
          <g
            v-if="place(scene.centre.after)"
            class="centre"
            :transform="`translate(${place(scene.centre.after)!.x} ${place(scene.centre.after)!.y})`"
          >
            <circle r="7" />
            <path d="M0 -7A7 7 0 0 1 7 0L-7 0A7 7 0 0 0 0 7Z" class="half" />
          </g>
        </template>
      </g>
      <text x="8" y="17" class="caption">{{ words.picture.captions[key] }}</text>
    </svg>
    <figcaption class="legend soft">
      <span v-for="key in ['in', 'out', 'moved'] as const" :key="key">
        <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true" class="mass" :class="key">
          <circle cx="8" cy="8" r="6" />
        </svg>
        {{ words.picture.goes[key] }}
      </span>
      <span v-if="scene.centre">
        <svg width="16" height="16" viewBox="-8 -8 16 16" aria-hidden="true" class="centre">
          <circle r="6.5" />
          <path d="M0 -6.5A6.5 6.5 0 0 1 6.5 0L-6.5 0A6.5 6.5 0 0 0 0 6.5Z" class="half" />
        </svg>
        {{ words.picture.centre }}
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: end;
  gap: 6px 20px;
}
.narrow {
  grid-template-columns: 1fr;
}
svg {
  display: block;
  max-width: 100%;
}
.vehicle {
  opacity: 0.75;
}
.ground {
  stroke: var(--soft);
  stroke-width: 1.2;
}
.middle {
  stroke: var(--hair);
  stroke-dasharray: 16 5 3 5;
}
.wheel {
  fill: var(--part);
  fill-opacity: 0.5;
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.usual {
  stroke-dasharray: 7 5;
}
.scale {
  fill: var(--part-line);
}
text {
  fill: var(--ink);
  font-size: 13.5px;
  text-anchor: middle;
}
.load,
.weighed {
  font-family: var(--font-figure);
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
.load {
  font-size: 17px;
}
.small,
.caption {
  fill: var(--soft);
}
.caption {
  text-anchor: start;
  font-size: 13px;
}
.mass circle {
  stroke-width: 1.6;
}
.in circle,
.moved circle {
  fill: var(--accent);
  fill-opacity: 0.28;
  stroke: var(--accent);
}
.out circle,
.moved .from {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.moved circle:not(.from) {
  stroke-width: 2.4;
}
.way {
  stroke: var(--accent);
  stroke-width: 1.4;
  stroke-dasharray: 2 4;
}
.centre circle {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.before circle {
  stroke: var(--soft);
  stroke-width: 1.4;
  stroke-dasharray: 3 2.5;
}
.half {
  fill: var(--ink);
}
.legend {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: 0.9375rem;
}
.legend span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
</style>

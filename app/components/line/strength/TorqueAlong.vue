<script setup lang="ts">
import { projection } from '~~/core/drawing/projection'
import { apart } from '~~/core/drawing/apart'
import type { TorqueScene } from '~~/core/drawing/torqueScene'
import { grouped } from '~~/core/base/units/format'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { strength } from '~/texts/strength'

/** A line from the side, and over it what it carries in each gear: from the engine's torque to the gear's, along its shafts. */
const { scene, name } = defineProps<{ scene: TorqueScene; name: string }>()
const words = strength.along
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 700)
const CHART = 190
const TOP = 22
const DRAWING = 120
/** Room for the words at the axle's end. */
const LABEL = 148
const LINE = 15
const wide = computed(() => Math.max(280, width.value))
/** Power flows to the left in a line to the front axle; its words stand there. */
const isAhead = computed(() => (scene.joints[0] ?? 0) > (scene.joints.at(-1) ?? 0))
const put = computed(() => {
  const inner = projection(
    { width: wide.value - LABEL, sideHeight: DRAWING, topHeight: DRAWING },
    { from: scene.span[0], to: scene.span[1], height: scene.heightMm, offset: 0 },
    1,
  )
  const shift = isAhead.value ? LABEL : 0
  return { ...inner, x: (station: number) => inner.x(station) + shift }
})
const y = (nm: number) => CHART - (nm / Math.max(1, scene.mostNm)) * (CHART - TOP)
const ends = computed(() => {
  const [first = 0, last = 0] = [scene.joints[0], scene.joints.at(-1)]
  return { first: put.value.x(first), last: put.value.x(last) }
})
const engine = computed(
  () =>
    scene.engine && {
      x: put.value.x(scene.engine.station),
      y: y(scene.engine.torqueNm),
      nm: scene.engine.torqueNm,
    },
)
/** From the engine level to the gear's, up inside the gearbox, then along the shafts. */
const level = (nm: number) => {
  const { first, last } = ends.value
  const from = engine.value
  const gearbox = from ? (from.x + 2 * first) / 3 : first
  return `${from ? `M${from.x} ${from.y}L${gearbox} ${from.y}L${first} ${y(nm)}` : `M${first} ${y(nm)}`}L${last} ${y(nm)}`
}
/** Gears that carry the same have one label. */
const labels = computed(() => {
  const same = new Map<string, { readonly gears: string[]; readonly at: number }>()
  for (const { gear, throughNm } of scene.levels) {
    const said = grouped(throughNm)
    const there = same.get(said)
    if (there) there.gears.push(gear)
    else same.set(said, { gears: [gear], at: y(throughNm) })
  }
  const all = [...same]
  const lines = apart(
    all.map(([, { at }]) => at),
    LINE,
    CHART - 2,
  )
  return all.map(([said, { gears, at }], i) => ({
    words: `${gears.length > 3 ? words.gears(gears.length) : gears.join(', ')} · ${said} N·m`,
    from: at,
    y: lines[i] ?? at,
  }))
})
const out = computed(() => (isAhead.value ? -1 : 1))
</script>

<template>
  <figure ref="box" class="along" data-testid="torque-along">
    <svg
      :viewBox="`0 0 ${wide} ${CHART + DRAWING}`"
      :height="CHART + DRAWING"
      width="100%"
      role="img"
      :aria-label="words.label(name)"
    >
      <text x="8" y="15" class="caption">{{ words.caption }}</text>
      <path :d="`M0 ${CHART}H${wide}`" class="base" />
      <path
        v-for="joint in scene.joints"
        :key="joint"
        :d="`M${put.x(joint)} ${TOP}V${CHART + DRAWING / 2}`"
        class="station"
      />
      <template v-for="{ gear, throughNm, engineNm } in scene.levels" :key="gear">
        <path v-if="engineNm > throughNm" :d="level(engineNm)" class="lost" />
        <path :d="level(throughNm)" class="level" />
      </template>
      <path v-if="scene.heldNm !== null" :d="`M${ends.first} ${y(scene.heldNm)}H${ends.last}`" class="held" />
      <text
        v-if="scene.heldNm !== null"
        :x="(ends.first + ends.last) / 2"
        :y="y(scene.heldNm) - 7"
        class="word"
      >
        {{ words.held(grouped(scene.heldNm)) }}
      </text>
      <g v-if="engine">
        <circle :cx="engine.x" :cy="engine.y" r="4" class="engine" />
        <text
          :x="isAhead ? Math.min(wide - 6, engine.x + 30) : Math.max(6, engine.x - 30)"
          :y="engine.y - 9"
          class="engine-word"
          :class="{ before: isAhead }"
        >
          {{ words.engine(grouped(engine.nm)) }}
        </text>
      </g>
      <g v-for="{ words: said, from, y: at } in labels" :key="said">
        <path :d="`M${ends.last + 2 * out} ${from}l${5 * out} ${at - from}h${3 * out}`" class="lead" />
        <text :x="ends.last + 13 * out" :y="at + 4.5" class="gear" :class="{ before: isAhead }">
          {{ said }}
        </text>
      </g>
      <g :transform="`translate(0 ${CHART})`">
        <DrawingShapes :shapes="scene.shapes" view="side" :projection="put" />
      </g>
    </svg>
  </figure>
</template>

<style scoped>
svg {
  display: block;
}
.base {
  stroke: var(--hair);
}
.station {
  stroke: var(--hair);
  stroke-dasharray: 3 4;
}
.level {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.4;
  stroke-linejoin: round;
}
.lost {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
}
.held {
  stroke: var(--tight);
  stroke-width: 4;
}
.engine {
  fill: var(--accent);
}
text {
  fill: var(--ink);
  font-size: 13.5px;
  font-variant-numeric: tabular-nums;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.lead {
  fill: none;
  stroke: var(--part-line);
}
.before {
  text-anchor: end;
}
.word {
  text-anchor: middle;
}
.caption {
  fill: var(--soft);
  font-size: 13px;
}
.gear {
  font-family: var(--font-figure);
  font-weight: 600;
}
</style>

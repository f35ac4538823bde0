<script setup lang="ts">
import type { ShiftArmDrawn, ShiftScene, ShiftView } from '~~/core/drawing/shiftScene'
import type { Lever } from '~~/core/file/build/lever'
import type { LeverSettings } from '~~/core/vehicle/moves/settings'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { useHandleDrag } from '~/composables/useHandleDrag'
import { shift as words } from '~/texts/shift'

/** Both arms and the rod in one gate, with where each pin is read in every gate: from one side, or two where they turn otherwise. */
const { views, sceneOf, gate, levers, settings } = defineProps<{
  views: readonly ShiftView[]
  sceneOf: (view: ShiftView, width: number) => ShiftScene | null
  gate: string
  /** Sizes of the linkage that are free: pins of such arms are dragged along them. */
  levers: readonly Lever[]
  settings: LeverSettings
}>()
const emit = defineEmits<{ choose: [gate: string]; hold: [lever: string, amount: number]; release: [] }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const isWide = computed(() => width.value > 640 && views.length > 1)
const scenes = computed(() =>
  views.flatMap((view) => {
    const scene = sceneOf(view, Math.max(280, Math.floor(isWide.value ? width.value / 2 - 8 : width.value)))
    return scene ? [scene] : []
  }),
)
const ARM_LEVERS = { lever: 'lever-arm', box: 'box-arm' } as const
const leverOf = ({ end }: ShiftArmDrawn) => levers.find(({ kind }) => kind === ARM_LEVERS[end])
const pxPerMm = ref(1)
const drag = useHandleDrag(() => ({ pxPerMm: pxPerMm.value, exaggeration: 1 }), {
  hold: (lever, amount) => emit('hold', lever, amount),
  release: () => emit('release'),
})
function grab(event: PointerEvent, arm: ShiftArmDrawn, scene: ShiftScene) {
  const lever = leverOf(arm)
  if (!lever || !arm.pin) return
  const [x, y] = [arm.pin[0] - arm.pivot[0], arm.pivot[1] - arm.pin[1]]
  const long = Math.hypot(x, y) || 1
  pxPerMm.value = scene.pxPerMm
  const handle = { leverId: lever.id, view: 'side', at: [0, 0], along: [x / long, y / long], arm: 0 } as const
  drag.start(event, handle, lever, settings[lever.id] ?? 0)
}
/** A name near an edge goes inward. */
const NEAR_PX = 66
const anchorOf = (x: number, wide: number) => (x < NEAR_PX ? 'start' : x > wide - NEAR_PX ? 'end' : 'middle')
const line = (from: readonly [number, number], to: readonly [number, number]) =>
  `M${from.join(' ')}L${to.join(' ')}`
</script>

<template>
  <div ref="box" class="drawn shift-picture">
    <figure v-for="scene in scenes" :key="scene.view">
      <figcaption class="soft">{{ words.picture[scene.view] }}</figcaption>
      <svg
        :viewBox="`0 0 ${scene.width} ${scene.height}`"
        :width="scene.width"
        :height="scene.height"
        role="img"
        :aria-label="words.picture[scene.view]"
        data-testid="shift-picture"
      >
        <g v-for="arm in scene.arms.filter(({ isTurning }) => isTurning)" :key="arm.end">
          <path v-for="one in arm.gates" :key="one.id" :d="line(arm.pivot, one.at)" class="ghost" />
          <g
            v-for="one in arm.gates"
            :key="`${one.id}-name`"
            class="stop"
            :class="{ here: one.id === gate }"
            @click="emit('choose', one.id)"
          >
            <circle :cx="one.at[0]" :cy="one.at[1]" r="4.5" />
            <text :x="one.label[0]" :y="one.label[1] + 5" text-anchor="middle">{{ one.name }}</text>
          </g>
        </g>
        <ShiftKnobMarks v-if="scene.knob" :knob="scene.knob" :from="scene.arms[0].pivot" />
        <template v-if="scene.cable">
          <template v-for="(fixing, k) in scene.cable" :key="k">
            <path v-if="scene.arms[k]?.pin" :d="line(scene.arms[k].pin, fixing)" class="rod inner" />
            <rect :x="fixing[0] - 6" :y="fixing[1] - 6" width="12" height="12" class="fixing" />
          </template>
        </template>
        <path
          v-else-if="scene.arms[0].pin && scene.arms[1].pin"
          :d="line(scene.arms[0].pin, scene.arms[1].pin)"
          class="rod"
        />
        <g v-for="arm in scene.arms" :key="`${arm.end}-now`">
          <path v-if="arm.pin" :d="line(arm.pivot, arm.pin)" class="arm" />
          <circle v-if="arm.pin" :cx="arm.pin[0]" :cy="arm.pin[1]" r="6" class="pin" />
          <circle
            v-if="arm.pin && arm.isTurning && leverOf(arm)"
            :cx="arm.pin[0]"
            :cy="arm.pin[1]"
            r="16"
            class="grip"
            :data-testid="`pin-${arm.end}`"
            @pointerdown="grab($event, arm, scene)"
          />
          <circle :cx="arm.pivot[0]" :cy="arm.pivot[1]" r="9" class="bearing" />
          <text
            :x="arm.pivot[0]"
            :y="arm.pivot[1] - 18"
            :text-anchor="anchorOf(arm.pivot[0], scene.width)"
            class="name"
          >
            {{ words.ends[arm.end] }}
          </text>
        </g>
      </svg>
    </figure>
    <p class="soft">{{ words.key }}</p>
  </div>
</template>

<style scoped>
.shift-picture {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
figcaption,
p {
  padding-inline: 14px;
}
p {
  flex-basis: 100%;
}
svg {
  display: block;
  max-width: 100%;
}
.ghost {
  stroke: var(--hair);
  stroke-width: 2;
}
.stop {
  cursor: pointer;
}
.stop circle {
  fill: var(--card);
  stroke: var(--part-line);
  stroke-width: 2;
}
.stop text {
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 15px;
  fill: var(--soft);
}
.stop.here circle {
  fill: var(--accent);
  stroke: var(--accent);
}
.stop.here text {
  fill: var(--accent);
}
/* Words stay readable where the rod passes behind them. */
text {
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
.rod {
  stroke: var(--ink);
  stroke-width: 5;
  stroke-linecap: round;
}
.inner {
  stroke-width: 2.5;
}
.fixing {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.arm {
  stroke: var(--accent);
  stroke-width: 9;
  stroke-linecap: round;
}
.pin {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.grip {
  fill: transparent;
  stroke: var(--accent);
  stroke-dasharray: 4 3;
  cursor: grab;
  touch-action: none;
}
.bearing {
  fill: var(--part);
  stroke: var(--ink);
  stroke-width: 2;
}
.name {
  font-size: 13px;
  font-weight: 600;
  fill: var(--ink);
}
</style>

<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { SceneHandle } from '~~/core/drawing/handles'
import { lineScene, stationSpan, type SceneJoint } from '~~/core/drawing/lineScene'
import type { Build } from '~~/core/file/build/build'
import { leverName } from '~~/core/show/told/leverText'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { useDrawingFocus } from '~/composables/useDrawingFocus'
import { useHandleDrag } from '~/composables/useHandleDrag'

/** Side view, station ruler and top view of the lines, to scale, drawn from the model. */
const {
  build,
  evaluation,
  height: wanted = 440,
  still,
} = defineProps<{
  build: Build
  evaluation: Evaluation
  height?: number
  /** For paper: no controls and no handles. */
  still?: boolean
}>()
const emit = defineEmits<{ hold: [leverId: string, amount: number]; release: []; mark: [leverId: string] }>()

const RULER = 34
const box = useTemplateRef<HTMLElement>('box')
const boxWidth = useBoxWidth(box, 890)
/** On paper the box is measured too late: the drawing keeps one size and is scaled to the page. */
const PAPER_WIDTH = 750
const width = computed(() => (still ? PAPER_WIDTH : boxWidth.value))
/** On a phone a tall frame would hold mostly sky. */
const height = computed(() => Math.min(wanted, Math.max(250, width.value * 0.85)))
const frame = computed(() => {
  const rest = height.value - RULER
  const side = Math.round(rest * (still ? 0.6 : 0.64))
  return { width: Math.max(280, width.value), sideHeight: side, topHeight: rest - side }
})
const scene = computed(() => lineScene(build, evaluation))
const span = computed(() => stationSpan(build, evaluation))
/** On paper the room goes to the line; wheels may run over the edge. */
const looked = computed(() =>
  still
    ? {
        ...scene.value,
        shapes: {
          ...scene.value.shapes,
          side: scene.value.shapes.side.filter(({ part }) => part !== 'tyre' && part !== 'ground'),
        },
      }
    : scene.value,
)
const { target, zoom, isExaggerated, focus, view } = useDrawingFocus(looked, span, frame)
const hasGhost = ref(true)
const { start } = useHandleDrag(view, {
  hold: (leverId, amount) => emit('hold', leverId, amount),
  release: () => emit('release'),
})
function grab(event: PointerEvent, handle: SceneHandle) {
  const lever = build.levers.find((one) => one.id === handle.leverId)
  if (!lever) return
  emit('mark', lever.id)
  start(event, handle, lever, evaluation.settings[lever.id] ?? 0)
}
const handleName = (handle: SceneHandle) => {
  const lever = build.levers.find((one) => one.id === handle.leverId)
  return lever ? leverName(build, lever) : ''
}
function zoomBy(key: string) {
  if (key === '+' || key === '=') zoom.value = Math.min(8, zoom.value * 1.4)
  if (key === '-') zoom.value = Math.max(0.5, zoom.value / 1.4)
  if (key === '0') {
    zoom.value = 1
    target.value = 'whole'
  }
}
/** Two drawings on one page must not share the name of a clip. */
const clip = useId()
const drawer = useDrawer()
const router = useRouter()
function openPart({ lineId, number }: SceneJoint) {
  if (!still)
    void router.push({ path: `/b/${build.id}/parts`, query: { line: lineId, part: `joint/${number - 1}` } })
}
const hasUsual = computed(() => scene.value.shapes.side.some((shape) => shape.isUsual))
const topShift = computed(() => frame.value.sideHeight + RULER)
</script>

<template>
  <div ref="box" class="drawing">
    <DrawingControls
      v-if="!still"
      v-model:target="target"
      v-model:exaggerated="isExaggerated"
      v-model:ghost="hasGhost"
      :joints="scene.joints"
      :lines="build.lines"
      class="controls no-print"
      @zoom="zoomBy"
    />
    <svg
      :class="{ still }"
      :viewBox="`0 0 ${frame.width} ${height}`"
      :width="frame.width"
      :height="height"
      role="img"
      :aria-label="`${build.name}: ${texts.line.side}, ${texts.line.top}`"
      :tabindex="still ? undefined : 0"
      data-testid="drawing"
      @keydown="zoomBy($event.key)"
    >
      <clipPath :id="clip"><rect :width="frame.width" :height="frame.sideHeight" /></clipPath>
      <clipPath id="top-clip"><rect :width="frame.width" :height="frame.topHeight" /></clipPath>
      <g :clip-path="`url(#${clip})`">
        <DrawingShapes v-if="hasGhost" :shapes="scene.ghosts.side" view="side" :projection="view" ghost />
        <DrawingShapes :shapes="scene.shapes.side" view="side" :projection="view" />
        <path
          v-for="(mount, i) in scene.mounts"
          :key="i"
          :d="`M${view.x(mount.side[0]) - 9} ${view.sideY(mount.side[1]) + 14}h18l-9 -14z`"
          class="mount"
        />
        <!-- On paper the sentence over the drawing says it, and nothing lies on a joint. -->
        <DrawingCallouts
          v-if="!still"
          :callouts="scene.callouts"
          :projection="view"
          :width="frame.width"
          :units="build.units"
        />
        <JointMark
          v-for="joint in scene.joints"
          :key="`${joint.lineId}${joint.number}`"
          :x="view.x(joint.at.side[0])"
          :y="view.sideY(joint.at.side[1])"
          :joint="joint"
          :class="{ opens: !still }"
          @click="openPart(joint)"
        />
        <template v-if="!still">
          <LeverHandle
            v-for="handle in scene.handles"
            :key="handle.leverId"
            :x="view.x(handle.at[0])"
            :y="view.sideY(handle.at[1])"
            :name="handleName(handle)"
            :turns="handle.arm > 0"
            :along="handle.along"
            @pointerdown="grab($event, handle)"
          />
        </template>
      </g>
      <g :transform="`translate(0 ${frame.sideHeight})`">
        <StationRuler :focus="focus" :projection="view" :width="frame.width" :units="build.units" />
      </g>
      <g :transform="`translate(0 ${topShift})`" clip-path="url(#top-clip)">
        <path :d="`M0 ${view.topY(0)}H${frame.width}`" class="centreline" />
        <DrawingShapes v-if="hasGhost" :shapes="scene.ghosts.top" view="top" :projection="view" ghost />
        <DrawingShapes :shapes="scene.shapes.top" view="top" :projection="view" />
        <JointMark
          v-for="joint in scene.joints"
          :key="`${joint.lineId}${joint.number}`"
          :x="view.x(joint.at.top[0])"
          :y="view.topY(joint.at.top[1])"
          :joint="joint"
          small
        />
      </g>
      <text x="10" :y="frame.sideHeight - 10" class="caption">{{ texts.line.side }}</text>
      <text x="10" :y="height - 8" class="caption">{{ texts.line.top }}</text>
    </svg>
    <p v-if="hasUsual" class="usual soft" data-testid="usual-size">
      <svg viewBox="0 0 30 6" width="30" height="6" aria-hidden="true">
        <path d="M0 3H30" stroke="currentColor" stroke-width="1.6" stroke-dasharray="7 5" />
      </svg>
      {{ texts.line.usual }}
      <button v-if="!still" type="button" class="enter" @click="drawer.open('parts', 'sizes')">
        {{ texts.line.usualEnter }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.opens {
  cursor: pointer;
}
.enter {
  text-decoration: underline;
  cursor: pointer;
}
.usual {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 2px 12px 6px;
  font-size: 0.875rem;
}
.usual a {
  color: var(--accent);
  text-decoration: underline;
}
.drawing {
  position: relative;
  overflow: hidden;
}
svg {
  display: block;
  /* Its size is fixed, so what moves inside lays out nothing outside. */
  contain: strict;
  user-select: none;
}
svg.still {
  contain: none;
  width: 100%;
  height: auto;
}
.controls {
  padding: 6px 10px;
}
.mount {
  fill: var(--part-line);
}
.centreline {
  stroke: var(--hair);
  stroke-width: 1.2;
  stroke-dasharray: 16 5 3 5;
}
.caption {
  fill: var(--soft);
  font-size: 13px;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
}
</style>

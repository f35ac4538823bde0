<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import type { SceneHandle } from '~~/core/drawing/handles'
import type { DrawnUnread } from '~~/core/bay/drawnGaps'
import { RULER_PX } from '~~/core/drawing/placePanes'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { leverName } from '~~/core/show/told/leverText'
import { texts } from '~/texts/en'
import { useLevers } from '~/stores/levers'
import { useBoardScene } from '~/composables/useBoardScene'
import { useDrawer } from '~/composables/useDrawer'
import { useHandleDrag } from '~/composables/useHandleDrag'
import { usePartSteps } from '~/composables/usePartSteps'

/** Engine and gearbox among everything they could touch: from the side, from above and from the front on one scale. */
const {
  build,
  evaluation,
  marked,
  markedPart = '',
  others = [],
  drawn = [],
} = defineProps<{
  build: Build
  evaluation: Evaluation
  /** Gap that is called out besides those that are not well. */
  marked: string
  /** Name of the part that is looked at in the list. */
  markedPart?: string
  /** Other settings that are looked at, drawn as ghosts with their names. */
  others?: readonly { readonly name: string; readonly evaluation: Evaluation }[]
  /** Gaps that were not read, as outlines have them. */
  drawn?: readonly DrawnUnread[]
}>()
const emit = defineEmits<{ hold: [leverId: string, amount: number]; release: []; mark: [leverId: string] }>()

const drawer = useDrawer()
const levers = useLevers()
/** Name of the part the pointer or the arrow keys are on. */
const looked = ref('')
const box = useTemplateRef<HTMLElement>('box')
const boxWidth = useBoxWidth(box, 890)
const width = computed(() => Math.max(300, Math.floor(boxWidth.value)))
const { span, still, scene, ghosts, board } = useBoardScene(() => ({ build, evaluation, others }), width)
/** Parts by name, as they are drawn from the side, then what only another view shows. */
const partNames = () =>
  (['side', 'top', 'front'] as const).flatMap((view) =>
    [...still.value.backdrop[view], ...scene.value.shapes[view]].map((shape) =>
      shape.form === 'polygon' ? (shape.name ?? '') : '',
    ),
  )
const steps = usePartSteps(partNames, looked)
const captions = { side: texts.place.side, top: texts.place.top, front: texts.place.front }
const clip = useId()
const hasUsual = computed(() =>
  [...still.value.backdrop.side, ...still.value.ghosts.side].some((shape) => shape.isUsual),
)

const sidePane = computed(() => board.value.panes[0])
const { start } = useHandleDrag(() => board.value.scale, {
  hold: (leverId, amount) => emit('hold', leverId, amount),
  release: () => emit('release'),
})
function grab(event: PointerEvent, handle: SceneHandle) {
  const lever = build.levers.find((one) => one.id === handle.leverId)
  if (!lever) return
  emit('mark', lever.id)
  start(event, handle, lever, evaluation.settings[lever.id] ?? 0)
}
const nameOf = (handle: SceneHandle) => {
  const lever = build.levers.find((one) => one.id === handle.leverId)
  return lever ? leverName(build, lever) : ''
}
</script>

<template>
  <div
    ref="box"
    class="board"
    role="group"
    tabindex="0"
    :aria-label="texts.place.parts"
    data-testid="board-parts"
    @keydown.self="steps.press"
    @focus="steps.begin"
    @blur="steps.end"
  >
    <p class="sr-only" aria-live="polite">{{ looked }}</p>
    <svg
      :viewBox="`0 0 ${width} ${board.height}`"
      :width="width"
      :height="board.height"
      role="img"
      :aria-label="`${build.name}: ${texts.place.side}, ${texts.place.top}, ${texts.place.front}`"
      data-testid="board"
    >
      <template v-for="pane in board.panes" :key="pane.view">
        <clipPath :id="`${clip}-${pane.view}`"><rect :width="pane.width" :height="pane.height" /></clipPath>
        <g
          :transform="`translate(${pane.left} ${pane.top})`"
          :clip-path="`url(#${clip}-${pane.view})`"
          :data-testid="`pane-${pane.view}`"
        >
          <path
            v-if="pane.view === 'top'"
            :d="`M0 ${pane.projection.sideY(0)}H${pane.width}`"
            class="centreline"
          />
          <path
            v-if="pane.view === 'front'"
            :d="`M${pane.projection.x(0)} 0V${pane.height}`"
            class="centreline"
          />
          <DrawingShapes :shapes="still.ghosts[pane.view]" view="side" :projection="pane.projection" ghost />
          <DrawingShapes
            :shapes="still.backdrop[pane.view]"
            view="side"
            :projection="pane.projection"
            :marked="markedPart || looked"
            named
            @look="looked = $event"
          />
          <DrawingShapes
            :shapes="scene.shapes[pane.view]"
            view="side"
            :projection="pane.projection"
            :marked="markedPart || looked"
            :named="!levers.isHeld"
            @look="looked = $event"
          />
          <g
            v-for="({ name, shapes, spot }, i) in ghosts"
            :key="i"
            class="other"
            :data-testid="`other-${pane.view}`"
            :data-name="name"
          >
            <DrawingShapes :shapes="shapes[pane.view]" view="side" :projection="pane.projection" />
            <text
              v-if="name && spot && pane.view === 'side'"
              class="whose"
              :x="pane.projection.x(spot[0]) + 6"
              :y="pane.projection.sideY(spot[1]) + 4 + 17 * i"
            >
              {{ name }}
            </text>
          </g>
          <path
            v-for="(mount, i) in scene.mounts[pane.view]"
            :key="i"
            :d="`M${pane.projection.x(mount[0]) - 8} ${pane.projection.sideY(mount[1]) + 12}h16l-8 -12z`"
            class="mount"
          />
          <path
            v-for="one in drawn.filter(({ view }) => view === pane.view)"
            :key="one.gap"
            :d="`M${pane.projection.x(one.from[0])} ${pane.projection.sideY(one.from[1])}L${pane.projection.x(one.to[0])} ${pane.projection.sideY(one.to[1])}`"
            class="drawn"
            :data-testid="`drawn-${one.gap}`"
          >
            <title>{{ one.name }}</title>
          </path>
          <GapMarks
            :gaps="scene.gaps"
            :pane="pane"
            :units="build.units"
            :marked="marked"
            @open="drawer.open('gaps', $event)"
          />
          <LeverHandle
            v-for="handle in scene.handles.filter(({ view }) => view === pane.view)"
            :key="handle.leverId"
            :x="pane.projection.x(handle.at[0])"
            :y="pane.projection.sideY(handle.at[1])"
            :name="nameOf(handle)"
            :turns="false"
            :along="handle.along"
            :data-lever="handle.leverId"
            @pointerdown="grab($event, handle)"
          />
          <text x="10" :y="pane.view === 'top' ? pane.height - 8 : 18" class="caption">
            {{ captions[pane.view] }}
          </text>
        </g>
        <path
          v-if="pane.view === 'front' && board.aside"
          :d="`M${pane.left} 0V${board.height}`"
          class="seam"
        />
      </template>
      <g :transform="`translate(0 ${board.rulerTop})`">
        <StationRuler
          v-if="sidePane"
          :focus="{ from: span[0], to: span[1], height: 0, offset: 0 }"
          :projection="sidePane.projection"
          :width="sidePane.width"
          :units="build.units"
        />
        <path v-if="board.aside" :d="`M${board.aside.left} ${RULER_PX}H${width}`" class="seam" />
      </g>
    </svg>
    <LowPoints
      class="lowest"
      :class="{ under: !board.aside }"
      :style="
        board.aside
          ? { left: `${board.aside.left}px`, top: `${board.aside.top}px`, width: `${board.aside.width}px` }
          : {}
      "
      :evaluation="evaluation"
      :units="build.units"
    />
    <p v-if="hasUsual" class="rough soft">{{ texts.place.rough }}</p>
  </div>
</template>

<style scoped>
.board {
  contain: layout style;
  position: relative;
  overflow: hidden;
}
svg {
  display: block;
  contain: strict;
  user-select: none;
}
.whose {
  fill: var(--accent);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.other :deep(polygon),
.other :deep(polyline) {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.2;
  stroke-dasharray: 2 4;
}
.drawn {
  stroke: var(--soft);
  stroke-width: 2.4;
  stroke-dasharray: 5 4;
}
.mount {
  fill: var(--accent);
}
.centreline,
.seam {
  fill: none;
  stroke: var(--hair);
  stroke-width: 1.2;
}
.centreline {
  stroke-dasharray: 16 5 3 5;
}
.caption {
  fill: var(--soft);
  font-size: 13px;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
}
.lowest {
  position: absolute;
  padding: 10px 14px;
}
.lowest.under {
  position: static;
}
.rough {
  position: absolute;
  left: 12px;
  top: 22px;
  font-size: 0.875rem;
}
</style>

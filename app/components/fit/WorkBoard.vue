<script setup lang="ts">
import { rowName } from '~~/core/show/text/workText'
import { boardPaths } from '~~/core/jobs/board/boardPaths'
import type { WorkRow, WorkScene } from '~~/core/jobs/board/workScene'
import { useBarDrag } from '~/composables/useBarDrag'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'
import { useTasks } from '~/stores/tasks'

/** Open work on the ruler of time: a row a task, its parts on their way, what waits for what. */
const {
  scene,
  still,
  chosen = null,
} = defineProps<{
  scene: WorkScene
  /** The same rows without what is in the hand: names stand still while bars move. */
  still: WorkScene
  chosen?: string | null
}>()
const emit = defineEmits<{ choose: [key: string] }>()
const plan = usePlan()
const tasks = useTasks()
const ROW_PX = 30

const nameOf = ({ planned }: WorkRow) => rowName(planned, tasks.removals)
const board = useTemplateRef<HTMLElement>('board')
const picture = useTemplateRef<HTMLElement>('picture')
const widthPx = useBoxWidth(picture, 800)
const paths = computed(() => boardPaths(scene, { widthPx: widthPx.value, rowPx: ROW_PX }))
const { begin } = useBarDrag(() => widthPx.value / scene.days)
const isHeld = (key: string) => plan.held?.key === key
const isTask = ({ planned }: WorkRow) => planned.some(({ node }) => node.task !== null)

function step(event: KeyboardEvent, at: number): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  const days = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  const row = scene.rows[at]
  if (by !== undefined) {
    event.preventDefault()
    board.value?.querySelectorAll<HTMLElement>('.name')[at + by]?.focus()
  } else if (days !== undefined && row && isTask(row)) {
    event.preventDefault()
    plan.nudge(row.key, event.shiftKey ? days * 7 : days)
  }
}
</script>

<template>
  <section ref="board" class="board" :aria-label="words.board" data-testid="work-board">
    <div class="ruler"><TimeRuler :ticks="scene.ticks" :days="scene.days" /></div>
    <GateMarks
      v-if="plan.gateMarks.length > 0"
      :marks="plan.gateMarks"
      :days="scene.days"
      :day-of="plan.dayAt"
    />
    <ol :style="{ '--row': `${ROW_PX}px` }">
      <!-- While one is dragged the rows stand still: what moves is drawn over them. -->
      <li
        v-for="(row, at) in still.rows"
        :key="row.key"
        v-memo="[row, nameOf(row), at, row.key === chosen, isHeld(row.key)]"
        :class="{ deciding: row.isDeciding, chosen: row.key === chosen }"
      >
        <button
          type="button"
          class="name"
          :aria-pressed="row.key === chosen"
          :disabled="!isTask(row)"
          @click="emit('choose', row.key)"
          @keydown="step($event, at)"
        >
          {{ nameOf(row) }}<span v-if="row.isDeciding" class="sr-only">, {{ words.decidesMark }}</span>
        </button>
        <div
          class="lane"
          :class="{ movable: isTask(row), held: isHeld(row.key) }"
          @pointerdown="isTask(row) && begin($event, scene.rows[at] ?? row)"
        />
      </li>
      <div ref="picture" class="picture" aria-hidden="true">
        <svg
          :width="widthPx"
          :height="scene.rows.length * ROW_PX"
          data-testid="work-bars"
          :data-days="scene.days"
        >
          <path :d="paths.links" class="link" />
          <path :d="paths.decidingLinks" class="link deciding" />
          <path
            v-for="{ look, isDeciding, d } in paths.bars"
            :key="`${look} ${isDeciding}`"
            :d="d"
            class="bar"
            :class="[look, { deciding: isDeciding }]"
          />
          <path v-if="paths.wanted" :d="paths.wanted" class="wanted" />
        </svg>
      </div>
    </ol>
    <ul class="key soft">
      <li><span class="swatch deciding" />{{ words.key.deciding }}</li>
      <li><span class="swatch work" />{{ words.key.work }}</li>
      <li><span class="swatch way" />{{ words.key.way }}</li>
      <li v-if="scene.rows.some(({ bars }) => bars.some(({ kind }) => kind === 'move'))">
        <span class="swatch move" />{{ words.key.move }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.board {
  --names: clamp(120px, 26%, 230px);
  position: relative;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
  overflow: hidden;
}
.ruler {
  padding-left: var(--names);
  background: var(--ruler);
}
.lane {
  position: relative;
}
ol {
  position: relative;
}
ol > li {
  display: grid;
  grid-template-columns: var(--names) minmax(0, 1fr);
  height: var(--row);
}
ol > li:nth-child(odd) {
  background: color-mix(in srgb, var(--part) 30%, transparent);
}
li.chosen {
  background: var(--wash) !important;
}
.name {
  overflow: hidden;
  padding: 0 10px 0 14px;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-family: var(--font-figure);
  font-weight: 500;
  cursor: pointer;
}
.name:disabled {
  color: var(--soft);
  cursor: default;
}
.name:first-letter {
  text-transform: capitalize;
}
.deciding .name {
  font-weight: 600;
}
.movable {
  cursor: grab;
  touch-action: pan-y;
}
.held {
  cursor: grabbing;
}
.picture {
  position: absolute;
  inset: 0 0 0 var(--names);
  pointer-events: none;
  will-change: transform;
}
.bar {
  fill: var(--accent);
  stroke: var(--accent);
  stroke-width: 2;
  stroke-linejoin: round;
}
.bar.fit {
  fill: var(--card);
}
.bar.way {
  fill: var(--ruler);
  stroke: var(--ruler-ink);
}
.bar.move {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-dasharray: 4 3;
}
.bar.deciding {
  stroke: var(--out);
  stroke-width: 3;
  stroke-dasharray: none;
}
.swatch.deciding {
  border-color: var(--out);
  border-width: 3px;
}
.link {
  fill: none;
  stroke: var(--part-line);
  opacity: 0.55;
}
.link.deciding {
  stroke: var(--out);
  stroke-width: 1.75;
  opacity: 1;
}
.wanted {
  stroke: var(--holds);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  padding: 6px 14px;
  border-top: 1px solid var(--hair);
  font-size: 0.875rem;
}
.key li {
  display: flex;
  gap: 6px;
  align-items: center;
}
.swatch {
  width: 22px;
  height: 12px;
  border: 2px solid var(--accent);
  border-radius: 2px;
}
.swatch.work {
  background: var(--accent);
}
.swatch.way {
  border-color: var(--ruler-ink);
  background: var(--ruler);
}
.swatch.move {
  border: 2px dashed var(--part-line);
}
@media (max-width: 640px) {
  .board {
    --names: 38%;
  }
}
</style>

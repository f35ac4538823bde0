<script setup lang="ts">
import { rowName } from '~~/core/show/text/workText'
import type { WorkRow, WorkScene } from '~~/core/jobs/board/workScene'
import { useBarDrag } from '~/composables/useBarDrag'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'
import { useTasks } from '~/stores/tasks'

/** Open work on the ruler of time: a row a task, its parts on their way, what waits for what. */
const { scene, chosen = null } = defineProps<{ scene: WorkScene; chosen?: string | null }>()
const emit = defineEmits<{ choose: [key: string] }>()
const plan = usePlan()
const tasks = useTasks()
const ROW_PX = 30

const nameOf = ({ planned }: WorkRow) => rowName(planned, tasks.removals)
const share = (days: number) => `${(days / scene.days) * 100}%`
/** One path for all links, and one for those that decide: they are many, and all of them move. */
const paths = computed(() =>
  [false, true].map((isDeciding) =>
    scene.links
      .filter((link) => link.isDeciding === isDeciding)
      .map(({ from, to }) => {
        const [end, start] = [scene.rows[from]?.bars.at(-1)?.to ?? 0, scene.rows[to]?.bars[0]?.from ?? 0]
        return `M${end} ${(from + 0.5) * ROW_PX}H${Math.max(end, start)}V${(to + 0.5) * ROW_PX}`
      })
      .join(''),
  ),
)
const board = useTemplateRef<HTMLElement>('board')
const { begin } = useBarDrag(() => {
  const lane = board.value?.querySelector('.lane')?.getBoundingClientRect()
  return lane ? lane.width / scene.days : 1
})
const isHeld = (key: string) => plan.held?.key === key
const isTask = ({ planned }: WorkRow) => planned.some(({ node }) => node.task !== null)

/** What is drawn of a row. */
const markOf = (row: WorkRow) =>
  `${row.key} ${nameOf(row)} ${row.isDeciding} ${row.bars.map(({ from, to }) => `${from} ${to}`).join()}`

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
      <!-- While one is dragged most of the others stand still. -->
      <li
        v-for="(row, at) in scene.rows"
        :key="row.key"
        v-memo="[markOf(row), at, scene.days, row.key === chosen, isHeld(row.key)]"
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
          @pointerdown="isTask(row) && begin($event, row)"
        >
          <span
            v-for="(bar, k) in row.bars"
            :key="k"
            class="bar"
            :class="[bar.kind, row.planned.at(-1)?.node.task?.sort]"
            :style="{ left: share(bar.from), width: share(bar.to - bar.from) }"
            :title="words.bars[bar.kind]"
          />
        </div>
      </li>
      <svg
        class="links"
        aria-hidden="true"
        preserveAspectRatio="none"
        :viewBox="`0 0 ${scene.days} ${scene.rows.length * ROW_PX}`"
      >
        <path v-for="(path, k) in paths" :key="k" :d="path" :class="{ deciding: k === 1 }" />
        <path
          v-if="scene.wantedAt !== null"
          :d="`M${scene.wantedAt} 0V${scene.rows.length * ROW_PX}`"
          class="wanted"
        />
      </svg>
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
.bar {
  position: absolute;
  z-index: 1;
  top: 6px;
  bottom: 6px;
  min-width: 7px;
  border: 2px solid var(--accent);
  border-radius: 2px;
  background: var(--accent);
}
.bar.fit {
  background: var(--card);
}
.bar.way {
  border-color: var(--ruler-ink);
  background: var(--ruler);
}
.bar.move {
  border: 2px dashed var(--part-line);
  background: var(--part);
}
.deciding .bar,
.swatch.deciding {
  border-color: var(--out);
  border-width: 3px;
  border-style: solid;
}
.links {
  position: absolute;
  inset: 0 0 0 var(--names);
  width: calc(100% - var(--names));
  height: 100%;
  pointer-events: none;
}
.links path {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1;
  opacity: 0.55;
  vector-effect: non-scaling-stroke;
}
.links .deciding {
  stroke: var(--out);
  stroke-width: 1.75;
  opacity: 1;
}
.links .wanted {
  stroke: var(--holds);
  stroke-width: 2;
  stroke-dasharray: 5 4;
  opacity: 1;
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

<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { insertionsIn, type Insertion } from '~~/core/file/edits/partEdits'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import type { FigurePath } from '~~/core/show/parts/dimensions'
import { partsScene, partWord, type PartPiece, type PartsGap } from '~~/core/show/parts/partsScene'
import type { Build } from '~~/core/file/build/build'
import { lineFigureId } from '~~/core/model/lineSubject'
import { tubeText } from '~~/core/show/text/tubeText'
import { partsOfLine } from '~/texts/parts'
import { useFormat } from '~/composables/useFormat'
import { partName, partRemark } from '~/composables/usePartName'
import { usePartsKeys } from '~/composables/usePartsKeys'
import { useParts } from '~/stores/parts'
import { useSureness } from '~/stores/sureness'
import { useWhy } from '~/stores/why'

/** The parts of a line along the power flow, each dimension on the part it belongs to. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const selected = defineModel<string>({ required: true })
const parts = useParts()
const [route, router] = [useRoute(), useRouter()]
const sureness = useSureness()
const why = useWhy()
const { length, angle } = useFormat()
const words = partsOfLine
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 1100)
const line = computed(() => evaluation.line)
const lineIndex = computed(() => build.lines.findIndex(({ id }) => id === line.value.id))
const scene = computed(() => partsScene(line.value, evaluation.ride, Math.max(320, width.value)))

const END_KINDS = ['slip-yoke', 'flange', 'yoke'] as const
const TOP = 44
const AXIS = TOP + 52
const ROWS = AXIS + 60
const ROW = 58
const names = computed(() => ROWS + scene.value.rows * ROW + 2)
const height = computed(() => names.value + 86)

const verdictOf = (piece: PartPiece) =>
  evaluation.checks.find(
    ({ subject, quantity }) =>
      piece.key.part === 'joint' &&
      subject.of === 'joint' &&
      subject.index === piece.key.index &&
      (quantity === 'joint-angle' || quantity === 'flex-disc-angle'),
  )?.verdict ?? 'unknown'
const plusMinusOf = (figure: string | null) => {
  const id = figure && lineFigureId(line.value.id, { state: 'ride', at: null }, figure)
  const spread = id ? sureness.result?.figures[id] : undefined
  return spread ? `± ${length(spread.plusMinus)}` : ''
}
const setFigure = (path: FigurePath | null, mm: number | undefined) => {
  if (path) parts.setFigure(line.value.id, path, mm)
}
function ask(figure: string | null, title: string, value: string) {
  if (figure) why.ask(`lines[${lineIndex.value}].ride.${figure}`, title, value)
}
/** A tube is two figures: they are typed on the sheet of its shaft. */
function openTube(word: string) {
  void router.replace({ query: { ...route.query, part: word, field: `${word} tube` } })
}
/** What the menu at a gap between two parts offers: things to put into the shaft, or other hardware for the end. */
function offers({ into }: PartsGap) {
  if (into.of === 'shaft')
    return insertionsIn(line.value, into.index).map((what: Insertion) => ({
      label: words.insert[what],
      onSelect: () => void parts.insert(line.value.id, into.index, what),
    }))
  const shaft = into.end === 'drivingEnd' ? 0 : line.value.shafts.length - 1
  const now = line.value.shafts[shaft]?.[into.end]?.kind ?? 'yoke'
  return END_KINDS.filter((kind) => kind !== now).map((kind) => ({
    label: words.insertEnd(words.endNames[kind]),
    onSelect: () => parts.changeShaft(line.value.id, shaft, { [into.end]: { kind } }),
  }))
}
/** Gaps nearer than a finger to the one before offer what that one does. */
const FINGER = 34
const gaps = computed(() =>
  scene.value.gaps
    .filter(({ at }, i, all) => i === 0 || at - (all[i - 1]?.at ?? 0) >= FINGER)
    .map((gap) => ({
      gap,
      items: offers(gap),
      name: words.between(partName(build, line.value, gap.before), partName(build, line.value, gap.behind)),
    }))
    .filter(({ items }) => items.length > 0),
)

const { onKey, grab, pull, drop, letGo, pulled } = usePartsKeys({
  scene: () => scene.value,
  select: (word) => (selected.value = word),
  focus: (word) => box.value?.querySelector<SVGGElement>(`[data-part="${word}"]`)?.focus(),
  move: (place, by) => parts.move(line.value.id, place, by),
  remove: (place) => parts.remove(line.value.id, place),
})
</script>

<template>
  <div ref="box" class="box">
    <div class="sheet" :style="{ width: `${scene.width}px`, height: `${height}px` }">
      <svg
        :width="scene.width"
        :height="height"
        role="group"
        :aria-label="words.drawing(line.name)"
        data-testid="parts-drawing"
      >
        <path :d="`M0 ${AXIS}H${scene.width}`" class="axis" />
        <g
          v-for="(piece, i) in scene.pieces"
          :key="partWord(piece.key)"
          :transform="`translate(${piece.left + pulled(piece)} ${AXIS})`"
          class="piece"
          :class="[{ selected: selected === partWord(piece.key) }, piece.number ? verdictOf(piece) : '']"
          role="button"
          tabindex="0"
          :aria-pressed="selected === partWord(piece.key)"
          :aria-label="`${partName(build, line, piece.key)} ${partRemark(line, piece.key, angle)}`.trim()"
          :data-part="partWord(piece.key)"
          @keydown="onKey($event, piece, i)"
          @focus="selected = partWord(piece.key)"
          @pointerdown="grab($event, piece)"
          @pointermove="pull"
          @pointerup="drop(piece)"
          @pointercancel="letGo"
        >
          <rect :width="piece.width" :y="-56" height="112" class="reach" />
          <PartShapes :shapes="piece.shapes" />
          <template v-if="piece.number">
            <circle :cx="piece.width / 2" r="17" class="ring" :class="piece.jointKind" />
            <text :x="piece.width / 2" y="5.5" class="number">{{ piece.number }}</text>
          </template>
        </g>
        <g
          v-for="one in scene.dimensions"
          :key="one.dimension.word"
          class="witness"
          :class="{ missing: one.dimension.mm === null && !one.dimension.isOptional }"
        >
          <path
            :d="`M${one.from} ${AXIS + 56}V${ROWS + one.row * ROW + 20}M${one.to} ${AXIS + 56}V${ROWS + one.row * ROW + 20}`"
            class="hair"
          />
          <path
            :d="`M${one.from} ${ROWS + one.row * ROW + 14}H${one.to}M${one.from} ${ROWS + one.row * ROW + 8}v12M${one.to} ${ROWS + one.row * ROW + 8}v12`"
          />
        </g>
      </svg>
      <template v-for="piece in scene.pieces" :key="partWord(piece.key)">
        <button
          v-if="piece.key.part === 'shaft'"
          type="button"
          class="tube"
          :class="{ missing: !line.shafts[piece.key.index]?.tube }"
          :style="{ left: `${piece.left + piece.width / 2}px` }"
          @click="openTube(partWord(piece.key))"
        >
          {{ tubeText(line.shafts[piece.key.index]?.tube) }}
        </button>
        <p
          v-if="piece.width > 50"
          class="name"
          :style="{
            left: `${piece.left + piece.width / 2}px`,
            top: `${names}px`,
            maxWidth: `${piece.width + 30}px`,
          }"
        >
          <strong>{{ partName(build, line, piece.key) }}</strong>
          <span class="soft">{{ partRemark(line, piece.key, angle) }}</span>
        </p>
      </template>
      <DimensionBox
        v-for="one in scene.dimensions"
        :key="one.dimension.word"
        :data-dimension="one.dimension.word"
        :data-field="one.dimension.word"
        :dimension="one.dimension"
        :plus-minus="plusMinusOf(one.dimension.figure)"
        :style="{ left: `${(one.from + one.to) / 2 - 50}px`, top: `${ROWS + one.row * ROW}px` }"
        class="dimension"
        @set="setFigure(one.dimension.path, $event)"
        @why="ask(one.dimension.figure, words.dimensions[one.dimension.key], $event)"
      />
      <div
        v-for="{ gap, items, name } in gaps"
        :key="name"
        class="insert"
        :style="{ left: `${gap.at}px`, top: `${names + 46}px` }"
      >
        <UDropdownMenu :items="[items]">
          <button type="button" class="plus" :aria-label="name">+</button>
        </UDropdownMenu>
      </div>
    </div>
    <ul class="keys">
      <li v-for="[keys, does] in words.keys" :key="keys">
        <kbd>{{ keys }}</kbd> {{ does }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.box {
  overflow-x: auto;
}
.sheet {
  position: relative;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  padding: 2px 12px 8px;
  color: var(--soft);
  font-size: 0.875rem;
}
kbd {
  font-family: var(--font-figure);
  font-weight: 600;
}
/* A finger has no keys. */
@media (hover: none) {
  .keys {
    display: none;
  }
}
svg {
  display: block;
  user-select: none;
  touch-action: pan-x pan-y;
}
.axis {
  stroke: var(--part-line);
  stroke-width: 1;
  stroke-dasharray: 16 5 3 5;
}
.piece {
  cursor: pointer;
  outline: none;
}
.reach {
  fill: transparent;
}
.piece.selected .reach {
  fill: var(--wash);
  fill-opacity: 0.7;
}
.piece:focus-visible .reach {
  stroke: var(--accent);
  stroke-width: 2.4;
}
.ring {
  fill: none;
  stroke: var(--unknown);
  stroke-width: 3;
}
.ring.double-cardan,
.ring.flex-disc {
  stroke-width: 2.4;
}
.holds .ring {
  stroke: var(--holds);
}
.tight .ring {
  stroke: var(--tight);
}
.out .ring {
  stroke: var(--out);
}
.unknown .ring {
  stroke-dasharray: 4 3;
}
.number {
  fill: var(--ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 16px;
  text-anchor: middle;
}
.witness {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.witness.missing {
  stroke: var(--out);
  stroke-dasharray: 5 4;
}
.hair {
  stroke: var(--hair);
  stroke-width: 1;
}
.dimension {
  position: absolute;
}
.tube {
  position: absolute;
  top: 4px;
  transform: translateX(-50%);
  min-height: 30px;
  padding: 0 12px;
  font-family: var(--font-figure);
  font-weight: 600;
  color: var(--accent);
  background: var(--card);
  border: 1.6px solid var(--accent);
  border-radius: 4px;
  cursor: pointer;
}
.tube.missing {
  color: var(--out);
  border: 1.6px dashed var(--out);
}
.name {
  position: absolute;
  transform: translateX(-50%);
  display: grid;
  width: max-content;
  text-align: center;
  line-height: 1.2;
}
.name strong {
  font-weight: 600;
}
.name span {
  font-size: 0.875rem;
}
.insert {
  position: absolute;
  transform: translateX(-50%);
}
.plus {
  width: 30px;
  height: 30px;
  border: 1.6px solid var(--part-line);
  border-radius: 50%;
  background: var(--card);
  color: var(--soft);
  font-size: 1.125rem;
  line-height: 1;
  cursor: pointer;
}
.plus:hover {
  border-color: var(--accent);
  color: var(--accent);
}
</style>

<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { leverMapCsv } from '~~/core/answers/solver/leverMapCsv'
import type { Build } from '~~/core/file/build/build'
import { leverUnit } from '~~/core/file/build/lever'
import { leverName } from '~~/core/show/told/leverText'
import { drawLeverMap, mapFrame } from '~/charts/leverMapCanvas'
import { readColours } from '~/charts/readColours'
import { download } from '~/storage/download'
import { fileName } from '~/storage/fileName'
import { mapPage } from '~/texts/map'
import { useLeverMap } from '~/stores/leverMap'

/** The map itself: pointed at, walked over with arrow keys, saved as a picture or a table. */
const { build } = defineProps<{ build: Build }>()
const store = useLeverMap()
const mode = useColorMode()
const words = mapPage
const box = useTemplateRef<HTMLElement>('box')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const boxWidth = useBoxWidth(box, 800)
const width = computed(() => Math.max(300, Math.floor(boxWidth.value)))
const height = computed(() => Math.round(Math.min(460, Math.max(320, width.value * 0.6))))
const frame = computed(() => mapFrame(width.value, height.value))
const cursor = ref<readonly [number, number] | null>(null)
const names = computed((): [string, string] => {
  const [x, y] = store.axes ?? []
  const name = (lever: typeof x) =>
    lever ? `${leverName(build, lever)}, ${leverUnit(lever) === 'deg' ? '°' : 'mm'}` : ''
  return [name(x), name(y)]
})
const told = computed(() => {
  const cell = cursor.value && store.cellAt(...(cursor.value as [number, number]))
  return cell ? words.cell(cell.words, words.states[cell.state], cell.worst) : ''
})

function draw() {
  const context = canvas.value?.getContext('2d')
  if (!context || !canvas.value || !store.map || !box.value) return
  const ratio = window.devicePixelRatio || 1
  canvas.value.width = width.value * ratio
  canvas.value.height = height.value * ratio
  context.scale(ratio, ratio)
  drawLeverMap(
    context,
    store.map,
    frame.value,
    readColours(box.value),
    names.value,
    store.marks,
    cursor.value,
  )
}
onMounted(draw)
watch(
  [() => store.map, () => store.marks, () => cursor.value, width, height, () => mode.value],
  () => void nextTick(draw),
  { flush: 'post' },
)

function cellUnder(event: PointerEvent | MouseEvent): [number, number] | null {
  const { map } = store
  if (!map || !canvas.value) return null
  const rect = canvas.value.getBoundingClientRect()
  const { left, top, width: w, height: h } = frame.value
  const i = Math.floor(((event.clientX - rect.left - left) / w) * map.x.length)
  const k = Math.floor(((top + h - (event.clientY - rect.top)) / h) * map.y.length)
  return i >= 0 && k >= 0 && i < map.x.length && k < map.y.length ? [i, k] : null
}
function takeUnder(event: MouseEvent) {
  const cell = cellUnder(event)
  if (cell) store.take(...cell)
}
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
function onKey(event: KeyboardEvent) {
  const { map } = store
  if (!map) return
  const way = WAYS[event.key]
  if (event.key === 'Enter' && cursor.value) store.take(...(cursor.value as [number, number]))
  else if (way) {
    const [i, k] = cursor.value ?? [Math.floor(map.x.length / 2), Math.floor(map.y.length / 2)]
    const clamp = (at: number, count: number) => Math.min(count - 1, Math.max(0, at))
    cursor.value = [clamp(i + way[0], map.x.length), clamp(k + way[1], map.y.length)]
  } else return
  event.preventDefault()
}
function savePicture() {
  canvas.value?.toBlob((blob) => {
    if (blob)
      void blob
        .arrayBuffer()
        .then((bytes) => download(fileName(build.name, '-map.png'), new Uint8Array(bytes), 'image/png'))
  })
}
function saveTable() {
  if (store.map) download(fileName(build.name, '-map.csv'), leverMapCsv(store.map, names.value), 'text/csv')
}
</script>

<template>
  <div ref="box" class="map">
    <canvas
      ref="canvas"
      :style="{ width: `${width}px`, height: `${height}px` }"
      tabindex="0"
      role="application"
      :aria-label="words.label(...names)"
      data-testid="lever-map"
      @pointermove="cursor = cellUnder($event)"
      @pointerleave="cursor = null"
      @click="takeUnder"
      @keydown="onKey"
    />
    <p class="told" role="status" data-testid="map-cell">{{ told }}</p>
    <ul class="legend">
      <li><span class="dot present" /> {{ words.present }}</li>
      <li><span class="dot found" /> {{ words.found }}</li>
      <li><span class="dot outline-key" /> {{ words.outline }}</li>
    </ul>
    <div class="does">
      <UButton icon="i-lucide-download" size="sm" variant="outline" @click="savePicture">{{
        words.png
      }}</UButton>
      <UButton icon="i-lucide-download" size="sm" variant="outline" @click="saveTable">{{
        words.csv
      }}</UButton>
    </div>
  </div>
</template>

<style scoped>
canvas {
  display: block;
  max-width: 100%;
  cursor: crosshair;
  touch-action: pan-y;
}
.told {
  min-height: 1.6em;
  margin-top: 4px;
  font-weight: 500;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  color: var(--soft);
}
.dot {
  display: inline-block;
  width: 13px;
  height: 13px;
  vertical-align: -1px;
  border: 2px solid var(--ink);
}
.present {
  border-radius: 50%;
  border-color: var(--paper);
  background: var(--accent);
}
.found {
  clip-path: polygon(50% 0, 100% 100%, 0 100%);
  background: var(--ink);
}
.does {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}
</style>

<script setup lang="ts">
import type { Place2 } from '~~/core/base/outline/polygon'
import type { CutoutScene } from '~~/core/drawing/cutoutScene'
import { placeInDrawing } from '~/composables/placeInDrawing'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { cutouts as words } from '~/texts/cutouts'

/** The opening from above; a tap says where it touches. */
const { sceneOf, place } = defineProps<{
  sceneOf: (width: number) => CutoutScene | null
  /** Where the next touch is, in mm. */
  place: Place2 | null
}>()
const emit = defineEmits<{ touch: [place: Place2] }>()
const box = useTemplateRef<HTMLElement>('box')
const svg = useTemplateRef<SVGSVGElement>('svg')
const width = useBoxWidth(box, 600)
const scene = computed(() => sceneOf(Math.floor(width.value)))
const points = (all: readonly Place2[]) => all.map((one) => one.join(',')).join(' ')
const pending = computed(() => (place && scene.value ? scene.value.at(place) : null))
function tap(event: PointerEvent) {
  const px = placeInDrawing(svg.value, event)
  if (!px || !scene.value) return
  const [left, front] = scene.value.placeAt(px)
  emit('touch', [Math.round(left), Math.round(front)])
}
const cross = ([x, y]: Place2) => `M${x - 7} ${y - 7}l14 14M${x + 7} ${y - 7}l-14 14`
</script>

<template>
  <div ref="box" class="opening">
    <svg
      v-if="scene"
      ref="svg"
      :viewBox="`0 0 ${scene.width} ${scene.height}`"
      :width="scene.width"
      :height="scene.height"
      role="img"
      :aria-label="words.picture"
      data-testid="cutout-picture"
      @pointerup="tap"
    >
      <polygon :points="points(scene.now)" class="now" />
      <polygon :points="points(scene.before)" class="before" />
      <path v-if="scene.line" :d="`M${scene.line[0].join(' ')}L${scene.line[1].join(' ')}`" class="line" />
      <g v-for="{ id, at, isLast } in scene.touches" :key="id" :class="{ last: isLast }">
        <path :d="cross(at)" class="touch" />
      </g>
      <path v-if="pending" :d="cross(pending)" class="touch pending" data-testid="pending-touch" />
    </svg>
    <p class="soft">{{ words.tap }}</p>
  </div>
</template>

<style scoped>
.opening {
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
svg {
  display: block;
  max-width: 100%;
  cursor: crosshair;
}
p {
  padding: 0 14px 10px;
}
.now {
  fill: var(--wash);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.before {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 5 4;
}
.line {
  stroke: var(--accent);
  stroke-width: 4;
}
.touch {
  fill: none;
  stroke: var(--soft);
  stroke-width: 2.5;
}
.touch.pending {
  stroke: var(--accent);
  stroke-dasharray: 3 2;
}
.last .touch {
  stroke: var(--out);
}
</style>

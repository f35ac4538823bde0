<script setup lang="ts">
import type { Place2 } from '~~/core/base/outline/polygon'
import type { CutoutScene } from '~~/core/drawing/cutoutScene'
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
function tap({ clientX, clientY }: PointerEvent) {
  const toPicture = svg.value?.getScreenCTM()?.inverse()
  if (!toPicture || !scene.value) return
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(toPicture)
  const [left, front] = scene.value.placeAt([x, y])
  emit('touch', [Math.round(left), Math.round(front)])
}
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
        <path :d="`M${at[0] - 7} ${at[1] - 7}l14 14M${at[0] + 7} ${at[1] - 7}l-14 14`" class="touch" />
      </g>
    </svg>
    <p class="soft">{{ place ? `${place[0]}, ${place[1]} mm` : words.tap }}</p>
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
  font-variant-numeric: tabular-nums;
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
.last .touch {
  stroke: var(--out);
}
</style>

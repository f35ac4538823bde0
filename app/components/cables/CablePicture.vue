<script setup lang="ts">
import { CABLE_VIEWS, type CableScene, type CableView } from '~~/core/drawing/cableScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { cables as words } from '~/texts/cables'

/** Every cable of a build from two sides, with the bulkheads that they pass. */
const { sceneOf } = defineProps<{ sceneOf: (view: CableView, width: number) => CableScene | null }>()
const emit = defineEmits<{ look: [id: string] }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const scenes = computed(() =>
  CABLE_VIEWS.flatMap((view) => sceneOf(view, Math.max(280, Math.floor(width.value))) ?? []),
)
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
const CROSS = 5
const cross = ([x, y]: readonly [number, number]) =>
  `M${x - CROSS} ${y - CROSS}l${2 * CROSS} ${2 * CROSS}M${x + CROSS} ${y - CROSS}l${-2 * CROSS} ${2 * CROSS}`
</script>

<template>
  <div ref="box" class="drawn">
    <figure v-for="scene in scenes" :key="scene.view">
      <figcaption class="soft caption">{{ words.views[scene.view] }}</figcaption>
      <svg
        :viewBox="`0 0 ${scene.width} ${scene.height}`"
        :width="scene.width"
        :height="scene.height"
        role="img"
        :aria-label="words.views[scene.view]"
        data-testid="cable-picture"
      >
        <g v-for="sheet in scene.sheets" :key="sheet.id">
          <polygon :points="points(sheet.points)" class="sheet" />
          <text :x="sheet.label[0]" :y="sheet.label[1]" text-anchor="middle" class="word">
            {{ sheet.name }}
          </text>
        </g>
        <g
          v-for="cable in scene.cables"
          :key="cable.id"
          :class="{ looked: cable.isLooked }"
          class="cable"
          @click="emit('look', cable.id)"
        >
          <polyline :points="points(cable.path)" class="broad" />
          <polyline :points="points(cable.path)" class="line" />
          <template v-if="cable.isLooked">
            <circle
              v-for="(hot, k) in cable.hot"
              :key="`hot-${k}`"
              :cx="hot.at[0]"
              :cy="hot.at[1]"
              :r="hot.radius"
              class="hot"
            />
            <path v-for="(corner, k) in cable.corners" :key="k" :d="cross(corner)" class="corner" />
          </template>
          <circle v-for="(end, k) in cable.ends" :key="k" :cx="end[0]" :cy="end[1]" r="6" class="end" />
        </g>
      </svg>
    </figure>
    <p class="soft caption">{{ words.key }}</p>
  </div>
</template>

<style scoped>
figcaption {
  padding-inline: 14px;
}
svg {
  display: block;
  max-width: 100%;
}
.sheet {
  fill: var(--part);
  fill-opacity: 0.45;
  stroke: var(--part-line);
  stroke-width: 2;
}
.cable {
  cursor: pointer;
}
polyline {
  fill: none;
  stroke-linejoin: round;
  stroke-linecap: round;
}
/* Room for the finger. */
.broad {
  stroke: transparent;
  stroke-width: 18;
}
.line {
  stroke: var(--soft);
  stroke-width: 3;
}
.looked .line {
  stroke: var(--accent);
  stroke-width: 5;
}
.corner {
  stroke: var(--soft);
  stroke-width: 1.5;
}
.end {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.hot {
  fill: none;
  stroke: var(--out);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.word {
  font-size: 13px;
  font-weight: 600;
  fill: var(--ink);
}
</style>

<script setup lang="ts">
import type { ShiftScene } from '~~/core/drawing/shiftScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { shift as words } from '~/texts/shift'

/** Both arms and the rod in one gate, with where each pin is read in every gate. */
const { sceneOf, gate } = defineProps<{ sceneOf: (width: number) => ShiftScene | null; gate: string }>()
const emit = defineEmits<{ choose: [gate: string] }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const scene = computed(() => sceneOf(Math.max(300, Math.floor(width.value))))
const line = (from: readonly [number, number], to: readonly [number, number]) =>
  `M${from.join(' ')}L${to.join(' ')}`
</script>

<template>
  <div ref="box" class="drawn">
    <template v-if="scene">
      <p class="soft caption">{{ words.picture[scene.view] }}. {{ words.key }}</p>
      <svg
        :viewBox="`0 0 ${scene.width} ${scene.height}`"
        :width="scene.width"
        :height="scene.height"
        role="img"
        :aria-label="words.picture[scene.view]"
        data-testid="shift-picture"
      >
        <g v-for="arm in scene.arms" :key="arm.end">
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
        <path
          v-if="scene.arms[0].pin && scene.arms[1].pin"
          :d="line(scene.arms[0].pin, scene.arms[1].pin)"
          class="rod"
        />
        <g v-for="arm in scene.arms" :key="`${arm.end}-now`">
          <path v-if="arm.pin" :d="line(arm.pivot, arm.pin)" class="arm" />
          <circle v-if="arm.pin" :cx="arm.pin[0]" :cy="arm.pin[1]" r="6" class="pin" />
          <circle :cx="arm.pivot[0]" :cy="arm.pivot[1]" r="9" class="bearing" />
          <text :x="arm.pivot[0]" :y="arm.pivot[1] - 18" text-anchor="middle" class="name">
            {{ words.ends[arm.end] }}
          </text>
        </g>
      </svg>
    </template>
  </div>
</template>

<style scoped>
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
.rod {
  stroke: var(--ink);
  stroke-width: 5;
  stroke-linecap: round;
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

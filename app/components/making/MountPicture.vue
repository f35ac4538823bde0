<script setup lang="ts">
import { MOVED_TIMES, type MountPane } from '~~/core/drawing/mountScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { mounts as words } from '~/texts/making'

/** The powertrain on its springs, from behind and from the side, moved further than it is. */
const { panesOf } = defineProps<{ panesOf: (width: number) => readonly MountPane[] }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const isWide = computed(() => width.value > 620)
const panes = computed(() => panesOf(Math.floor(isWide.value ? width.value / 2 - 8 : width.value)))
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
</script>

<template>
  <div ref="box" class="mount-picture" data-testid="mount-picture">
    <figure v-for="pane in panes" :key="pane.view">
      <figcaption class="soft">{{ words.picture[pane.view] }}</figcaption>
      <svg
        :viewBox="`0 0 ${pane.width} ${pane.height}`"
        :width="pane.width"
        :height="pane.height"
        role="img"
        :aria-label="words.picture[pane.view]"
      >
        <defs>
          <marker
            :id="`force-${pane.view}`"
            viewBox="0 0 10 10"
            refX="8"
            refY="5"
            markerWidth="5"
            markerHeight="5"
            orient="auto"
          >
            <path d="M0 0L10 5L0 10z" class="head" />
          </marker>
        </defs>
        <polygon :points="points(pane.still)" class="still" />
        <polygon :points="points(pane.moved)" class="moved" />
        <circle :cx="pane.centre[0]" :cy="pane.centre[1]" r="5" class="centre" />
        <template v-for="mount in pane.mounts" :key="mount.id">
          <rect
            :x="mount.at[0] - 7"
            :y="mount.at[1] - 7"
            width="14"
            height="14"
            class="foot"
            :class="{ off: mount.lifts }"
          />
          <path
            v-if="!mount.lifts"
            :d="`M${mount.to.join(' ')}L${mount.force.join(' ')}`"
            class="force"
            :marker-end="`url(#force-${pane.view})`"
          />
        </template>
      </svg>
    </figure>
    <p class="soft">{{ words.moved(MOVED_TIMES) }}</p>
  </div>
</template>

<style scoped>
.mount-picture {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  padding: 10px 0;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
figcaption,
p {
  padding-inline: 14px;
}
p {
  flex-basis: 100%;
}
svg {
  display: block;
  max-width: 100%;
}
.still {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 5 4;
}
.moved {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 2;
}
.centre {
  fill: var(--accent);
}
.foot {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.foot.off {
  fill: none;
  stroke: var(--out);
  stroke-dasharray: 3 2;
}
.force {
  stroke: var(--ink);
  stroke-width: 2;
}
.head {
  fill: var(--ink);
}
</style>

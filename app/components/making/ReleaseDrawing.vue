<script setup lang="ts">
import type { ReleasePane } from '~~/core/drawing/releaseScene'
import { releases as words } from '~/texts/ways'

/** A held part from two sides: what pushes it, what goes through it, the way out. */
defineProps<{ panes: readonly ReleasePane[] }>()
const line = ({ from, to }: { from: readonly [number, number]; to: readonly [number, number] }) =>
  `M${from.join(' ')}L${to.join(' ')}`
</script>

<template>
  <div class="panes" data-testid="release-drawing">
    <figure v-for="pane in panes" :key="pane.view">
      <figcaption class="soft">{{ words.picture[pane.view] }}</figcaption>
      <svg :viewBox="`0 0 ${pane.size} ${pane.size}`" role="img" :aria-label="words.picture[pane.view]">
        <defs>
          <marker
            v-for="kind in ['push', 'way']"
            :id="`${kind}-${pane.view}`"
            :key="kind"
            viewBox="0 0 10 10"
            refX="8"
            refY="5"
            markerWidth="4.5"
            markerHeight="4.5"
            orient="auto"
          >
            <path d="M0 0L10 5L0 10z" :class="`head-${kind}`" />
          </marker>
        </defs>
        <path v-for="pin in pane.pins" :key="pin.id" :d="line(pin)" class="pin" />
        <rect
          :x="pane.centre[0] - pane.half"
          :y="pane.centre[1] - pane.half"
          :width="2 * pane.half"
          :height="2 * pane.half"
          rx="4"
          class="part"
        />
        <path
          v-for="contact in pane.contacts"
          :key="contact.id"
          :d="line(contact)"
          class="push"
          :marker-end="`url(#push-${pane.view})`"
        />
        <path v-if="pane.way" :d="line(pane.way)" class="way" :marker-end="`url(#way-${pane.view})`" />
      </svg>
    </figure>
    <p class="soft legend">{{ words.legend }} {{ words.first }}</p>
  </div>
</template>

<style scoped>
.panes {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px;
  padding: 8px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.legend {
  grid-column: 1 / -1;
}
svg {
  width: 100%;
  max-height: 300px;
}
.part {
  fill: var(--part);
  stroke: var(--ink);
  stroke-width: 2;
}
.push {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.head-push {
  fill: var(--ink);
}
.pin {
  stroke: var(--part-line);
  stroke-width: 4;
  stroke-dasharray: 10 6;
}
.way {
  stroke: var(--accent);
  stroke-width: 7;
}
.head-way {
  fill: var(--accent);
}
@media (max-width: 520px) {
  .panes {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

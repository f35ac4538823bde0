<script setup lang="ts">
import type { StackScene } from '~~/core/bay/mating/stackScene'
import type { Stack } from '~~/core/file/parts/mating'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'

/** A stack of sizes to scale, each part beginning where the last one ended; what is left is the last bar. */
defineProps<{ stack: Stack; scene: StackScene; leftOver: number }>()
const words = texts.mating
const { length } = useFormat()
const percent = (share: number) => `${(share * 100).toFixed(3)}%`
</script>

<template>
  <div class="picture" role="img" :aria-label="words.stackPicture(stack.name, length(leftOver))">
    <div v-for="bar in scene.bars" :key="bar.id" class="row">
      <span class="label">{{ bar.adds ? '+' : '−' }} {{ bar.name }}</span>
      <span class="track">
        <span class="zero" :style="{ left: percent(scene.zero) }" />
        <span
          class="bar"
          :class="{ takes: !bar.adds }"
          :style="{ left: percent(bar.left), width: percent(bar.width) }"
        />
        <span class="drop" :style="{ left: percent(bar.end) }" />
      </span>
    </div>
    <div class="row">
      <b class="label">= {{ words.result }}</b>
      <span class="track">
        <span class="zero" :style="{ left: percent(scene.zero) }" />
        <span
          class="bar result"
          :class="{ negative: scene.result.isNegative }"
          :style="{ left: percent(scene.result.left), width: percent(scene.result.width) }"
        />
      </span>
    </div>
  </div>
</template>

<style scoped>
.picture {
  margin: 10px 0 12px;
  padding: 6px 0;
  border-block: 1px solid var(--hair);
  font-size: 0.9rem;
}
.row {
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 12px;
  height: 22px;
  align-items: center;
}
.label {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.track {
  position: relative;
  height: 22px;
}
.track > span {
  position: absolute;
}
.zero {
  top: 0;
  height: 22px;
  border-left: 1px dashed var(--part-line);
}
.bar {
  top: 4px;
  height: 14px;
  min-width: 2px;
  background: var(--part);
  border: 1px solid var(--part-line);
}
.takes {
  background: repeating-linear-gradient(135deg, var(--part) 0 3px, transparent 3px 7px);
}
.result {
  background: var(--accent);
  border-color: var(--accent);
}
.negative {
  background: var(--out);
  border-color: var(--out);
}
.drop {
  top: 18px;
  height: 8px;
  border-left: 1px solid var(--part-line);
}
@media (max-width: 860px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
    gap: 0;
  }
}
</style>

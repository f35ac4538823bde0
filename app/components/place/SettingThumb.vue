<script setup lang="ts">
import { placePanes } from '~~/core/drawing/placePanes'
import {
  chainLevels,
  movedBodies,
  placeBackdrop,
  placeGhosts,
  placeScene,
  placeSpan,
} from '~~/core/drawing/placeScene'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'

/** A setting from the side, small: what moves over what stands, with the measured place in dashes. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const WIDTH = 256
const picture = computed(() => {
  const moved = movedBodies(build, evaluation)
  const span = placeSpan(build, evaluation)
  const backdrop = placeBackdrop(build, evaluation, span, moved).side
  const ghosts = placeGhosts(build, evaluation, moved).side
  const scene = placeScene(build, evaluation, moved)
  // As narrow as a phone's board, whose views stand one under the other: here the first is enough.
  const pane = placePanes([...backdrop, ...ghosts], span, WIDTH, 0, chainLevels(evaluation)).panes[0]
  return pane ? { pane, backdrop, ghosts, shapes: scene.shapes.side } : null
})
</script>

<template>
  <svg
    v-if="picture"
    :viewBox="`0 0 ${picture.pane.width} ${picture.pane.height}`"
    class="thumb"
    aria-hidden="true"
  >
    <DrawingShapes :shapes="picture.backdrop" view="side" :projection="picture.pane.projection" />
    <DrawingShapes :shapes="picture.shapes" view="side" :projection="picture.pane.projection" />
    <DrawingShapes :shapes="picture.ghosts" view="side" :projection="picture.pane.projection" ghost />
  </svg>
</template>

<style scoped>
.thumb {
  width: 100%;
  max-width: 320px;
  background: var(--paper);
  border: 1px solid var(--hair);
  border-radius: 3px;
}
</style>

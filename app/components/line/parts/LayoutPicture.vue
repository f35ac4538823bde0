<script setup lang="ts">
import type { LayoutPicture } from '~~/core/show/parts/layoutPictures'

/** The lines of a layout, each as the parts view draws it. */
defineProps<{ picture: LayoutPicture }>()
</script>

<template>
  <span class="picture">
    <svg
      v-for="({ name, pieces, width }, i) in picture.lines"
      :key="i"
      :viewBox="`0 -54 ${width} 108`"
      preserveAspectRatio="xMidYMid meet"
      aria-hidden="true"
    >
      <title>{{ name }}</title>
      <g v-for="(piece, k) in pieces" :key="k" :transform="`translate(${piece.left} 0)`">
        <PartShapes :shapes="piece.shapes" />
      </g>
    </svg>
  </span>
</template>

<style scoped>
.picture {
  display: grid;
  gap: 4px;
}
svg {
  width: 100%;
  height: 44px;
}
</style>

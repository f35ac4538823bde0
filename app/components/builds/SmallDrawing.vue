<script setup lang="ts">
import type { SmallPicture } from '~~/core/drawing/smallPicture'
import { SMALL } from '~~/core/drawing/smallSize'

/** A build from the side, small; an empty line where nothing of it is known yet. */
const { picture } = defineProps<{ picture: SmallPicture | null }>()
</script>

<template>
  <svg :viewBox="`0 0 ${SMALL.width} ${SMALL.height}`" class="small-drawing" aria-hidden="true">
    <template v-if="picture">
      <path
        v-for="({ part, path, isUsual }, i) in picture.shapes"
        :key="i"
        :d="path"
        :class="[part, { usual: isUsual }]"
      />
      <circle
        v-for="({ x, y, verdict }, i) in picture.joints"
        :key="`joint-${i}`"
        :cx="x"
        :cy="y"
        r="4"
        :class="verdict"
      />
    </template>
    <path v-else d="M20 40H80L160 56H220" class="blank" />
  </svg>
</template>

<style scoped>
.small-drawing {
  display: block;
  width: 100%;
  background: var(--paper);
  border-radius: 3px;
}
path {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1;
  stroke-linejoin: round;
}
.powertrain {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.4;
}
.axle {
  fill: var(--part);
}
.rail {
  fill: var(--part);
  fill-opacity: 0.7;
  stroke: var(--hair);
}
.tyre,
.ground {
  stroke: var(--hair);
}
.shaft {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.usual {
  fill: none;
  stroke-dasharray: 5 4;
}
.blank {
  stroke-dasharray: 10 4 2 4;
}
circle {
  fill: var(--card);
  stroke: var(--unknown);
  stroke-width: 2;
}
circle.holds {
  stroke: var(--holds);
}
circle.tight {
  stroke: var(--tight);
}
circle.out {
  stroke: var(--out);
}
</style>

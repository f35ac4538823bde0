<script setup lang="ts">
import type { Place2 } from '~~/core/base/outline/polygon'
import { cutouts as words } from '~/texts/cutouts'
import { useCutouts } from '~/stores/cutouts'

/** Where it touches now, how much is in the way, how far it still has to come down. */
const cutouts = useCutouts()
const now = reactive<{ fromLeftMm?: number; fromFrontMm?: number; overlapMm?: number; leftMm?: number }>({})
const place = computed((): Place2 | null =>
  now.fromLeftMm === undefined || now.fromFrontMm === undefined ? null : [now.fromLeftMm, now.fromFrontMm],
)
const isWhole = computed(() => place.value !== null && now.overlapMm !== undefined)
function touch([fromLeftMm, fromFrontMm]: Place2) {
  Object.assign(now, { fromLeftMm, fromFrontMm })
}
function keep() {
  const { fromLeftMm, fromFrontMm, overlapMm, leftMm } = now
  if (fromLeftMm === undefined || fromFrontMm === undefined || overlapMm === undefined) return
  cutouts.keepTouch({
    at: { fromLeftMm, fromFrontMm },
    overlapMm,
    ...(leftMm !== undefined && { leftMm }),
  })
  Object.assign(now, {
    fromLeftMm: undefined,
    fromFrontMm: undefined,
    overlapMm: undefined,
    leftMm: undefined,
  })
}
const FIELDS = [
  ['fromLeftMm', words.fromLeft, 'cutouts.touches.at.fromLeftMm'],
  ['fromFrontMm', words.fromFront, 'cutouts.touches.at.fromFrontMm'],
  ['overlapMm', words.overlap, 'cutouts.touches.overlapMm'],
  ['leftMm', words.left, 'cutouts.touches.leftMm'],
] as const
</script>

<template>
  <section aria-labelledby="cutout-touch" class="now">
    <CutoutDrawing :scene-of="cutouts.scene" :place="place" @touch="touch" />
    <h2 id="cutout-touch">{{ words.touch }}</h2>
    <form class="fields" @submit.prevent="keep">
      <FigureField
        v-for="[key, label, listed] in FIELDS"
        :key="key"
        :label="label"
        kind="length"
        :of="listed"
        :value="now[key]"
        @change="now[key] = $event"
      />
      <UButton type="submit" size="lg" icon="i-lucide-check" :disabled="!isWhole">{{ words.keep }}</UButton>
    </form>
  </section>
</template>

<style scoped>
.now {
  display: grid;
  gap: 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 8px 12px;
  align-items: end;
}
</style>

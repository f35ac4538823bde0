<script setup lang="ts">
/** The answers to "which way?", each a small picture; front of the vehicle is to the left. */
const { way, quantity, isFace } = defineProps<{ way: string; quantity: string; isFace: boolean }>()

/** An arm that leans off plumb, or off level; forward and left are to the left. */
const LEANS: Readonly<Record<string, string>> = {
  ...{ forward: 'M48 29 34 6', back: 'M48 29 62 6', left: 'M48 29 34 6', right: 'M48 29 62 6' },
  ...{ up: 'M24 26 72 9', down: 'M24 9 72 26' },
}
const picture = computed(() => {
  if (quantity === 'shift-gate') return LEANS[way] ?? ''
  if (quantity === 'chassis-roll') return way === 'left' ? 'M8 26 88 8' : 'M8 8 88 26'
  if (quantity === 'gap') return way === 'free' ? 'M26 17H30M66 17H70' : 'M30 17H66'
  if (isFace) return way === 'rear' ? 'M40 30 56 4' : 'M56 30 40 4'
  if (quantity === 'axis-level' || quantity === 'chassis-fall')
    return way === 'rear' ? 'M8 8 88 26' : 'M8 26 88 8'
  return ''
})
const dot = computed(() => {
  const places: Record<string, readonly [number, number]> = {
    left: [30, 17],
    right: [66, 17],
    above: [48, 6],
    below: [48, 28],
    rearward: [74, 17],
    forward: [22, 17],
  }
  // Where the line stands to one side of a face, the face lies to the other side of the line.
  const seen = quantity === 'sprocket-face' ? (way === 'left' ? 'right' : 'left') : way
  return picture.value === '' ? places[seen] : undefined
})
const line = computed(() =>
  quantity === 'point-height' ? 'M10 17H86' : quantity === 'point-station' ? 'M48 3V31' : 'M48 2V32',
)
</script>

<template>
  <svg viewBox="0 0 96 34" class="picture" aria-hidden="true">
    <template v-if="dot">
      <path :d="line" stroke="currentColor" stroke-width="2" stroke-dasharray="7 3 1.5 3" fill="none" />
      <circle :cx="dot[0]" :cy="dot[1]" r="5" fill="currentColor" />
      <path
        v-if="quantity !== 'point-height'"
        :d="`M48 17H${dot[0]}`"
        stroke="currentColor"
        stroke-width="2"
      />
    </template>
    <template v-else>
      <path d="M4 31H92" stroke="currentColor" stroke-width="1" opacity="0.5" />
      <path :d="picture" stroke="currentColor" :stroke-width="isFace ? 6 : 5" stroke-linecap="round" />
    </template>
  </svg>
</template>

<style scoped>
.picture {
  width: 96px;
  height: 34px;
}
</style>

<script setup lang="ts">
import { encode } from 'uqr'

const { text, label } = defineProps<{ text: string; label: string }>()
/** Dark squares as one path, with the quiet edge that cameras want. */
const code = computed(() => {
  const { data, size } = encode(text, { border: 3 })
  const squares = data.flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? `M${x} ${y}h1v1h-1z` : [])))
  return { size, path: squares.join('') }
})
</script>

<template>
  <svg
    class="code"
    :viewBox="`0 0 ${code.size} ${code.size}`"
    role="img"
    :aria-label="label"
    shape-rendering="crispEdges"
  >
    <rect :width="code.size" :height="code.size" fill="#fff" />
    <path :d="code.path" fill="#000" />
  </svg>
</template>

<style scoped>
.code {
  width: min(280px, 70vw);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
</style>

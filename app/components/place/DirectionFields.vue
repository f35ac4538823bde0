<script setup lang="ts">
import { directionOf, directionWords, WAY_NAMES, WAYS, type GapWay } from '~~/core/vehicle/gaps/direction'
import type { Gap } from '~~/core/file/parts/gap'
import { texts } from '~/texts/en'

/** A direction, such as which way a gap was read: mostly one way, leaning another by some degrees. */
const { toward, label = undefined } = defineProps<{ toward: Gap['toward']; label?: string }>()
const emit = defineEmits<{ change: [toward: Gap['toward']] }>()
const words = texts.place.drawer
const now = computed(() => directionWords(toward))
const mains = WAY_NAMES.map((value) => ({ value, label: words.ways[value] }))
/** What runs along the same line leans nowhere. */
const leans = computed(() =>
  WAY_NAMES.filter((way) => WAYS[way].every((part, i) => part === 0 || WAYS[now.value.main][i] === 0)).map(
    (value) => ({ value, label: words.ways[value] }),
  ),
)
const LEAN_DEG = 15
function setMain(main: GapWay) {
  const { lean, leanDeg } = now.value
  const stays = lean !== null && WAYS[lean].every((part, i) => part === 0 || WAYS[main][i] === 0)
  emit('change', directionOf({ main, lean: stays ? lean : null, leanDeg }))
}
function setLean(lean: GapWay | undefined) {
  emit('change', directionOf({ ...now.value, lean: lean ?? null, leanDeg: now.value.leanDeg || LEAN_DEG }))
}
function setDegrees(leanDeg: number | undefined) {
  if (leanDeg !== undefined) emit('change', directionOf({ ...now.value, leanDeg }))
}
</script>

<template>
  <ChoiceField :label="label ?? words.toward" :value="now.main" :items="mains" @change="setMain($event)" />
  <div class="lean">
    <ChoiceField
      :label="words.lean"
      :value="now.lean ?? undefined"
      :items="leans"
      :unsaid="words.straight"
      @change="setLean"
    />
    <FigureField
      v-if="now.lean"
      :label="words.leanBy"
      unit="°"
      :least="0"
      :most="45"
      required
      :value="now.leanDeg"
      @change="setDegrees"
    />
  </div>
</template>

<style scoped>
.lean {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>

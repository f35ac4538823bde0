<script setup lang="ts">
import { directionOf, directionWords, WAY_NAMES, WAYS, type GapWay } from '~~/core/vehicle/gaps/direction'
import { texts } from '~/texts/en'
import { releases as words } from '~/texts/ways'

/** A direction: mostly one way, leaning another by some degrees. */
const { way, label } = defineProps<{ way: readonly number[]; label: string }>()
const emit = defineEmits<{ change: [way: [number, number, number]] }>()
const names = texts.place.drawer.ways
const now = computed(() => directionWords([way[0] ?? 0, way[1] ?? 0, way[2] ?? 0]))
const mains = WAY_NAMES.map((value) => ({ value, label: names[value] }))
const isAcross = (one: GapWay, main: GapWay) =>
  WAYS[one].every((part, i) => part === 0 || WAYS[main][i] === 0)
const leans = computed(() =>
  WAY_NAMES.filter((one) => isAcross(one, now.value.main)).map((value) => ({ value, label: names[value] })),
)
const LEAN_DEG = 15
const told = (words: Parameters<typeof directionOf>[0]) => emit('change', [...directionOf(words)])
function setMain(main: GapWay) {
  const { lean, leanDeg } = now.value
  told({ main, lean: lean !== null && isAcross(lean, main) ? lean : null, leanDeg })
}
const setLean = (lean: GapWay | undefined) =>
  told({ ...now.value, lean: lean ?? null, leanDeg: now.value.leanDeg || LEAN_DEG })
</script>

<template>
  <div class="way">
    <ChoiceField :label="label" :value="now.main" :items="mains" @change="setMain($event)" />
    <ChoiceField
      :label="words.lean"
      :value="now.lean ?? undefined"
      :items="leans"
      :unsaid="words.straight"
      @change="setLean"
    />
    <FigureField
      v-if="now.lean"
      :label="words.leanDeg"
      unit="°"
      :least="0"
      :most="45"
      required
      :value="now.leanDeg"
      @change="$event !== undefined && told({ ...now, leanDeg: $event })"
    />
  </div>
</template>

<style scoped>
.way {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px 10px;
  align-items: end;
}
</style>

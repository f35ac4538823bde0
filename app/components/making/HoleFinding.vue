<script setup lang="ts">
import { HOLE_FINDS, type HoleFind } from '~~/core/file/kinds/tickKinds'
import { steps as words } from '~/texts/steps'

/** How a bolt goes into a hole, by one touch; where it is off, toward which hour. */
const emit = defineEmits<{ found: [found: { readonly found: HoleFind; readonly hour?: number }] }>()
const isOff = ref(false)
const HOURS = Array.from({ length: 12 }, (_, k) => k + 1)
function say(found: HoleFind) {
  isOff.value = found === 'off'
  if (found !== 'off') emit('found', { found })
}
</script>

<template>
  <div class="finds">
    <UButton
      v-for="one in HOLE_FINDS"
      :key="one"
      size="xl"
      :variant="one === 'fits' ? 'solid' : 'outline'"
      :aria-expanded="one === 'off' ? isOff : undefined"
      @click="say(one)"
      >{{ words.finds[one] }}</UButton
    >
  </div>
  <template v-if="isOff">
    <p id="hours">{{ words.hours }}</p>
    <div class="hours" role="group" aria-labelledby="hours">
      <UButton
        v-for="hour in HOURS"
        :key="hour"
        size="xl"
        variant="outline"
        @click="emit('found', { found: 'off', hour })"
        >{{ hour }}</UButton
      >
    </div>
  </template>
</template>

<style scoped>
.finds {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.hours {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
}
.finds :deep(button),
.hours :deep(button) {
  justify-content: center;
  min-height: 56px;
}
</style>

<script setup lang="ts">
import { texts } from '~/texts/en'

/** Keys for one thumb. Lengths also want a fraction bar, a space and the inch and foot marks. */
const { unit, minutes } = defineProps<{
  unit: 'angle' | 'length'
  minutes: boolean
  canRepeat: boolean
}>()
const emit = defineEmits<{ type: [text: string]; erase: []; next: []; repeat: []; skip: []; tool: [] }>()
const extra = computed(() => (unit === 'angle' ? (minutes ? ['°', "'"] : []) : ['/', '␣', "'", '"']))
</script>

<template>
  <div class="pad" role="group" :aria-label="texts.readings.keypad">
    <div v-if="extra.length" class="extra">
      <button
        v-for="key in extra"
        :key="key"
        type="button"
        :aria-label="key === '␣' ? 'space' : key"
        @click="emit('type', key === '␣' ? ' ' : key)"
      >
        {{ key }}
      </button>
    </div>
    <button v-for="key in ['1', '2', '3']" :key="key" type="button" @click="emit('type', key)">
      {{ key }}
    </button>
    <button type="button" class="word" :aria-label="texts.readings.erase" @click="emit('erase')">
      <UIcon name="i-lucide-delete" class="size-6" />
    </button>
    <button v-for="key in ['4', '5', '6']" :key="key" type="button" @click="emit('type', key)">
      {{ key }}
    </button>
    <button type="button" class="word" :disabled="!canRepeat" @click="emit('repeat')">
      {{ texts.readings.add }}
    </button>
    <button v-for="key in ['7', '8', '9']" :key="key" type="button" @click="emit('type', key)">
      {{ key }}
    </button>
    <button type="button" class="word" @click="emit('tool')">
      {{ texts.measuring.instrument.fromTool }}
    </button>
    <button type="button" @click="emit('type', '.')">.</button>
    <button type="button" @click="emit('type', '0')">0</button>
    <button type="button" class="word" @click="emit('skip')">
      {{ texts.readings.skip }}
    </button>
    <button type="button" class="next" @click="emit('next')">{{ texts.readings.next }}</button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
}
.extra {
  grid-column: 1 / -1;
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  gap: 6px;
}
button {
  min-height: 52px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 1.625rem;
  cursor: pointer;
  display: grid;
  place-items: center;
  touch-action: manipulation;
}
.extra button {
  min-height: 48px;
  font-size: 1.25rem;
}
button:active {
  background: var(--wash);
}
button:disabled {
  color: var(--soft);
  opacity: 0.55;
  cursor: default;
}
.word {
  font-size: 1.0625rem;
}
.next {
  background: var(--accent);
  border-color: var(--accent);
  color: var(--on-accent);
  font-size: 1.25rem;
}
</style>

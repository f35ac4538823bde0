<script setup lang="ts">
import { parseLength } from '~~/core/base/units/parseLength'
import type { LengthUnit } from '~~/core/base/units/unitSettings'
import { texts } from '~/texts/en'

/** Three lengths of one point, typed in one go: along, across with its side, and up. */
const { labels, unit, kept, keptWays } = defineProps<{
  /** Said to screen readers: whose figures these are. */
  name: string
  labels: readonly [string, string, string]
  unit: LengthUnit
  kept: readonly [string, string, string] | null
  keptWays: readonly [string, string, string] | null
}>()
const emit = defineEmits<{
  keep: [
    values: [string, string, string],
    ways: ['rearward' | 'forward', 'left' | 'right', 'above' | 'below'],
  ]
}>()
const words = texts.measuring.datum
const typed = ref<[string, string, string]>(['', '', ''])
const ways = ref<['rearward' | 'forward', 'left' | 'right', 'above' | 'below']>(['rearward', 'left', 'above'])
const OPTIONS = [
  ['rearward', 'forward'],
  ['left', 'right'],
  ['above', 'below'],
] as const
const fault = ref('')
watch(
  () => [kept, keptWays] as const,
  ([now, nowWays]) => {
    typed.value = now ? [...now] : ['', '', '']
    if (nowWays) ways.value = [...nowWays] as typeof ways.value
  },
  { immediate: true },
)
function keep() {
  const wrong = typed.value.map((text) => parseLength(text, unit)).findIndex((parsed) => !parsed.ok)
  const parsed = wrong < 0 ? null : parseLength(typed.value[wrong] ?? '', unit)
  fault.value = parsed && !parsed.ok ? `${labels[wrong]}: ${parsed.message}` : ''
  if (wrong < 0) emit('keep', [...typed.value], [...ways.value])
}
function turn(i: number) {
  const [first, second] = OPTIONS[i] as readonly [string, string]
  ways.value = ways.value.map((way, k) =>
    k === i ? (way === first ? second : first) : way,
  ) as typeof ways.value
}
</script>

<template>
  <form class="triple" :aria-label="name" @submit.prevent="keep">
    <div v-for="(label, i) in labels" :key="label" class="one">
      <UInput
        :model-value="typed[i]"
        :aria-label="`${name}, ${label}`"
        :placeholder="label"
        maxlength="60"
        class="w-full"
        @update:model-value="typed[i] = String($event)"
      >
        <template #trailing
          ><span class="soft">{{ unit }}</span></template
        >
      </UInput>
      <button type="button" :aria-label="`${name}, ${label}: ${ways[i]}`" @click="turn(i)">
        {{ ways[i] }}
      </button>
    </div>
    <UButton type="submit" size="sm" variant="outline">{{ words.keep }}</UButton>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </form>
</template>

<style scoped>
.triple {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  gap: 8px;
  align-items: center;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 5.2rem;
}
.one button {
  min-height: 32px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  color: var(--accent);
  font-weight: 500;
  cursor: pointer;
}
.fault {
  grid-column: 1 / -1;
  color: var(--out);
}
@media (max-width: 860px) {
  .triple {
    grid-template-columns: 1fr;
  }
  .one button {
    min-height: 48px;
  }
}
</style>

<script setup lang="ts">
import type { DisplayEnd, Tool } from '~~/core/file/parts/tool'
import { flipTestResult } from '~~/core/measure/figures/toolError'
import { texts } from '~/texts/en'
import { useSetups } from '~/stores/setups'
import { useFormat } from '~/composables/useFormat'

/** Guides a flip test: the level read on one spot, then turned end for end on the same marks. */
const { tool } = defineProps<{ tool: Tool }>()
const emit = defineEmits<{ done: [] }>()
const setups = useSetups()
const { angle } = useFormat()
const words = texts.measuring.tools
const typed = reactive<{ first: string; firstHigh?: DisplayEnd; second: string; secondHigh?: DisplayEnd }>({
  first: '',
  second: '',
})
const result = computed(() => flipTestResult({ ...typed }))
const isTyped = computed(() => typed.first.trim() !== '' && typed.second.trim() !== '')
const ends = [
  ['left', words.flipLeft],
  ['right', words.flipRight],
] as const
const resultText = computed(() => {
  if (!result.value.ok) return result.value.message
  const { zeroErrorDeg, surfaceDeg } = result.value
  const surface = angle(Math.abs(surfaceDeg))
  if (Math.abs(zeroErrorDeg) < 0.005) return words.flipGood(surface)
  return words.flipResult(
    angle(Math.abs(zeroErrorDeg)),
    zeroErrorDeg > 0 ? words.flipRight : words.flipLeft,
    surface,
  )
})

function keep() {
  if (!result.value.ok) return
  setups.addFlipTest(tool.id, { ...typed })
  emit('done')
}
</script>

<template>
  <form class="flip" :aria-label="words.flip" @submit.prevent="keep">
    <fieldset v-for="(step, i) in ['first', 'second'] as const" :key="step">
      <legend>{{ i + 1 }}. {{ words.flipSteps[i] }}</legend>
      <svg viewBox="0 0 180 40" class="picture" aria-hidden="true">
        <path d="M10 34H170" class="ground" />
        <rect x="44" y="10" width="92" height="22" rx="3" class="tool" />
        <circle :cx="i === 0 ? 126 : 54" cy="21" r="4" class="mark" />
      </svg>
      <div class="typed">
        <UInput
          v-model="typed[step]"
          size="lg"
          maxlength="40"
          inputmode="decimal"
          :aria-label="`${words.flip} ${i + 1}`"
        />
        <span class="soft">°</span>
      </div>
      <span class="soft">{{ words.flipHigh }}</span>
      <WordChoice
        :label="words.flipHigh"
        :options="ends"
        :value="typed[`${step}High`]"
        @choose="typed[`${step}High`] = $event"
      />
    </fieldset>
    <p v-if="isTyped" :class="{ wrong: !result.ok }" aria-live="polite" data-testid="flip-result">
      {{ resultText }}
    </p>
    <div class="doing">
      <UButton type="submit" :disabled="!isTyped || !result.ok">{{ words.flipKeep }}</UButton>
      <UButton variant="ghost" color="neutral" @click="emit('done')">{{ words.flipCancel }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.flip {
  display: grid;
  gap: 14px;
  padding: 12px;
  border: 1.5px solid var(--accent);
  border-radius: 4px;
}
fieldset {
  display: grid;
  gap: 8px;
}
legend {
  line-height: 1.3;
  margin-bottom: 6px;
}
.picture {
  width: 180px;
}
.ground {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.tool {
  fill: var(--card);
  stroke: var(--accent);
  stroke-width: 2.5;
}
.mark {
  fill: var(--accent);
}
.typed {
  display: flex;
  align-items: center;
  gap: 6px;
}
.wrong {
  color: var(--out);
}
.doing {
  display: flex;
  gap: 8px;
}
</style>

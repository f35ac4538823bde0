<script setup lang="ts">
import { parseFigure, figureText } from '~~/core/base/units/parseFigure'
import type { Dimension } from '~~/core/show/parts/dimensions'
import { partsOfLine } from '~/texts/parts'
import { useFormat } from '~/composables/useFormat'

/** A figure on a part: tap, type, done. Computed ones tell where they come from; missing ones what they hold up. */
const { dimension, plusMinus = '' } = defineProps<{ dimension: Dimension; plusMinus?: string }>()
const emit = defineEmits<{ set: [mm: number | undefined]; why: [value: string] }>()
const { units, length } = useFormat()
const words = partsOfLine
const isTyping = ref(false)
const text = ref('')
const fault = ref('')
const input = useTemplateRef<HTMLInputElement>('input')
const name = computed(() => words.dimensions[dimension.key])
const shown = computed(() => (dimension.mm === null ? '?' : length(dimension.mm)))
const isMissing = computed(() => dimension.mm === null && !dimension.isOptional)
const label = computed(() => {
  if (dimension.path === null) return words.why(name.value, `${shown.value} ${plusMinus}`.trim())
  return dimension.mm === null ? words.enter(name.value) : words.change(name.value, shown.value)
})
const remark = computed(() => {
  if (!isMissing.value) return name.value
  if (dimension.missing.length > 0) return words.notRead(dimension.missing[0] ?? '')
  return `${name.value}: ${words.missing(words.holdsUp[dimension.key])}`
})

async function open() {
  if (dimension.path === null) {
    if (dimension.mm !== null) emit('why', shown.value)
    return
  }
  text.value = dimension.mm === null ? '' : figureText(dimension.mm, 'length', units.value)
  fault.value = ''
  isTyping.value = true
  await nextTick()
  input.value?.focus()
  input.value?.select()
}
/** @param isLeaving - the field is left, so that what cannot be read is let go */
function take(isLeaving: boolean) {
  if (!isTyping.value) return
  if (text.value.trim() === '') {
    isTyping.value = false
    if (dimension.mm !== null) emit('set', undefined)
    return
  }
  const parsed = parseFigure(
    text.value,
    'length',
    units.value,
    dimension.key === 'overhang' ? -5000 : 0,
    100_000,
  )
  fault.value = parsed.ok ? '' : parsed.message
  if (parsed.ok) {
    isTyping.value = false
    if (parsed.value !== dimension.mm) emit('set', parsed.value)
  } else if (isLeaving) input.value?.focus()
}
</script>

<template>
  <div class="dimension" :class="{ missing: isMissing, computed: dimension.path === null, open: isTyping }">
    <input
      v-if="isTyping"
      ref="input"
      v-model="text"
      type="text"
      maxlength="60"
      autocomplete="off"
      :aria-label="name"
      :aria-invalid="fault !== ''"
      @keydown.enter.prevent="take(false)"
      @keydown.escape.stop="isTyping = false"
      @keydown.stop
      @blur="take(true)"
    />
    <button v-else type="button" :aria-label="label" :title="remark" @click="open">
      {{ shown }} <span v-if="plusMinus" class="soft">{{ plusMinus }}</span>
    </button>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p v-else class="caption">{{ remark }}</p>
  </div>
</template>

<style scoped>
.dimension {
  display: grid;
  justify-items: center;
  width: 100px;
  text-align: center;
}
button,
input {
  min-width: 44px;
  min-height: 28px;
  padding: 0 7px;
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 1.0625rem;
  font-variant-numeric: tabular-nums;
  color: var(--ink);
  background: var(--card);
  border: 1.6px solid var(--accent);
  border-radius: 4px;
  cursor: pointer;
}
button span {
  display: inline-block;
  white-space: nowrap;
}
input {
  width: 92px;
  text-align: center;
  cursor: text;
}
.computed button {
  border-color: transparent;
  background: var(--paper);
  font-weight: 500;
}
.missing button {
  color: var(--out);
  border: 1.6px dashed var(--out);
}
/* What it holds up takes more than there is room for: the whole opens for who looks at it. */
.caption {
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.dimension:hover,
.dimension:focus-within {
  z-index: 4;
}
.dimension:hover .caption,
.dimension:focus-within .caption {
  -webkit-line-clamp: none;
}
.caption,
.fault {
  margin-top: 1px;
  color: var(--soft);
  font-size: 0.8125rem;
  line-height: 1.15;
  text-wrap: balance;
  background: var(--paper);
}
.fault,
.missing .caption {
  color: var(--out);
}
</style>

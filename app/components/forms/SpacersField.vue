<script setup lang="ts">
import { parseStock, stockFieldText } from '~~/core/show/text/stockText'
import { texts } from '~/texts/en'

/** Thicknesses of the spacers at hand, typed in one line. */
const { value, most } = defineProps<{
  value: readonly number[] | undefined
  /** Thicknesses at the most. */
  most: number
}>()
const emit = defineEmits<{ change: [stock: number[] | undefined] }>()
const words = texts.bay.body
const fault = ref<string>()
function take(text: string) {
  const parsed = parseStock(text, most)
  fault.value = parsed.ok ? undefined : parsed.message
  if (parsed.ok) emit('change', parsed.stock.length > 0 ? [...parsed.stock] : undefined)
}
</script>

<template>
  <TextField
    :label="words.stock"
    :help="words.stockHint"
    :error="fault"
    :value="stockFieldText(value ?? [])"
    @change="take($event)"
  />
</template>

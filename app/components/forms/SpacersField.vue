<script setup lang="ts">
import { parseStock, stockFieldText, type TypedLengths } from '~~/core/show/text/stockText'
import { texts } from '~/texts/en'

/** Thicknesses of the spacers at hand, or other lengths, typed in one line. */
const {
  value,
  most,
  typed = undefined,
  label = texts.bay.body.stock,
  help = texts.bay.body.stockHint,
} = defineProps<{
  label?: string
  /** Of other lengths: what they are called, and their range. */
  typed?: TypedLengths
  help?: string
  value: readonly number[] | undefined
  /** Thicknesses at the most. */
  most: number
}>()
const emit = defineEmits<{ change: [stock: number[] | undefined] }>()
const fault = ref<string>()
function take(text: string) {
  const parsed = parseStock(text, most, typed)
  fault.value = parsed.ok ? undefined : parsed.message
  if (parsed.ok) emit('change', parsed.stock.length > 0 ? [...parsed.stock] : undefined)
}
</script>

<template>
  <TextField
    :label="label"
    :help="help"
    :error="fault"
    :value="stockFieldText(value ?? [])"
    @change="take($event)"
  />
</template>

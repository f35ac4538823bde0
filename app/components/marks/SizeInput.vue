<script setup lang="ts">
import { figureText, parseFigure, type FigureKind } from '~~/core/units/parseFigure'
import { useFormat } from '~/composables/useFormat'
import { useTyping } from '~/composables/useTyping'

/** A figure in a cell of a table: typed in the build's unit, kept in the file's, refused with a reason. */
const {
  label,
  value,
  kind = 'length',
  unit = '',
  least = 0,
  most = 10_000,
} = defineProps<{
  label: string
  value: number | undefined
  kind?: FigureKind
  unit?: string
  least?: number
  most?: number
}>()
const emit = defineEmits<{ change: [value: number | undefined] }>()
const { units } = useFormat()
const fault = ref('')
const shown = computed(() => (value === undefined ? '' : figureText(value, kind, units.value)))
const typing = useTyping(shown)
watch(shown, () => (fault.value = ''))

function take(text: string) {
  if (text.trim() === '') {
    fault.value = ''
    if (value !== undefined) emit('change', undefined)
    return
  }
  const parsed = parseFigure(text, kind, units.value, least, most)
  fault.value = parsed.ok ? '' : parsed.message
  if (!parsed.ok) return
  typing.settle()
  if (parsed.value !== value) emit('change', parsed.value)
}
</script>

<template>
  <UInput
    :model-value="typing.text.value"
    class="size"
    :color="fault === '' ? undefined : 'error'"
    :highlight="fault !== ''"
    maxlength="60"
    autocomplete="off"
    :aria-label="label"
    :aria-invalid="fault !== ''"
    :title="fault || undefined"
    :inputmode="kind === 'length' ? 'text' : 'decimal'"
    @update:model-value="typing.type(String($event))"
    @change="take(($event.target as HTMLInputElement).value)"
  >
    <template #trailing>
      <span class="soft">{{ kind === 'length' ? units.length : unit }}</span>
    </template>
  </UInput>
  <small v-if="fault" role="alert" class="fault">{{ fault }}</small>
</template>

<style scoped>
.size {
  width: 112px;
}
@media (max-width: 720px) {
  .size {
    width: 100%;
  }
}
.fault {
  display: block;
  max-width: 160px;
  color: var(--out);
}
</style>

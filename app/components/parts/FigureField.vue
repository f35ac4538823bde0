<script setup lang="ts">
import { figureText, parseFigure, type FigureKind } from '~~/core/units/parseFigure'
import { useFormat } from '~/composables/useFormat'
import { splitByTerms } from '~/texts/glossary'
import { useTyping } from '~/composables/useTyping'

/** A figure of a part: typed in the build's unit, kept in the file's, refused with a reason. */
const {
  label,
  value,
  kind = 'plain',
  unit = '',
  least = 0,
  most = 100_000,
  help = '',
  required = false,
} = defineProps<{
  label: string
  value: number | undefined
  kind?: FigureKind
  unit?: string
  least?: number
  most?: number
  help?: string
  required?: boolean
}>()
const emit = defineEmits<{ change: [value: number | undefined] }>()
/** The first term of the trade in the label: its meaning stands beside it, for a label may hold no button. */
const term = computed(() => splitByTerms(label).find(({ entry }) => entry)?.entry ?? null)
const { units } = useFormat()
const fault = ref<string | undefined>()
const shown = computed(() => (value === undefined ? '' : figureText(value, kind, units.value)))
const shownUnit = computed(() => (kind === 'length' ? units.value.length : unit))
const typing = useTyping(shown)
watch(shown, () => (fault.value = undefined))

function take(text: string) {
  if (text.trim() === '') {
    fault.value = required ? 'this figure is needed' : undefined
    if (!required && value !== undefined) emit('change', undefined)
    return
  }
  const parsed = parseFigure(text, kind, units.value, least, most)
  fault.value = parsed.ok ? undefined : parsed.message
  if (!parsed.ok) return
  typing.settle()
  if (parsed.value !== value) emit('change', parsed.value)
}
</script>

<template>
  <UFormField :label="label" :error="fault" :help="help || undefined">
    <template v-if="term" #hint>
      <TermWord word="?" :name="term.term" :meaning="term.meaning" />
    </template>
    <UInput
      :model-value="typing.text.value"
      class="w-full"
      maxlength="60"
      autocomplete="off"
      :inputmode="kind === 'length' ? 'text' : 'decimal'"
      @update:model-value="typing.type(String($event))"
      @change="take(($event.target as HTMLInputElement).value)"
    >
      <template v-if="shownUnit" #trailing>
        <span class="soft">{{ shownUnit }}</span>
      </template>
    </UInput>
  </UFormField>
</template>

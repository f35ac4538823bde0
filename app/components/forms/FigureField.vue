<script setup lang="ts">
import type { FigureKind } from '~~/core/base/units/parseFigure'
import { useFigureEntry } from '~/composables/useFigureEntry'
import { splitByTerms } from '~/texts/glossary'

/** A figure of the build under its label. */
const {
  label,
  value,
  kind = 'plain',
  unit = '',
  of,
  least,
  most,
  help = '',
  required = false,
} = defineProps<{
  label: string
  value: number | undefined
  kind?: FigureKind
  unit?: string
  of?: string
  least?: number
  most?: number
  help?: string
  required?: boolean
}>()
const emit = defineEmits<{ change: [value: number | undefined] }>()
/** The first term of the trade in the label: its meaning stands beside it, for a label may hold no button. */
const term = computed(() => splitByTerms(label).find(({ entry }) => entry)?.entry ?? null)
const { text, type, take, fault, units } = useFigureEntry(
  () => ({ value, kind, of, least, most, required }),
  (changed) => emit('change', changed),
)
const shownUnit = computed(() => (kind === 'length' ? units.value.length : unit))
</script>

<template>
  <UFormField :label="label" :error="fault" :help="help || undefined">
    <template v-if="term" #hint>
      <TermWord word="?" :name="term.term" :meaning="term.meaning" />
    </template>
    <UInput
      :model-value="text"
      class="w-full"
      maxlength="60"
      autocomplete="off"
      :inputmode="kind === 'length' ? 'text' : 'decimal'"
      @update:model-value="type(String($event))"
      @change="take(($event.target as HTMLInputElement).value)"
    >
      <template v-if="shownUnit" #trailing>
        <span class="soft">{{ shownUnit }}</span>
      </template>
    </UInput>
  </UFormField>
</template>

import { computed, ref, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { boundsAt } from '~~/core/file/build/bounds'
import { figureText, parseFigure, type FigureKind } from '~~/core/base/units/parseFigure'
import { useFormat } from './useFormat'
import { useTyping } from './useTyping'

/** A figure as it is entered somewhere. */
export interface FigureEntry {
  readonly value: number | undefined
  readonly kind?: FigureKind
  /** Its place in the file, which says how far it may go (`core/file/build/bounds.ts`). */
  readonly of?: string
  /** Narrower than the file, where another figure says so; all there is for a figure that is not in the file. */
  readonly least?: number
  readonly most?: number
  readonly required?: boolean
}

/** The text of a figure: typed in the build's unit, kept in the file's, refused with a reason. */
export function useFigureEntry(
  entry: MaybeRefOrGetter<FigureEntry>,
  change: (value: number | undefined) => void,
) {
  const { units } = useFormat()
  const fault = ref<string | undefined>()
  const shown = computed(() => {
    const { value, kind = 'plain' } = toValue(entry)
    return value === undefined ? '' : figureText(value, kind, units.value)
  })
  const typing = useTyping(shown)
  watch(shown, () => (fault.value = undefined))

  function take(text: string): void {
    const { value, kind = 'plain', required } = toValue(entry)
    if (text.trim() === '') {
      fault.value = required ? 'this figure is needed' : undefined
      if (!required && value !== undefined) change(undefined)
      return
    }
    const { least, most } = boundsOf(toValue(entry))
    const parsed = parseFigure(text, kind, units.value, least, most)
    fault.value = parsed.ok ? undefined : parsed.message
    if (!parsed.ok) return
    typing.settle()
    if (parsed.value !== value) change(parsed.value)
  }

  return { text: typing.text, type: typing.type, take, fault, units }
}

function boundsOf({ of, least = -Infinity, most = Infinity }: FigureEntry) {
  if (of === undefined) return { least, most }
  const file = boundsAt(of)
  return { least: Math.max(least, file.least), most: Math.min(most, file.most) }
}

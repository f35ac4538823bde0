import { defineStore } from 'pinia'
import { computed } from 'vue'
import { namedFigures } from '~~/core/model/namedFigures'
import { useEvaluation } from './evaluation'
import { useSureness } from './sureness'

/** The ± of figures on screen, by their places in the published result. */
export const useNamedFigures = defineStore('namedFigures', () => {
  const evaluation = useEvaluation()
  const sureness = useSureness()
  const ids = computed(() => {
    const { compiled } = evaluation
    const named = compiled ? namedFigures(compiled) : []
    return new Map(named.flatMap(({ place, id }) => (place === null ? [] : [[place, id] as const])))
  })

  /** ± of a figure in its unit; null while it is not known. */
  const plusMinus = (place: string): number | null =>
    sureness.result?.figures[ids.value.get(place) ?? '']?.plusMinus ?? null

  return { plusMinus }
})

import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { ClutchEvaluation } from '../../model/clutchSubject'

/** A figure of a clutch in words. */
export interface ClutchRow {
  readonly key: string
  readonly name: string
  readonly value: string
  /** Its place in the published result. */
  readonly place: string
}

const NAMES = [
  ['masterTakesMm', 'The master takes'],
  ['masterLeftMm', 'Left of the master’s stroke'],
  ['slaveGoesMm', 'The slave goes'],
  ['slaveLeftMm', 'Left of the slave’s stroke'],
  ['bearingGoesMm', 'The bearing goes'],
  ['leftMm', 'Of that beyond what frees the plate'],
  ['freeAtMm', 'Free when the pedal is down by'],
  ['ratio', 'Pedal to bearing'],
  ['pivotByMm', 'Fork pivot longer by'],
] as const

/**
 * Everything worked out of a clutch.
 *
 * @param index - of the clutch in the build
 */
export const clutchRows = ({ found }: ClutchEvaluation, index: number, units: UnitSettings): ClutchRow[] =>
  NAMES.flatMap(([key, name]) => {
    const value = found.known ? found.value[key] : undefined
    if (value === undefined) return []
    const text = key === 'ratio' ? `${fixed(value, 2)} : 1` : formatLength(value, units)
    return [{ key, name, value: text, place: `clutches[${index}].${key}` }]
  })

/** What a clutch comes to. */
export function clutchSentence({ clutch, found }: ClutchEvaluation, units: UnitSettings): string {
  if (!found.known) return `${clutch.name} waits for its sizes.`
  const { leftMm, freeAtMm, bearingGoesMm, masterLeftMm = 0, slaveLeftMm = 0 } = found.value
  const length = (mm: number) => formatLength(mm, units)
  const ends = [
    ...(masterLeftMm < 0 ? [`the master lacks ${length(-masterLeftMm)} of stroke`] : []),
    ...(slaveLeftMm < 0 ? [`the slave lacks ${length(-slaveLeftMm)}`] : []),
  ]
  const then = ends.length > 0 ? `; ${ends.join(', ')}` : ''
  return leftMm < 0
    ? `It drags: the bearing goes ${length(bearingGoesMm)}, ${length(-leftMm)} less than frees the plate${then}.`
    : `It is free when the pedal is down by ${length(freeAtMm)}, with ${length(leftMm)} of the bearing’s travel left${then}.`
}

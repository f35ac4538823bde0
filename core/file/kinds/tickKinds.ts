import { object } from 'yup'
import { figure, requiredId, requiredName, timeField, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What is made step by step. */
export const STEP_SUBJECTS = ['bar', 'tube', 'plate', 'weld'] as const
export type StepSubject = (typeof STEP_SUBJECTS)[number]

/** How a bolt goes into a hole. */
export const HOLE_FINDS = ['fits', 'tight', 'off'] as const
export type HoleFind = (typeof HOLE_FINDS)[number]

const tickShape = object({
  id: requiredId(),
  /** What of the build the step belongs to. */
  of: wordField(STEP_SUBJECTS).required(),
  thing: requiredId(),
  /** The step, by what it is ticked by. */
  name: requiredName(),
  at: timeField().required(),
  /** Of a hole, and toward which hour one that is off has to go, from where you look. */
  found: wordField(HOLE_FINDS),
  hour: figure(1, 12).integer(),
})

/** A step of the work that is done. */
export type Tick = Told<typeof tickShape>

export interface TickTypes extends OnlyTold {
  readonly lists: { readonly ticks?: readonly Tick[] }
}

/** Steps that are done; those of a thing that is gone are remembered by nobody. */
export const KINDS_OF_TICKS = {
  ...ONLY_TOLD,
  lists: { ticks: { shape: tickShape, most: 2000, names: () => [] } },
} as const satisfies SubjectKinds<TickTypes>

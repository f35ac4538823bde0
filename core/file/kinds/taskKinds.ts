import { array, boolean, object, string } from 'yup'
import { dayField, figure, maybe, noteField, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What is bought, made, or fitted. */
export const TASK_SORTS = ['buy', 'fabricate', 'fit'] as const
export type TaskSort = (typeof TASK_SORTS)[number]

export const MOST_TASKS = 200

/** The builder's own task by its id; one that the build makes by what makes it, such as `make/bar-1`. */
const taskKey = () => string().matches(/^[A-Za-z0-9_-]{1,64}(\/[A-Za-z0-9_-]{1,64}){0,2}$/)
const keys = () => array().of(taskKey().required()).max(50)
const ids = () => array().of(requiredId()).max(20)

/** Low, likely, high. */
const estimate = (most: number) =>
  maybe({
    low: figure(0, most).required(),
    likely: figure(0, most).required(),
    high: figure(0, most).required(),
  }).test(
    'in-order',
    'must not rise or fall out of order: low, likely, high',
    (told) => told === undefined || (told.low <= told.likely && told.likely <= told.high),
  )

const taskShape = object({
  id: requiredId(),
  name: requiredName(),
  sort: wordField(TASK_SORTS).required(),
  /** The task of the build that this says more of; absent for one of the builder's own. */
  of: taskKey(),
  /** Tasks that are done before it, besides those that the build knows of. */
  after: keys(),
  /** Pairs of hands that it takes. */
  hands: figure(1, 2).integer(),
  /** At the bench or under the vehicle. */
  hours: estimate(1000),
  /** Calendar days from ordering to arrival. */
  leadDays: estimate(1000),
  /** What it costs besides, and how long it is on its way then. */
  hurry: maybe({ leadDays: estimate(1000), cost: figure(0, 1e7), isPaid: boolean() }),
  /** How likely it has to be done once more; what is bought then comes once more. */
  redoPercent: figure(0, 100),
  cost: figure(0, 1e7),
  isHot: boolean(),
  /** What of the vehicle must be on for it, and what must be off. */
  present: ids(),
  absent: ids(),
  /** Not before. */
  from: dayField(),
  orderedAt: dayField(),
  doneAt: dayField(),
  tookH: figure(0, 1000),
  /** What it uses up: blades, discs, wire, gas, gloves. */
  uses: noteField(),
  note: noteField(),
})

/** A task, or what the builder says of one that the build makes. */
export type TaskEntry = Told<typeof taskShape>
export type Estimate = NonNullable<TaskEntry['hours']>

const removalShape = object({
  id: requiredId(),
  name: requiredName(),
  /** How it stands now, and how at the end; on where nothing is said. */
  isOff: boolean(),
  endsOff: boolean(),
  /** What it takes to take it off, and to put it back. */
  offH: figure(0, 200).required(),
  onH: figure(0, 200).required(),
  /** What must be off before it can be taken off or put back. */
  once: ids(),
})

/** What of the vehicle comes off and goes back on: the engine, the exhaust, the wheels from the ground. */
export type Removal = Told<typeof removalShape>

export interface TaskTypes extends OnlyTold {
  readonly lists: { readonly tasks?: readonly TaskEntry[]; readonly removals?: readonly Removal[] }
}

/** What is to be done, and what is in its way. */
export const KINDS_OF_TASKS = {
  ...ONLY_TOLD,
  lists: {
    tasks: { shape: taskShape, most: MOST_TASKS, names: () => [] },
    removals: { shape: removalShape, most: 8, names: () => [] },
  },
} as const satisfies SubjectKinds<TaskTypes>

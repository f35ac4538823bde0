import { array, boolean, object, string } from 'yup'
import { dayField, figure, nameField, noteField, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What an entry of the log is about; a note is the builder's own. */
export const LOG_SORTS = ['note', 'made', 'place', 'order', 'gate', 'temporary', 'task'] as const
export type LogSort = (typeof LOG_SORTS)[number]

/** Families of mistakes: what one has to watch for the next time. */
export const MISTAKES = [
  ...([
    'misread',
    'side',
    'convention',
    'sequence',
    'not-fit',
    'drew',
    'forgotten',
    'wrong-part',
    'other',
  ] as const),
] as const
export type Mistake = (typeof MISTAKES)[number]

const logShape = object({
  id: requiredId(),
  /** What happened. */
  name: requiredName(),
  at: dayField().required(),
  sort: wordField(LOG_SORTS).required(),
  /** The thing of the build that it is of, such as `crossmembers/bar-1`. */
  of: string().max(140),
  who: nameField(),
  note: noteField(),
  hours: figure(0, 1000),
  cost: figure(0, 1e7),
  photos: array().of(requiredId()).max(20),
  /** Whether the vehicle can be put back to how it was. */
  isReversible: boolean(),
  /** Something that is not right yet: the last gate asks for it. */
  defect: wordField(['open', 'mended'] as const),
  mistake: wordField(MISTAKES),
})

/** An entry of the log. */
export type LogEntry = Told<typeof logShape>

export interface LogTypes extends OnlyTold {
  readonly lists: { readonly log?: readonly LogEntry[] }
}

export const MOST_LOG = 4000

/** The log. */
export const KINDS_OF_LOGS = {
  ...ONLY_TOLD,
  lists: { log: { shape: logShape, most: MOST_LOG, names: () => [] } },
} as const satisfies SubjectKinds<LogTypes>

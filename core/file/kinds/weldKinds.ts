import { boolean, object } from 'yup'
import { figure, idField, list, requiredId, requiredName, timeField, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import type { Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** Seams by what they are and which way they draw: across a seam it shrinks by the run, along it by its length. */
export const SEAM_KINDS = ['fillet-across', 'butt-across', 'fillet-along', 'butt-along'] as const
export type SeamKind = (typeof SEAM_KINDS)[number]

export const MOST_WELD_READINGS = 20

const weldReadingShape = object({
  id: requiredId(),
  name: requiredName(),
  /** In degrees; in mm when absent. */
  isAngle: boolean(),
  /** Tacked, and cold after welding. */
  before: figure(-1e5, 1e5),
  after: figure(-1e5, 1e5),
  /** As much as it may change. */
  most: figure(0, 1e4),
  /** Lies over the seam: what it loses is how much the seam draws. */
  isOverSeam: boolean(),
})

const weldShape = object({
  id: requiredId(),
  name: requiredName(),
  seam: wordField(SEAM_KINDS).required(),
  /** Of the seam, and of the thinner part. */
  lengthMm: figure(5, 1e4).required(),
  thicknessMm: figure(0.5, 100).required(),
  /** Runs of the seam, one over the other. */
  runs: figure(1, 50).integer().required(),
  readings: list(weldReadingShape, MOST_WELD_READINGS).required(),
  /** Both diagonals, before the first tack and after each pair. */
  diagonals: list(object({ firstMm: figure(1, 1e5).required(), secondMm: figure(1, 1e5).required() }), 100),
  /** Tacks that are made. */
  tacked: figure(0, 200).integer(),
  /** When it was last hot: readings are cold ones. */
  hotAt: timeField(),
  /** The lift-ins in which points of the powertrain were read before and after; before it as chosen when absent. */
  tackedIn: idField(),
  weldedIn: idField(),
})

/** A weld with what is read before and after it. */
export type WeldEntry = Told<typeof weldShape>
export type WeldReading = WeldEntry['readings'][number]

export interface WeldTypes extends OnlyTold {
  readonly lists: { readonly welds?: readonly WeldEntry[] }
}

/** Welds. */
export const KINDS_OF_WELDS = {
  ...ONLY_TOLD,
  lists: {
    welds: {
      shape: weldShape,
      most: 60,
      names: ({ tackedIn, weldedIn }) => [
        { at: 'tackedIn', in: 'trials', id: tackedIn },
        { at: 'weldedIn', in: 'trials', id: weldedIn },
      ],
      problems: weldProblems,
    },
  },
} as const satisfies SubjectKinds<WeldTypes>

function weldProblems(_: Things, { readings }: WeldEntry, complain: EntryComplaint): void {
  readings.forEach(({ id }, k) => {
    if (readings.slice(0, k).some((other) => other.id === id))
      complain(`readings[${k}].id`, `"${id}" is there twice`)
  })
}

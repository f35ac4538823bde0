import { object } from 'yup'
import { figure, list, maybe, nameField, requiredId, requiredName, timeField } from '../parts/fields'
import type { Told } from '../parts/told'
import { askPlace, type Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { partMade } from './madePart'
import { length } from './quantityRow'
import type { SubjectKinds } from './subjectKinds'

/** The tube that an end lies on: two points of its axis, the match line faces the second. */
const mainShape = object({
  a: requiredId(),
  b: requiredId(),
  outerMm: figure(5, 1000).required(),
})

const endShape = object({
  /** On the tube's own axis. */
  point: requiredId(),
  /** Absent where it is cut square at its point. */
  main: mainShape.default(undefined).optional(),
})

const tubeShape = object({
  id: requiredId(),
  name: requiredName(),
  outerMm: figure(5, 500).required(),
  wallMm: figure(0.5, 50).required(),
  /** Thickness of what the wraps are printed on. */
  paperMm: figure(0, 2),
  /** Left on for the saw. */
  spareMm: figure(0, 100).required(),
  ends: list(endShape, 2).min(2).required(),
  ...partMade,
  /** How it was when it was taken as made. */
  made: maybe({
    at: timeField().required(),
    position: nameField(),
    axisMm: figure(0, 1e4).required(),
    firstDeg: figure(0, 180),
    secondDeg: figure(0, 180),
    twistDeg: figure(-180, 180),
  }),
})

/** A round tube from place to place, each end coped to lie on another tube or cut square. */
export type CopedTube = Told<typeof tubeShape>
export type TubeEnd = CopedTube['ends'][number]

export interface CopedTubeTypes {
  readonly asked: object
  readonly unasked: object
  readonly targets: object
  readonly lists: { readonly copedTubes?: readonly CopedTube[] }
}

const pointsOf = ({ ends }: CopedTube): string[] =>
  ends.flatMap(({ point, main }) => (main ? [point, main.a, main.b] : [point]))

/** Tubes. */
export const KINDS_OF_COPED_TUBES = {
  readings: {},
  shapes: {},
  targets: {},
  asks: ({ copedTubes }) =>
    (copedTubes ?? []).flatMap((tube) =>
      [...new Set(pointsOf(tube))].flatMap((point) =>
        askPlace({ group: 'gaps', role: 'seat', optional: true }, point),
      ),
    ),
  quantities: {
    'tube-room': {
      unit: 'mm',
      shown: length,
      label: 'its main tube beyond it',
      name: 'Main tube beyond a coped branch',
      usualRoom: 5,
    },
  },
  levers: {},
  lists: {
    copedTubes: {
      shape: tubeShape,
      most: 40,
      holds: 'is an end of it',
      names: ({ ends }) =>
        ends.flatMap(({ point, main }, k) => [
          { at: `ends[${k}].point`, in: 'points' as const, id: point },
          ...(main
            ? [
                { at: `ends[${k}].main.a`, in: 'points' as const, id: main.a },
                { at: `ends[${k}].main.b`, in: 'points' as const, id: main.b },
              ]
            : []),
        ]),
      problems: tubeProblems,
    },
  },
} as const satisfies SubjectKinds<CopedTubeTypes>

function tubeProblems(_: Things, { ends, outerMm, wallMm }: CopedTube, complain: EntryComplaint): void {
  if (ends[0]?.point === ends[1]?.point) complain('ends[1].point', 'is where it begins')
  if (2 * wallMm >= outerMm) complain('wallMm', 'is no less than half the tube')
  ends.forEach(({ main }, k) => {
    if (main && main.a === main.b) complain(`ends[${k}].main.b`, 'is the other point of that axis')
  })
}

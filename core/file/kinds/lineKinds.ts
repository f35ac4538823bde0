import { object } from 'yup'
import { figure, kindOf, requiredId } from '../parts/fields'
import type { Id } from '../parts/id'
import { LIST_OF_LINES } from './lineList'
import type { Line } from '../parts/lineSpec'
import { angle, plainFigure, length, type QuantityRow } from './quantityRow'
import { FRONT_REAR, LEFT_RIGHT, LEVEL, ZERO } from './readingRow'
import { measured, wordFields, type ReadingsIn } from './readingShape'
import type { Told } from '../parts/told'
import type { SubjectKinds } from './subjectKinds'

const ROWS = {
  'shaft-level': {
    ...LEVEL,
    of: 'shaft',
    answers: ['shaft-level'],
    way: 'low',
    words: { low: FRONT_REAR, zero: ZERO, display: LEFT_RIGHT },
  },
} as const

const SHAPES = {
  /** Level laid along a shaft of a line, between its joints: a check on the joint points, never a source of geometry. */
  'shaft-level': object({
    kind: kindOf('shaft-level'),
    ...measured,
    line: requiredId(),
    /** Counted from 0 along the power flow. */
    shaft: figure(0, 50).integer().required(),
    ...wordFields(ROWS['shaft-level']),
  }),
} as const

export type ShaftLevelReading = Told<(typeof SHAPES)['shaft-level']>

export interface LineTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly targets: { readonly shaft: { readonly line: Id; readonly shaft: number } }
  readonly lists: { readonly lines: readonly Line[] }
}

const share = plainFigure(2, '')
const acceleration = plainFigure(0, ' rad/s²')
const quantity: QuantityRow = (unit, shown, [label, name], more) => ({
  unit,
  shown,
  label,
  name,
  ...more,
})

/** Lines of shafts and joints. */
export const KINDS_OF_LINES = {
  readings: ROWS,
  shapes: SHAPES,
  targets: {
    shaft: {
      keys: ['line', 'shaft'],
      word: 'line',
      things: ({ lines }) => lines,
      // Of several shafts of a line each has its number.
      part: ({ lines }, { line, shaft = 0 }) =>
        (lines.find(({ id }) => id === line)?.shafts.length ?? 0) > 1 ? `, shaft ${shaft + 1}` : '',
      cell: {
        column: 'shaft',
        written: ({ shaft }) => String(Number(shaft) + 1),
        read: ({ lines }, id, cell) => {
          const shaft = Number(cell('shaft') || '1') - 1
          return lines.find((line) => line.id === id)?.shafts[shaft]
            ? { shaft }
            : `"${cell('of')}" has no shaft "${cell('shaft')}"`
        },
      },
    },
  },
  // A shaft's own angle can be held against its joint points.
  asks: ({ lines }) =>
    lines.flatMap((line) =>
      line.shafts.map((_, shaft) => ({
        group: 'checks' as const,
        asked: { quantity: 'shaft-level' as const, line: line.id, shaft },
        role: null,
        optional: true,
      })),
    ),
  quantities: {
    'joint-angle': quantity('deg', angle, ['joint#', 'Joint angle'], {
      isInStates: true,
      atRest: ' at ride',
      isOfJointAngle: true,
      sampledAs: 'joints[#].angleDeg',
    }),
    'shaft-inertia': quantity('rad/s2', acceleration, ['inertia at joint#', 'Shaft inertia at top speed'], {
      isInStates: true,
      isOfJointAngle: true,
    }),
    'torsional-acceleration': quantity('rad/s2', acceleration, ['torsional', 'Torsional acceleration'], {
      isInStates: true,
      sampledAs: 'outputPeakAccelerationRadS2',
    }),
    'pair-difference': quantity('deg', angle, ['pair difference', 'Difference of a pair'], {
      isInStates: true,
    }),
    'joint-limit-margin': quantity('deg', angle, ['room of joint#', 'Room to a joint’s own limit'], {
      isInStates: true,
      isOfJointAngle: true,
      isOfTravel: true,
    }),
    'critical-speed-ratio': quantity('1', share, [
      'shaft# speed to critical',
      'Top speed over critical speed',
    ]),
    'set-in': quantity('mm', length, ['slip yoke set-in', 'Set-in of a slip yoke']),
    'flex-disc-angle': quantity('deg', angle, ['disc at joint#', 'Angle of a flexible disc'], {
      sampledAs: 'joints[#].angleDeg',
    }),
    'tube-shear': quantity('1', share, ['tube# shear to yield', 'Tube shear over yield']),
    'cross-shear': quantity('1', share, ['cross of joint#', 'Shear of the cross over what it may bear'], {
      isInStates: true,
      sampledAs: 'joints[#].crossShare',
    }),
    'bearing-force': quantity(
      'N',
      plainFigure(0, ' N'),
      ['centre bearing# force', 'Force on the centre bearing'],
      {
        isInStates: true,
        sampledAs: 'shafts[#].bearing.maxN',
      },
    ),
    'bearing-misalignment': quantity(
      'deg',
      angle,
      ['shaft# in its bearing', 'Shaft against the seat of its bearing'],
      {
        isInStates: true,
        sampledAs: 'shafts[#].bearingMisalignmentDeg',
      },
    ),
    'slip-left': quantity('mm', length, ['slip left in shaft#', 'Slip left until the spline bottoms'], {
      isInStates: true,
      isOfTravel: true,
      sampledAs: 'shafts[#].slipLeftMm',
    }),
    'spline-engaged': quantity(
      '1',
      plainFigure(2, ' diameters'),
      ['spline engaged in shaft#', 'Spline engaged over its diameter'],
      {
        isInStates: true,
        isOfTravel: true,
        sampledAs: 'shafts[#].splineEngaged',
      },
    ),
    'plunge-left': quantity('mm', length, ['plunge left of shaft#', 'Plunge left'], {
      isInStates: true,
      isOfTravel: true,
      sampledAs: 'shafts[#].plungeLeftMm',
    }),
  },
  levers: {},
  lists: { lines: LIST_OF_LINES },
} as const satisfies SubjectKinds<LineTypes>

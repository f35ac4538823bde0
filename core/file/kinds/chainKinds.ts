import { object } from 'yup'
import { BODY_KIND_NAMES, liveAxlePoints } from '../parts/body'
import { sprocketName, sprocketsOf, type ChainLine, type ChainSprocket } from '../parts/chainLine'
import { figure, kindOf, rawText, requiredId, wordField } from '../parts/fields'
import type { Id } from '../parts/id'
import { askPlace, type Things } from './ask'
import { LIST_OF_CHAINS } from './chainList'
import { PACKED } from './leverRow'
import { angle, plainFigure, length, USUAL_GAP_MM, type QuantityRow } from './quantityRow'
import { LEFT_RIGHT, TAPE } from './readingRow'
import { measured, lengthUnit, wordFields, type ReadingsIn } from './readingShape'
import type { Told } from '../parts/told'
import type { SubjectKinds } from './subjectKinds'

/** Where on its face a sprocket was read, seen from the vehicle's right. */
export const FACE_PLACES = ['front', 'rear', 'top', 'bottom'] as const
export type FacePlace = (typeof FACE_PLACES)[number]

const ROWS = {
  'sprocket-face': {
    ...TAPE,
    of: 'sprocket',
    answers: ['sprocket-face'],
    way: 'stands',
    words: { stands: LEFT_RIGHT },
    texts: { radius: 'radius' },
    tools: ['laser', 'calliper', 'tape', 'other'],
    isOfTrial: true,
  },
  'chain-slack': {
    ...TAPE,
    of: 'chain',
    answers: ['chain-slack'],
    way: null,
    words: {},
    tools: ['tape', 'calliper', 'other'],
    isOfTrial: true,
  },
} as const

const SHAPES = {
  /** Distance from a laser plane or a straight-edge to a place on a sprocket's face; one line serves all sprockets of a chain. */
  'sprocket-face': object({
    kind: kindOf('sprocket-face'),
    ...measured,
    unit: lengthUnit,
    sprocket: requiredId(),
    place: wordField(FACE_PLACES).required(),
    /** From the middle of the shaft to the place, raw text; at the pitch circle when absent. */
    radius: rawText(),
    // Side of the faces that the line stands on: a distance from there counts to the other side.
    ...wordFields(ROWS['sprocket-face']),
  }),
  /** Total movement up and down at the middle of a run of chain, by hand, with all slack in that run. */
  'chain-slack': object({
    kind: kindOf('chain-slack'),
    ...measured,
    unit: lengthUnit,
    chain: requiredId(),
    /** The run, by the sprocket it starts from in the order of the file; the slack one when absent. */
    span: figure(0, 20).integer(),
  }),
} as const

export type SprocketFaceReading = Told<(typeof SHAPES)['sprocket-face']>
export type ChainSlackReading = Told<(typeof SHAPES)['chain-slack']>

export interface ChainTypes {
  readonly asked: ReadingsIn<typeof SHAPES>
  readonly unasked: object
  readonly lists: { readonly chains?: readonly ChainLine[] }
  readonly targets: {
    readonly sprocket: { readonly sprocket: Id; readonly place: FacePlace }
    readonly chain: { readonly chain: Id }
  }
}

const percent = { as: 'figure', decimals: 2, behind: ' %', isSaidAgain: true } as const
/** A chain is looked at wherever its wheels go. */
const ofChain: QuantityRow = (unit, shown, [label, name], more) => ({
  unit,
  shown,
  label,
  name,
  isInStates: true,
  ...more,
})

const bodyAt = ({ points }: Things, point: Id | undefined) => points.find(({ id }) => id === point)?.body

/** Chains round sprockets. */
export const KINDS_OF_CHAINS = {
  readings: ROWS,
  shapes: SHAPES,
  targets: {
    sprocket: {
      keys: ['sprocket', 'place'],
      word: 'sprocket',
      things: (build) =>
        sprocketsOf(build).map((sprocket) => ({ id: sprocket.id, name: sprocketName(sprocket) })),
      part: (_, { place }) => `, face at the ${place}`,
      isPartInTitle: true,
      body: (build, { sprocket }) =>
        bodyAt(build, sprocketsOf(build).find(({ id }) => id === sprocket)?.point),
      cell: {
        column: 'place',
        written: ({ place }) => String(place),
        read: (_, __, cell) => {
          const place = FACE_PLACES.find((one) => one === cell('place').toLowerCase())
          return place ? { place } : `place "${cell('place')}" is not one of: ${FACE_PLACES.join(', ')}`
        },
      },
    },
    chain: {
      keys: ['chain'],
      word: 'chain',
      things: ({ chains }) => chains ?? [],
      cell: {
        column: 'shaft',
        written: ({ span }) => (span === undefined ? '' : String(Number(span) + 1)),
        read: ({ chains }, id, cell) => {
          if (cell('shaft') === '') return {}
          const span = Number(cell('shaft')) - 1
          return chains?.find((chain) => chain.id === id)?.sprockets[span]
            ? { span }
            : `"${cell('of')}" has no run "${cell('shaft')}"`
        },
      },
    },
  },
  // The places of the sprockets, then their faces from one line, then the slack of each chain.
  asks: (build) => [
    ...sprocketsOf(build).flatMap(({ point }) =>
      askPlace({ group: 'chains', role: 'sprocket', optional: false }, point),
    ),
    ...build.bodies.flatMap((body) =>
      body.kind === 'live-axle' ? liveAxlePoints(body).flatMap(askBearing) : [],
    ),
    ...(build.chains ?? []).flatMap(({ id, sprockets }) => [
      ...(isAcrossChain(build, sprockets[0]) ? sprockets.flatMap(askFace) : []),
      askSlack(id),
    ]),
  ],
  quantities: {
    'chain-wrap': ofChain('deg', { as: 'angle', decimals: 0 }, ['wrap', 'Wrap of a sprocket']),
    'chain-centre': ofChain('1', plainFigure(1, ' pitches'), [
      'shaft to shaft',
      'Shaft to shaft, in pitches',
    ]),
    'chain-slack': ofChain('%', percent, ['slack', 'Slack of a run that lies'], { isSetByHand: true }),
    'chain-slack-upright': ofChain('%', percent, ['slack', 'Slack of a run that stands upright'], {
      isSetByHand: true,
    }),
    'chain-offset': ofChain('%', percent, ['offset', 'Sprocket off the line, of the shafts’ distance'], {
      isSetByHand: true,
    }),
    'chain-angle': ofChain('deg', angle, ['angle', 'Sprockets against each other'], { isSetByHand: true }),
    'chain-teeth': ofChain('1', plainFigure(0, ' teeth'), ['teeth', 'Teeth of a sprocket']),
    'chain-ratio': ofChain('1', plainFigure(2, ' : 1'), ['ratio', 'Ratio of a chain']),
    'chain-safety': ofChain('1', plainFigure(1, ' times'), [
      'strength to pull',
      'Strength of a chain over its pull',
    ]),
    'chain-backlash': ofChain('deg', angle, ['play felt by hand', 'Play at the steering wheel'], {
      isSetByHand: true,
    }),
    'adjuster-left': ofChain('mm', length, ['room left in its adjuster', 'Room left in the adjuster'], {
      isSetByHand: true,
      usualRoom: USUAL_GAP_MM,
    }),
    'sprocket-room': ofChain(
      'mm',
      length,
      ['room between its teeth and those', 'Room between the teeth of two sprockets'],
      { usualRoom: USUAL_GAP_MM },
    ),
    'sprocket-ground': ofChain('mm', length, ['ground clearance', 'Sprocket over the ground']),
  },
  levers: {
    spacer: { unit: 'mm', on: BODY_KIND_NAMES, usual: PACKED, picture: 'stack', names: 'sprocket' },
  },
  lists: { chains: LIST_OF_CHAINS },
} as const satisfies SubjectKinds<ChainTypes>

const askBearing = (point: Id) => askPlace({ group: 'chains', role: 'bearing', optional: true }, point)

const askSlack = (chain: Id) => ({
  group: 'chains' as const,
  asked: { quantity: 'chain-slack' as const, chain },
  role: null,
  optional: true,
})

const askFace = ({ id: sprocket, idler }: ChainSprocket) =>
  FACE_PLACES.map((place) => ({
    group: 'chains' as const,
    asked: { quantity: 'sprocket-face' as const, sprocket, place },
    role: null,
    optional: idler === true,
  }))

/** A laser along the vehicle shows faces only of sprockets that turn about an axis across it. */
const isAcrossChain = ({ axes }: Things, first: ChainSprocket | undefined): boolean =>
  first?.axis === undefined || axes.some(({ id, lies }) => id === first.axis && lies === 'across')

import type { LineFigures } from '../../line/lineFigures'
import type { Known } from '../../base/known'
import type { JointKind, Line, ShaftEnd } from '../../file/parts/lineSpec'
import type { PartOfLine } from '../../file/edits/partEdits'
import { dimensionsOf, SLIP_YOKE, type Dimension } from './dimensions'

/** A part of the line as it can be picked. */
export type PartKey =
  | { readonly part: 'driving' }
  | { readonly part: 'driven' }
  | { readonly part: 'driving-end' }
  | { readonly part: 'driven-end' }
  | PartOfLine

/** A part key as one word: "joint/1". */
export const partWord = (key: PartKey): string => ('index' in key ? `${key.part}/${key.index}` : key.part)

/** What is drawn of a part: outlines about the line's axis, in px from the part's left side, the axis at 0, down positive. */
export type PartShape =
  | { readonly kind: 'outline'; readonly points: readonly (readonly [number, number])[]; readonly look: Look }
  | {
      readonly kind: 'circle'
      readonly x: number
      readonly r: number
      readonly look: Look
    }
  | {
      readonly kind: 'line'
      readonly from: readonly [number, number]
      readonly to: readonly [number, number]
    }

/** `body`: what the line is built on; `part`: steel of the line; `support`: a bearing; `missing`: not told yet. */
export type Look = 'body' | 'part' | 'support' | 'missing'

/** One part, placed along the power flow. */
export interface PartPiece {
  readonly key: PartKey
  readonly left: number
  readonly width: number
  readonly shapes: readonly PartShape[]
  /** Of a joint, from 1. */
  readonly number: number | null
  readonly jointKind: JointKind | null
}

/** A dimension as a line under the part: from, to and on which row. */
export interface DimensionLine {
  readonly dimension: Dimension
  readonly from: number
  readonly to: number
  readonly row: number
}

/** The gap between two parts: what can be put in there goes into a shaft, or changes the hardware of an end. */
export interface PartsGap {
  readonly at: number
  readonly before: PartKey
  readonly behind: PartKey
  readonly into:
    | { readonly of: 'shaft'; readonly index: number }
    | { readonly of: 'end'; readonly end: 'drivingEnd' | 'drivenEnd' }
}

/** The line as a drawing along the power flow, from the left; not to scale, for a tube is too long and a joint too short to be. */
export interface PartsScene {
  readonly width: number
  readonly pieces: readonly PartPiece[]
  readonly dimensions: readonly DimensionLine[]
  readonly gaps: readonly PartsGap[]
  readonly rows: number
}

/** Half the height of what is drawn about the axis. */
const BODY = 50
const TUBE = 22
const YOKE = 29

/** Widths of parts; tubes take what is left over, but no less than their own. */
const WIDTHS = {
  driving: 70,
  driven: 112,
  yoke: 34,
  flange: 26,
  'slip-yoke': 150,
  joint: 40,
  double: 62,
  bearing: 58,
  slip: 108,
  plunge: 64,
  tube: 120,
} as const

/** Edges of the drawing. */
const MARGIN = 12

/**
 * The parts of a line laid out over a width.
 *
 * @param figures - at ride height, for what is computed
 * @param wanted - px there are; the drawing is no narrower than its parts need
 */
export function partsScene(line: Line, figures: Known<LineFigures>, wanted: number): PartsScene {
  const plan = planOf(line)
  const fixed = plan.reduce((sum, { width }) => sum + width, 0)
  const tubes = plan.filter(({ key }) => key.part === 'shaft').length
  const over = Math.max(0, wanted - 2 * MARGIN - fixed)
  let left = MARGIN
  const pieces = plan.map(({ key, width, draw, number, jointKind }): PartPiece => {
    const own = key.part === 'shaft' ? width + over / Math.max(1, tubes) : width
    const piece = { key, left, width: own, shapes: draw(own), number, jointKind }
    left += own
    return piece
  })
  const at = (word: string) => pieces.find(({ key }) => partWord(key) === word)
  const dimensions = dimensionsOf(line, figures).flatMap((dimension): DimensionLine[] => {
    const [from, to] = [at(dimension.from), at(dimension.to)]
    if (!from || !to) return []
    return [{ dimension, from: along(from, dimension.fromAt), to: along(to, dimension.toAt), row: 0 }]
  })
  const placed = inRows(dimensions)
  return {
    width: left + MARGIN,
    pieces,
    dimensions: placed,
    gaps: pieces.slice(1).map((piece, i) => gapBefore(piece, pieces[i] as PartPiece, line)),
    rows: placed.reduce((most, { row }) => Math.max(most, row + 1), 1),
  }
}

function gapBefore(behind: PartPiece, before: PartPiece, { joints }: Line): PartsGap {
  const gap = { at: behind.left, before: before.key, behind: behind.key }
  const isFirst = before.key.part === 'driving' || before.key.part === 'driving-end'
  const isLast = before.key.part === 'driven-end' || behind.key.part === 'driven-end'
  if (isFirst) return { ...gap, into: { of: 'end', end: 'drivingEnd' } }
  if (isLast) return { ...gap, into: { of: 'end', end: 'drivenEnd' } }
  const index = 'index' in before.key ? before.key.index : 0
  return { ...gap, into: { of: 'shaft', index: Math.min(index, joints.length - 2) } }
}

const along = ({ left, width }: PartPiece, share: number): number => left + share * width

/** A value stands on its line and takes this much room, its caption more. */
const LABEL = 100

/** Dimensions that would cover each other go on rows of their own; the long ones, joint to joint, on the first. */
function inRows(dimensions: readonly DimensionLine[]): DimensionLine[] {
  const taken: [number, number][][] = [[]]
  return dimensions.map((line) => {
    const middle = (line.from + line.to) / 2
    const span: [number, number] = [
      Math.min(line.from, middle - LABEL / 2),
      Math.max(line.to, middle + LABEL / 2),
    ]
    const isFree = (row: readonly [number, number][]) =>
      row.every(([from, to]) => span[1] <= from + 1 || span[0] >= to - 1)
    const first = line.dimension.isSpan ? 0 : 1
    let row = first
    while (!isFree((taken[row] ??= []))) row++
    taken[row]?.push(span)
    return { ...line, row }
  })
}

interface Planned {
  readonly key: PartKey
  readonly width: number
  readonly draw: (width: number) => PartShape[]
  readonly number: number | null
  readonly jointKind: JointKind | null
}

function planOf(line: Line): Planned[] {
  const last = line.shafts.length - 1
  const plain = (key: PartKey, width: number, draw: Planned['draw']): Planned => ({
    key,
    width,
    draw,
    number: null,
    jointKind: null,
  })
  const inShaft = (index: number): Planned[] => {
    const { tube, bearing, slip, plunge } = line.shafts[index] ?? {}
    return [
      plain({ part: 'shaft', index }, WIDTHS.tube, (width) => tubeShapes(width, tube !== undefined)),
      ...(slip ? [plain({ part: 'slip', index }, WIDTHS.slip, slipShapes)] : []),
      ...(plunge ? [plain({ part: 'plunge', index }, WIDTHS.plunge, plungeShapes)] : []),
      ...(bearing ? [plain({ part: 'bearing', index }, WIDTHS.bearing, bearingShapes)] : []),
    ]
  }
  return [
    plain({ part: 'driving' }, WIDTHS.driving, (width) => [box(0, width, BODY, 'body')]),
    plain(
      { part: 'driving-end' },
      endWidth(line.shafts[0]?.drivingEnd),
      endShapes(line.shafts[0]?.drivingEnd, 1),
    ),
    ...line.joints.flatMap(({ kind }, index): Planned[] => [
      {
        key: { part: 'joint', index },
        width: JOINT_PICTURES[kind].width,
        draw: (width) => JOINT_PICTURES[kind].draw(width / 2),
        number: index + 1,
        jointKind: kind,
      },
      ...(index <= last ? inShaft(index) : []),
    ]),
    plain(
      { part: 'driven-end' },
      endWidth(line.shafts[last]?.drivenEnd),
      endShapes(line.shafts[last]?.drivenEnd, -1),
    ),
    plain({ part: 'driven' }, WIDTHS.driven, drivenShapes),
  ]
}

const endWidth = (end: ShaftEnd | undefined): number => WIDTHS[end?.kind ?? 'yoke']

function box(from: number, to: number, half: number, look: Look): PartShape {
  return {
    kind: 'outline',
    look,
    points: [
      [from, -half],
      [to, -half],
      [to, half],
      [from, half],
    ],
  }
}

/** Hardware of an end; `way` is 1 where the joint lies to its right. */
function endShapes(end: ShaftEnd | undefined, way: 1 | -1): Planned['draw'] {
  return (width) => {
    const shapes = endToTheRight(end, width)
    if (way === 1) return shapes
    const turned = ([x, y]: readonly [number, number]) => [width - x, y] as const
    return shapes.map((shape): PartShape => {
      if (shape.kind === 'outline') return { ...shape, points: shape.points.map(turned) }
      if (shape.kind === 'line') return { ...shape, from: turned(shape.from), to: turned(shape.to) }
      return { ...shape, x: width - shape.x }
    })
  }
}

function endToTheRight(end: ShaftEnd | undefined, width: number): PartShape[] {
  if (end?.kind === 'slip-yoke')
    return [
      {
        kind: 'outline',
        look: 'part',
        points: [
          [28, -TUBE],
          [width * SLIP_YOKE.boreBottom, -TUBE],
          [width * 0.8, -YOKE],
          [width, -YOKE],
          [width, YOKE],
          [width * 0.8, YOKE],
          [width * SLIP_YOKE.boreBottom, TUBE],
          [28, TUBE],
        ],
      },
      box(0, width * SLIP_YOKE.shaftEnd, 10, 'part'),
      {
        kind: 'line',
        from: [width * SLIP_YOKE.boreBottom, -TUBE],
        to: [width * SLIP_YOKE.boreBottom, TUBE],
      },
    ]
  if (end?.kind === 'flange') return [box(2, 12, 40, 'part'), box(12, width, YOKE, 'part')]
  return [box(0, 12, 12, 'part'), box(12, width, YOKE, 'part')]
}

/** How each kind of joint is drawn about its middle, and how wide. */
const JOINT_PICTURES: Readonly<
  Record<JointKind, { readonly width: number; readonly draw: (middle: number) => PartShape[] }>
> = {
  cross: { width: WIDTHS.joint, draw: (x) => [{ kind: 'circle', x, r: 17, look: 'part' }] },
  'double-cardan': {
    width: WIDTHS.double,
    draw: (x) => [
      { kind: 'circle', x: x - 14, r: 15, look: 'part' },
      { kind: 'circle', x: x + 14, r: 15, look: 'part' },
    ],
  },
  cv: {
    width: WIDTHS.joint,
    draw: (x) => [
      { kind: 'circle', x, r: 19, look: 'part' },
      { kind: 'circle', x, r: 13, look: 'part' },
    ],
  },
  'flex-disc': { width: WIDTHS.joint, draw: (x) => [box(x - 11, x + 11, 34, 'part')] },
}

const tubeShapes = (width: number, isTold: boolean): PartShape[] => [
  box(0, 22, YOKE, 'part'),
  box(22, width, TUBE, isTold ? 'part' : 'missing'),
]

const slipShapes = (width: number): PartShape[] => [box(0, 40, 13, 'part'), box(40, width, 26, 'part')]

const plungeShapes = (width: number): PartShape[] => [
  {
    kind: 'outline',
    look: 'part',
    points: [
      [0, -TUBE],
      [width - 30, -34],
      [width, -34],
      [width, 34],
      [width - 30, 34],
      [0, TUBE],
    ],
  },
]

const bearingShapes = (width: number): PartShape[] => [
  {
    kind: 'outline',
    look: 'support',
    points: [
      [0, 0],
      [9, -BODY],
      [width - 9, -BODY],
      [width, 0],
      [width - 9, BODY],
      [9, BODY],
    ],
  },
  { kind: 'circle', x: width / 2, r: 15, look: 'part' },
]

const drivenShapes = (width: number): PartShape[] => [
  {
    kind: 'outline',
    look: 'support',
    points: [
      [0, -38],
      [width * 0.62, -BODY],
      [width, 0],
      [width * 0.62, BODY],
      [0, 38],
    ],
  },
]

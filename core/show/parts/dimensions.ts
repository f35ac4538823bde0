import type { Known } from '../../base/known'
import type { LineFigures } from '../../line/lineFigures'
import type { Line, ShaftEnd } from '../../file/parts/lineSpec'

/** Keys of figures that stand on a part, each with what it holds up while it is missing. */
export const DIMENSION_KEYS = [
  'set-in',
  'bore-to-joint',
  'seal-to-end',
  'face-to-joint',
  'bolt-face',
  'joint-to-joint',
  'tube',
  'overhang',
  'closed',
  'engaged',
  'spline-diameter',
  'plunge-middle',
  'plunge-reach',
] as const
export type DimensionKey = (typeof DIMENSION_KEYS)[number]

/** Where a typed figure is kept in its line: its keys, one after the other. */
export type FigurePath = readonly (string | number)[]

/** A figure on a part. */
export interface Dimension {
  readonly key: DimensionKey
  /** One word for it in the line: "shaft/1 closed". */
  readonly word: string
  /** Parts it lies between, as `partWord` has them, and how far along each, as a share of its width. */
  readonly from: string
  readonly fromAt: number
  readonly to: string
  readonly toAt: number
  /** In mm; null while it is missing. */
  readonly mm: number | null
  /** Where it is typed; null where it is computed. */
  readonly path: FigurePath | null
  /** Names of the joints' readings that a computed one waits for. */
  readonly missing: readonly string[]
  /** From joint to joint. */
  readonly isSpan: boolean
  /** A figure that not every shaft has: its absence holds nothing up. */
  readonly isOptional: boolean
  /** The published name of a computed figure within the line, for its ± and where it comes from. */
  readonly figure: string | null
}

type Sides = Pick<Dimension, 'from' | 'fromAt' | 'to' | 'toAt'>

/**
 * Every figure of a line's parts along the power flow: what is typed, what is computed from readings, what is missing.
 *
 * @param figures - at ride height
 */
export function dimensionsOf(line: Line, figures: Known<LineFigures>): Dimension[] {
  const last = line.shafts.length - 1
  return [
    ...spans(line, figures),
    ...endFigures(line.shafts[0]?.drivingEnd, 'driving-end', ['shafts', 0, 'drivingEnd']),
    ...line.shafts.flatMap((_, index) => shaftFigures(line, index)),
    ...endFigures(line.shafts[last]?.drivenEnd, 'driven-end', ['shafts', last, 'drivenEnd']),
  ]
}

function spans(line: Line, figures: Known<LineFigures>): Dimension[] {
  return line.shafts.map((_, index) => {
    const lengths = figures.known ? figures.value.shafts()[index]?.lengths.all : undefined
    const at = lengths?.findIndex(({ from, to }) => from === 'joint-centre' && to === 'joint-centre') ?? -1
    return {
      key: 'joint-to-joint',
      word: `shaft/${index} joint-to-joint`,
      from: `joint/${index}`,
      fromAt: 0.5,
      to: `joint/${index + 1}`,
      toAt: 0.5,
      mm: lengths?.[at]?.length ?? null,
      path: null,
      missing: figures.known ? [] : figures.missing.map(({ what }) => what),
      isSpan: true,
      isOptional: false,
      figure: at < 0 ? null : `shafts[${index}].lengths[${at}].vehicleMm`,
    }
  })
}

function typed(
  part: string,
  key: DimensionKey,
  path: FigurePath,
  mm: number | undefined,
  sides: Sides,
  isOptional = false,
): Dimension {
  return {
    key,
    word: `${part} ${key}`,
    ...sides,
    mm: mm ?? null,
    path,
    missing: [],
    isSpan: false,
    isOptional,
    figure: null,
  }
}

const over = (part: string): Sides => ({ from: part, fromAt: 0, to: part, toAt: 1 })

/** Where, along a slip yoke, the output shaft ends and its bore begins, as shares of its width. */
export const SLIP_YOKE = { shaftEnd: 0.44, boreBottom: 0.66 } as const

/** At the driven end everything stands the other way round. */
function endFigures(
  end: ShaftEnd | undefined,
  part: 'driving-end' | 'driven-end',
  path: FigurePath,
): Dimension[] {
  const isFirst = part === 'driving-end'
  const at = (share: number) => (isFirst ? share : 1 - share)
  const within = (one: number, other: number): Sides => {
    const [fromAt, toAt] = [at(one), at(other)].sort((a, b) => a - b) as [number, number]
    return { from: part, fromAt, to: part, toAt }
  }
  const toJoint = (share: number): Sides =>
    isFirst
      ? { from: part, fromAt: share, to: 'joint/0', toAt: 0.5 }
      : { from: part, fromAt: 0, to: part, toAt: at(share) }
  if (end?.kind === 'flange')
    return [typed(part, 'face-to-joint', [...path, 'faceToJointMm'], end.faceToJointMm, toJoint(0))]
  if (end?.kind === 'yoke')
    return [typed(part, 'bolt-face', [...path, 'boltFaceToJointMm'], end.boltFaceToJointMm, toJoint(0), true)]
  if (end?.kind !== 'slip-yoke') return []
  const { shaftEnd, boreBottom } = SLIP_YOKE
  return [
    typed(
      part,
      'seal-to-end',
      [...path, 'sealToShaftEndMm'],
      end.sealToShaftEndMm,
      within(0, shaftEnd),
      true,
    ),
    typed(
      part,
      'bore-to-joint',
      [...path, 'boreBottomToJointMm'],
      end.boreBottomToJointMm,
      toJoint(boreBottom),
    ),
    typed(part, 'set-in', [...path, 'setInMm'], end.setInMm, within(shaftEnd, boreBottom)),
  ]
}

function shaftFigures(line: Line, index: number): Dimension[] {
  const { bearing, slip, plunge } = line.shafts[index] ?? {}
  const path = ['shafts', index] as const
  return [
    ...(bearing
      ? [
          typed(
            `bearing/${index}`,
            'overhang',
            [...path, 'bearing', 'overhangMm'],
            bearing.overhangMm,
            { from: `bearing/${index}`, fromAt: 0.5, to: `joint/${index + 1}`, toAt: 0.5 },
            line.joints[index + 1]?.point !== undefined,
          ),
        ]
      : []),
    ...(slip
      ? [
          typed(
            `slip/${index}`,
            'engaged',
            [...path, 'slip', 'engagedMm'],
            slip.engagedMm,
            over(`slip/${index}`),
          ),
          typed(
            `slip/${index}`,
            'closed',
            [...path, 'slip', 'closedMm'],
            slip.closedMm,
            over(`slip/${index}`),
          ),
          typed(
            `slip/${index}`,
            'spline-diameter',
            [...path, 'slip', 'diameterMm'],
            slip.diameterMm,
            over(`slip/${index}`),
          ),
        ]
      : []),
    ...(plunge
      ? [
          typed(
            `plunge/${index}`,
            'plunge-middle',
            [...path, 'plunge', 'middleMm'],
            plunge.middleMm,
            over(`plunge/${index}`),
          ),
          typed(
            `plunge/${index}`,
            'plunge-reach',
            [...path, 'plunge', 'reachMm'],
            plunge.reachMm,
            over(`plunge/${index}`),
          ),
        ]
      : []),
  ]
}

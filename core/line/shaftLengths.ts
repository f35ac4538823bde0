import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import { workedOnce, type Kernel, type Row } from '../base/columns/kernel'
import { hardwareLength } from './hardware'
import type { LineColumns } from './lineColumns'
import type { LineGeometry } from './lineGeometry'
import { LENGTH_MARKS, type LengthMark } from '../file/parts/lengthMarks'
import type { Vec3 } from '../base/linalg/vec3'
import { slipYokeOf, type Line, type ShaftEnd } from '../file/parts/lineSpec'

/** One way of asking for the same shaft, in mm, as the vehicle stands. */
export interface LengthFigure {
  readonly from: LengthMark
  readonly to: LengthMark
  readonly length: number
  /** The same with the shaft straightened out on the bench. */
  readonly onBench: number
}

/** A shaft's length in every convention its end hardware allows. */
export interface ShaftLengths {
  readonly all: readonly LengthFigure[]
  /** Gap between output shaft and bore bottom at this setting, in mm; null without a slip yoke. */
  readonly setIn: number | null
}

const FEATURES = LENGTH_MARKS.filter((mark) => mark !== 'joint-centre')

/**
 * Length on the vehicle between two places on a shaft's ends, in mm: from the front joint centre and its mating axis, and the
 * rear joint centre and its; parameters: how far beyond its joint centre each place lies on the mating axis.
 */
const LENGTH_BETWEEN: Kernel = {
  name: 'length between two places on the ends',
  page: 'lengths',
  outputs: 1,
  run: (count, [fx, fy, fz, ax, ay, az, rx, ry, rz, bx, by, bz], [length], [before, behind]) => {
    for (let i: Row = 0; i < count; i++) {
      const x = rx[i] + behind * bx[i] - fx[i] + before * ax[i]
      const y = ry[i] + behind * by[i] - fy[i] + before * ay[i]
      const z = rz[i] + behind * bz[i] - fz[i] + before * az[i]
      length[i] = Math.sqrt(x * x + y * y + z * z)
    }
  },
}

/**
 * All lengths of one shaft.
 *
 * A flange face or shaft end lies on the mating axis beyond the joint centre, so a length on the vehicle is the straight
 * line between two such places; on the bench the hardware lengths simply add up.
 *
 * @param index - of the shaft; it runs from joint `index` to joint `index + 1`
 * @see docs/methods/lengths.md
 */
export function shaftLengths(line: Line, { centres, axes }: LineGeometry, index: number): ShaftLengths {
  const shaft = line.shafts[index]
  const ends = [centres[index], axes[index], centres[index + 1], axes[index + 2]].flatMap((end) => [
    ...(end as Vec3),
  ])
  const between = (before: number, behind: number) =>
    workedOnce(LENGTH_BETWEEN, ends, [before, behind])[0] ?? NaN
  const straight = between(0, 0)
  return {
    all: markPairs(line, index).map(({ from, to }) => ({
      from: from.mark,
      to: to.mark,
      length: between(from.beyond, to.beyond),
      onBench: straight + from.beyond + to.beyond,
    })),
    setIn: slipYokeOf(shaft)?.setInMm ?? null,
  }
}

/** The lengths of one shaft on the vehicle as columns, in the order of `shaftLengths`. */
export const lengthColumns = (graph: Graph, line: Line, columns: LineColumns, index: number): Column[] =>
  markPairs(line, index).map(({ from, to }) => {
    const { centres, axes } = columns
    const ends = [centres[index], axes[index], centres[index + 1], axes[index + 2]].flatMap(
      (end) => end ?? [],
    )
    return scalarStep(graph, LENGTH_BETWEEN, ends, [from.beyond, to.beyond])
  })

interface Mark {
  readonly mark: LengthMark
  /** How far it lies beyond the joint centre, in mm. */
  readonly beyond: number
}

function markPairs(line: Line, index: number): { readonly from: Mark; readonly to: Mark }[] {
  const shaft = line.shafts[index]
  return marks(shaft?.drivingEnd).flatMap((from) => marks(shaft?.drivenEnd).map((to) => ({ from, to })))
}

const marks = (end: ShaftEnd | undefined): Mark[] => [
  { mark: 'joint-centre', beyond: 0 },
  ...FEATURES.flatMap((mark) => {
    const beyond = hardwareLength(end, mark)
    return beyond === null ? [] : [{ mark, beyond }]
  }),
]

/** The length between two marks, in mm; null when the hardware does not have them. */
export const lengthBetween = (lengths: ShaftLengths, from: LengthMark, to: LengthMark): number | null =>
  lengths.all.find((one) => one.from === from && one.to === to)?.length ?? null

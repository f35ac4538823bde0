import { moveStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import type { Kernel, Row } from '../columns/kernel'
import { allKnown, known, type Known } from '../known'
import type { AxleBody } from '../project/body'
import type { Id } from '../project/id'
import { radians } from '../units/angle'
import { rigidly, type BodyMove } from './bodyMove'
import { heldBody, refused } from './heldBody'
import { shapePreservingSlopes } from './pchip'

/** How far the wheels of an axle have come up, each side, in mm. */
export interface WheelColumns {
  readonly leftUp: Column
  readonly rightUp: Column
}

/** Figures of one row of the table among a step's parameters: height, forward, nose up, and the slopes of the last two. */
const PER_ROW = 5

/**
 * The move of an axle with its wheels, in mm: from how far left and right have come up and the axle's centre; parameters: 1 or
 * -1 by the way its nose faces, the track (0 where both wheels go alike), the rows.
 *
 * Forward and nose follow the table by a cubic that keeps its shape; the middle goes up by the mean of the wheels, and what one
 * is above the other turns the axle lengthwise. No move beyond the rows that were read.
 */
const ON_ITS_WHEELS: Kernel = {
  name: 'an axle with its wheels up or down',
  page: 'placement',
  outputs: 12,
  run: (
    count,
    [leftUp, rightUp, cx, cy, cz],
    [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz],
    parameters,
  ) => {
    const table = parameters as unknown as readonly number[]
    const [sense = NaN, track = NaN] = table
    const cell = (row: number, part: number): number => table[2 + row * PER_ROW + part] ?? NaN
    const rows = (table.length - 2) / PER_ROW
    for (let i: Row = 0; i < count; i++) {
      const up = (leftUp[i] + rightUp[i]) / 2
      const apart = leftUp[i] - rightUp[i]
      let row = 0
      while (row < rows - 2 && up > cell(row + 1, 0)) row++
      const width = cell(row + 1, 0) - cell(row, 0)
      const t = (up - cell(row, 0)) / width
      // A row itself counts as read, though its place may come out a rounding beyond.
      const inside = t < -1e-9 || t > 1 + 1e-9 ? NaN : 0
      const s = 1 - t
      // The cubic by its ends and slopes (Hermite).
      const along = (part: number): number =>
        s * s * (1 + 2 * t) * cell(row, part) +
        t * t * (1 + 2 * s) * cell(row + 1, part) +
        t * s * width * (s * cell(row, part + 2) - t * cell(row + 1, part + 2))
      const forward = along(1) + inside
      const nose = sense * radians(along(2))
      // Left up is right-handed about +X, which points forward; a wheel further up than the track is wide cannot be.
      const sine = apart === 0 ? 0 : apart / (track === 0 ? NaN : track)
      const cosine = Math.sqrt(1 - sine * sine)
      const [sn, cn] = [Math.sin(nose), Math.cos(nose)]
      r00[i] = cn
      r01[i] = 0
      r02[i] = sn
      r10[i] = sine * sn
      r11[i] = cosine
      r12[i] = -sine * cn
      r20[i] = -cosine * sn
      r21[i] = sine
      r22[i] = cosine * cn
      sx[i] = cx[i] + forward - (r00[i] * cx[i] + r01[i] * cy[i] + r02[i] * cz[i])
      sy[i] = cy[i] - (r10[i] * cx[i] + r11[i] * cy[i] + r12[i] * cz[i])
      sz[i] = cz[i] + up - (r20[i] * cx[i] + r21[i] * cy[i] + r22[i] * cz[i])
    }
  },
}

/**
 * An axle with its wheels away from ride height.
 *
 * @param place - the place of the wheels in words, to follow a name: ", at droop"
 */
export function wheelColumns(
  graph: Graph,
  axle: AxleBody,
  wheels: WheelColumns,
  place: string,
  point: (id: Id) => Known<VectorColumns>,
): BodyMove {
  const amounts = [wheels.leftUp, wheels.rightUp]
  const moves = {
    body: axle.id,
    amounts,
    tooFar: { what: `${axle.name}: how it moves was not read that far${place}`, path: '' },
  }
  const basis = wheelBasis(graph, axle, wheels, point)
  if (!basis.known) return { ...moves, basis, ...heldBody(graph, amounts) }
  const move = moveStep(graph, ON_ITS_WHEELS, [...amounts, ...basis.value], tableOf(axle))
  graph.name(move, `${axle.name}, with its wheels${place}`)
  return { ...moves, basis: known(null, basis.assumptions), ...rigidly(graph, move) }
}

function wheelBasis(
  { at }: Graph,
  axle: AxleBody,
  { leftUp, rightUp }: WheelColumns,
  point: (id: Id) => Known<VectorColumns>,
): Known<VectorColumns> {
  const centre =
    axle.centre === undefined
      ? refused(`${axle.name}: its centre was not read, so it cannot be moved with its wheels`)
      : point(axle.centre)
  const motion = axle.motion
    ? known(null)
    : refused(`${axle.name}: how it moves with its wheels was not entered`)
  const track =
    at(leftUp) === at(rightUp) || axle.sizes?.trackMm
      ? known(null)
      : refused(`${axle.name}: its track was not entered, so one wheel up turns it by nobody knows what`)
  const all = allKnown<[VectorColumns, null, null]>([centre, motion, track])
  return all.known ? known(all.value[0], all.assumptions) : all
}

function tableOf({ noseFaces, sizes, motion }: AxleBody): number[] {
  const rows = motion?.rows ?? []
  const heights = rows.map((row) => row.wheelUpMm)
  const forward = rows.map((row) => row.forwardMm)
  const nose = rows.map((row) => row.noseUpDeg)
  const [alongForward, alongNose] = [
    shapePreservingSlopes(heights, forward),
    shapePreservingSlopes(heights, nose),
  ]
  return [
    // Right-handed about +Y dips the front of a body, so a forward nose rises against it.
    noseFaces === 'forward' ? -1 : 1,
    sizes?.trackMm ?? 0,
    ...rows.flatMap((row, i) => [
      row.wheelUpMm,
      row.forwardMm,
      row.noseUpDeg,
      alongForward[i] ?? NaN,
      alongNose[i] ?? NaN,
    ]),
  ]
}

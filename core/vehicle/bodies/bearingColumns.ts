import { moveStep, type Graph, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { allKnown, known, type Known } from '../../base/known'
import type { LiveAxleBody } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { LeverKind } from '../../file/build/lever'
import { leversOn, rigidly, summed, type BodyMove, type LeverColumns } from '../moves/bodyMove'
import { heldBody, unmoved } from '../moves/heldBody'
import { shiftedColumns } from '../moves/shiftedColumns'

/**
 * Move of a shaft whose two bearings were moved, in mm: from the middles of the left and the right one, and how far the left one goes forward and
 * up, the right one forward and up, and the shaft to the left. It is turned the shortest way from the old line to the new one; its middle stays
 * the middle.
 */
export const ON_TWO_BEARINGS: Kernel = {
  name: 'a shaft carried by its two bearings',
  page: 'chains',
  outputs: 12,
  run: (
    count,
    [lx, ly, lz, rx, ry, rz, leftFore, leftUp, rightFore, rightUp, left],
    [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const ax = lx[i] - rx[i]
      const ay = ly[i] - ry[i]
      const az = lz[i] - rz[i]
      const bx = ax + leftFore[i] - rightFore[i]
      const by = ay
      const bz = az + leftUp[i] - rightUp[i]
      const long = Math.sqrt((ax * ax + ay * ay + az * az) * (bx * bx + by * by + bz * bz))
      // The shortest turn from a to b: I + [v] + [v]²/(1 + c), with v = a × b and c = a · b of unit vectors.
      const vx = (ay * bz - az * by) / long
      const vy = (az * bx - ax * bz) / long
      const vz = (ax * by - ay * bx) / long
      const c = (ax * bx + ay * by + az * bz) / long
      const k = 1 / (1 + c)
      r00[i] = 1 - k * (vy * vy + vz * vz)
      r01[i] = k * vx * vy - vz
      r02[i] = k * vx * vz + vy
      r10[i] = k * vx * vy + vz
      r11[i] = 1 - k * (vx * vx + vz * vz)
      r12[i] = k * vy * vz - vx
      r20[i] = k * vx * vz - vy
      r21[i] = k * vy * vz + vx
      r22[i] = 1 - k * (vx * vx + vy * vy)
      const mx = (lx[i] + rx[i]) / 2
      const my = (ly[i] + ry[i]) / 2
      const mz = (lz[i] + rz[i]) / 2
      sx[i] = mx + (leftFore[i] + rightFore[i]) / 2 - (r00[i] * mx + r01[i] * my + r02[i] * mz)
      sy[i] = my + left[i] - (r10[i] * mx + r11[i] * my + r12[i] * mz)
      sz[i] = mz + (leftUp[i] + rightUp[i]) / 2 - (r20[i] * mx + r21[i] * my + r22[i] * mz)
    }
  },
}

/** Ways that levers move a bearing, or the shaft, in the order of the kernel. */
const WAYS: readonly (readonly LeverKind[])[] = [
  ['left-fore', 'fore'],
  ['left-up', 'up'],
  ['right-fore', 'fore'],
  ['right-up', 'up'],
  ['sideways'],
]
const EACH_ALONE: readonly LeverKind[] = ['left-fore', 'left-up', 'right-fore', 'right-up']

/** A live axle on its two bearings; null when no lever moves it. Without places of its bearings it is only shifted as it is. */
export function bearingColumns(
  graph: Graph,
  build: Build,
  body: LiveAxleBody,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
): BodyMove | null {
  const own = leversOn(build, body.id, levers).filter(({ lever }) => WAYS.flat().includes(lever.kind))
  if (!own.some(({ lever }) => EACH_ALONE.includes(lever.kind)))
    return shiftedColumns(graph, build, body, levers)
  const amounts = own.map(({ amount }) => amount)
  const moves = {
    body: body.id,
    amounts,
    tooFar: { what: `${body.name}: its bearings cannot stand that far apart`, path: '' },
  } as const
  const bearings = bearingPlaces(build, body, point)
  if (!bearings.known) return { ...moves, basis: bearings, ...heldBody(graph, amounts) }
  const by = WAYS.map((kinds) =>
    summed(
      graph,
      own.flatMap(({ lever, amount }) => (kinds.includes(lever.kind) ? [amount] : [])),
    ),
  )
  const move = moveStep(graph, ON_TWO_BEARINGS, [...bearings.value.flat(), ...by])
  graph.name(move, `${body.name}, moved by its bearings`)
  return { ...moves, basis: known(null, bearings.assumptions), ...rigidly(graph, move) }
}

function bearingPlaces(
  build: Build,
  { id, name, bearings }: LiveAxleBody,
  point: (id: Id) => Known<VectorColumns>,
): Known<readonly [VectorColumns, VectorColumns]> {
  if (bearings) return allKnown([point(bearings.left), point(bearings.right)] as const)
  const index = build.bodies.findIndex((body) => body.id === id)
  return unmoved(`${name}: its bearings were not read, so they cannot be moved`, `bodies[${index}].bearings`)
}

import { scalarStep, type Column, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../../base/known'
import { parseAngle } from '../../base/units/parseAngle'
import { ARM_LIES, quarterOf, WAY_POINTS, type ArmLies } from '../../file/parts/armWays'
import type { Shift, ShiftArm, ShiftEnd, ShiftGateEntry } from '../../file/parts/shiftLinkage'
import type { ShiftGateReading } from '../../file/kinds/shiftKinds'
import type { Reading } from '../../file/build/reading'
import { lastReading } from '../targets/chosen'
import type { ReadingContext } from '../figures/context'
import { measuredFigure } from '../figures/figure'
import { worldUp } from '../attitude/worldUp'

/** Both ways in the plane that an arm turns in, chassis frame. */
export interface ArmPlane {
  readonly from: VectorColumns
  readonly toward: VectorColumns
}

type Way = readonly [number, number, number]

/**
 * The plane square to an axis: from the axis' direction, a way laid into the plane, and the one square to it that looks to the second way told. Parameters: both
 * ways.
 */
const SQUARE_PLANE: Kernel = {
  name: 'the plane that an arm turns in',
  page: 'shift',
  outputs: 6,
  run: (count, [nx, ny, nz], [fx, fy, fz, tx, ty, tz], [ax, ay, az, bx, by, bz]) => {
    for (let i: Row = 0; i < count; i++) {
      const along = ax * nx[i] + ay * ny[i] + az * nz[i]
      let ux = ax - along * nx[i]
      let uy = ay - along * ny[i]
      let uz = az - along * nz[i]
      const long = Math.sqrt(ux * ux + uy * uy + uz * uz)
      ux /= long
      uy /= long
      uz /= long
      const vx = ny[i] * uz - nz[i] * uy
      const vy = nz[i] * ux - nx[i] * uz
      const vz = nx[i] * uy - ny[i] * ux
      const sense = vx * bx + vy * by + vz * bz < 0 ? -1 : 1
      fx[i] = ux
      fy[i] = uy
      fz[i] = uz
      tx[i] = sense * vx
      ty[i] = sense * vy
      tz[i] = sense * vz
    }
  },
}

/** The plane that an arm turns in, as it was measured. */
export function armPlane(context: ReadingContext, { axis: id, lies }: ShiftArm): Known<ArmPlane> {
  const { graph, build } = context
  const [first, second] = ARM_LIES[lies]
  const [from, toward] = [WAY_POINTS[first], WAY_POINTS[second]]
  if (id === undefined) {
    const still = ([x, y, z]: Way): VectorColumns => [graph.source(x), graph.source(y), graph.source(z)]
    return known({ from: still(from), toward: still(toward) })
  }
  const axis = build.axes.find((one) => one.id === id)
  if (!axis) return unknown(`axis "${id}" is not in the build`)
  return mapKnown(context.axis(axis), ({ direction }) => {
    const [fx, fy, fz, tx, ty, tz] = graph.step(SQUARE_PLANE, direction, [...from, ...toward])
    return { from: [fx, fy, fz], toward: [tx, ty, tz] } as unknown as ArmPlane
  })
}

const RADIANS = Math.PI / 180

/**
 * Where an arm stands in its plane, in radians from its first way toward its second: from how far it leans off the way that it points, in degrees, what is up,
 * and both ways. Parameters: quarter turns to the way that it points, 1 or −1 for a lean further that way or back.
 */
const ARM_BY_LEVEL: Kernel = {
  name: 'an arm by level',
  page: 'shift',
  outputs: 1,
  run: (count, [lean, ux, uy, uz, fx, fy, fz, tx, ty, tz], [angle], [quarters, sense]) => {
    for (let i: Row = 0; i < count; i++) {
      const up = Math.atan2(
        ux[i] * tx[i] + uy[i] * ty[i] + uz[i] * tz[i],
        ux[i] * fx[i] + uy[i] * fy[i] + uz[i] * fz[i],
      )
      angle[i] = up + (quarters - 1) * (Math.PI / 2) + sense * lean[i] * RADIANS
    }
  },
}

/** The same by protractor from the chassis. */
const ARM_BY_CHASSIS: Kernel = {
  name: 'an arm from the chassis',
  page: 'shift',
  outputs: 1,
  run: (count, [lean], [angle], [quarters, sense]) => {
    for (let i: Row = 0; i < count; i++) angle[i] = quarters * (Math.PI / 2) + sense * lean[i] * RADIANS
  },
}

/** The reading of an arm in a gate that is in force. */
export const gateReading = (
  context: Pick<ReadingContext, 'build'>,
  shift: Shift,
  end: ShiftEnd,
  gate: string,
) =>
  lastReading(
    context.build,
    (reading: Reading): reading is ShiftGateReading =>
      reading.kind === 'shift-gate' &&
      reading.shift === shift.id &&
      reading.end === end &&
      reading.gate === gate,
  )

/** Which way an arm leans, as a sense in its plane; null for a way that it cannot lean, pointing as it does. */
function senseOf(lies: ArmLies, points: ShiftArm['points'], lean: ShiftArm['points']): 1 | -1 | null {
  const [at, to] = [quarterOf(lies, points), quarterOf(lies, lean)]
  if (at === null || to === null) return null
  const turn = (to - at + 4) % 4
  return turn === 1 ? 1 : turn === 3 ? -1 : null
}

/** Where an arm stands in a gate, in radians in its plane, as an input of the build. */
export function gateAngle(
  context: ReadingContext,
  shift: Shift,
  end: ShiftEnd,
  gate: ShiftGateEntry,
  plane: ArmPlane,
): Known<Column> {
  const { graph, build } = context
  const { lies, points } = shift[end]
  const name = `${shift.name}, ${end === 'lever' ? 'lever' : 'gearbox'} in ${gate.name}`
  const placed = gateReading(context, shift, end, gate.id)
  if (!placed) return unknown(`${name}: not read`)
  const { reading, path } = placed
  const lean = measuredFigure(context, placed, {
    field: 'value',
    label: name,
    unit: 'deg',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: parseAngle,
    direction: {
      // The way is told in the arm's own plane below.
      word: 'as read',
      positive: 'as read',
      fallback: 'as read',
      question: name,
      path: `${path}.lean`,
    },
  })
  const sense = reading.lean === undefined ? null : senseOf(lies, points, reading.lean)
  if (sense === null)
    return unknown(`${name}: which way does it lean, from pointing ${points}?`, `${path}.lean`)
  const quarters = quarterOf(lies, points) ?? NaN
  if (reading.zero === 'chassis')
    return mapKnown(lean, (shown) => scalarStep(graph, ARM_BY_CHASSIS, [shown], [quarters, sense]))
  if (lies === 'upright')
    return unknown(
      `${name}: no level reads an arm that turns level; read it from the chassis`,
      `${path}.zero`,
    )
  const setup = build.setups.find(({ id }) => id === reading.setup)
  const up = setup ? worldUp(context, setup) : unknown(`${name}: its setup is missing`, `${path}.setup`)
  return andThen(allKnown([lean, up] as const), ([shown, world]) =>
    known(
      scalarStep(graph, ARM_BY_LEVEL, [shown, ...world, ...plane.from, ...plane.toward], [quarters, sense]),
    ),
  )
}

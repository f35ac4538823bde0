import fc from 'fast-check'
import { newGraph, type VectorColumns } from '../base/columns/graph'
import { axisDirection } from '../base/frame/axis'
import { trainColumns } from './joints/trainColumns'
import { planeNormal, type TrainJoint } from './joints/jointMap'
import { norm, sub, unit, type Vec3 } from '../base/linalg/vec3'
import type { JointKind } from '../file/parts/lineSpec'
import { radians } from '../base/units/angle'
import { bearingForceColumns } from './bearingForceColumns'
import { lineForces, type ForceLine } from './lineForces'
import { peakOf } from './peakOf'

const along = (fall: number, plan: number): Vec3 =>
  axisDirection({ fall: radians(fall), plan: radians(plan) })

/** A line of two shafts with a bearing in the first, its joints of some kinds. */
function twoPiece(kinds: readonly JointKind[], sag: number, aside: number, fall: number): ForceLine {
  const centres: Vec3[] = [
    [-1000, 0, 420],
    [-1720, aside, 384 + sag],
    [-2600, 0, 330],
  ]
  const shafts = centres.slice(1).map((centre, i) => unit(sub(centre, centres[i]!)))
  const axes = [along(3, 0), ...shafts, along(fall, 0)]
  const chain = kinds.map((kind, i): TrainJoint => ({ kind, incoming: axes[i]!, outgoing: axes[i + 1]! }))
  return {
    train: chain,
    phases: [0, 0],
    lengths: centres.slice(1).map((centre, i) => norm(sub(centre, centres[i]!))),
    bearings: [650, null],
  }
}
const CROSSES: readonly JointKind[] = ['cross', 'cross', 'cross']
const lines = fc
  .record({
    sag: fc.double({ min: -40, max: 40, noNaN: true }),
    aside: fc.double({ min: -30, max: 30, noNaN: true }),
    fall: fc.double({ min: -2, max: 6, noNaN: true }),
    kinds: fc.constantFrom(
      CROSSES,
      ['flex-disc', 'cross', 'cross'] as const,
      ['cross', 'cv', 'cross'] as const,
    ),
  })
  .map(({ kinds, sag, aside, fall }) => twoPiece(kinds, sag, aside, fall))
const angleOf = ({ incoming, outgoing }: TrainJoint): number =>
  Math.acos(
    Math.min(
      1,
      incoming.reduce((sum, part, i) => sum + part * outgoing[i]!, 0),
    ),
  )

describe('couples of a joint', () => {
  it('reach T·tan β on the driving shaft and T·sin β on the driven one of a universal joint, T·tan(β/2) of the others', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const { joints } = lineForces(line, 600)
        line.train.forEach((joint, i) => {
          const beta = angleOf(joint)
          const { onDriving, onDriven } = joints[i]!
          // The torque swings a little in a chain: by the squares of angles of a few degrees.
          const near = (got: number, wanted: number) =>
            expect(Math.abs(got - wanted)).toBeLessThan(0.02 * wanted + 1e-3)
          near(onDriving, 600 * Math.tan(joint.kind === 'cross' ? beta : beta / 2))
          near(onDriven, 600 * (joint.kind === 'cross' ? Math.sin(beta) : Math.tan(beta / 2)))
        })
      }),
      { seed: 20261129, numRuns: 60 },
    )
  })

  it('go with the torque: twice as much of everything at twice the torque, the same sizes on overrun', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const [one, two, back] = [600, 1200, -600].map((torque) => lineForces(line, torque))
        one!.bearings.forEach((bearing, i) => {
          expect(two!.bearings[i]!.maxN).toBeCloseTo(2 * bearing.maxN, 5)
          expect(back!.bearings[i]!.maxN).toBeCloseTo(bearing.maxN, 5)
          expect(bearing.minN).toBeLessThanOrEqual(bearing.maxN + 1e-9)
          expect(bearing.meanN).toBeLessThanOrEqual(bearing.maxN + 1e-6)
        })
      }),
      { seed: 20261129, numRuns: 40 },
    )
  })
})

describe('forces of a centre bearing', () => {
  it('are none where every joint is straight', () => {
    const straight = along(2, 0)
    const chain = CROSSES.map((kind): TrainJoint => ({ kind, incoming: straight, outgoing: straight }))
    const { bearings } = lineForces(
      { train: chain, phases: [0, 0], lengths: [700, 900], bearings: [600, null] },
      800,
    )
    expect(bearings[0]!.maxN).toBeCloseTo(0, 9)
  })

  it('of a bent first joint alone are its couple over the reach of the bearing', () => {
    // Behind the first joint all is straight: only its couple on the driven shaft is left, T·sin β over the reach.
    const [gearbox, shaft] = [along(4, 0), along(1, 0)]
    const chain: TrainJoint[] = [
      { kind: 'cross', incoming: gearbox, outgoing: shaft },
      { kind: 'cross', incoming: shaft, outgoing: shaft },
      { kind: 'cross', incoming: shaft, outgoing: shaft },
    ]
    const { bearings } = lineForces(
      { train: chain, phases: [0, 0], lengths: [700, 900], bearings: [500, null] },
      1000,
    )
    expect(bearings[0]!.maxN).toBeCloseTo((1000 * Math.sin(radians(3)) * 1000) / 500, 2)
  })

  it('cannot be told where a shaft before the last hangs on nothing', () => {
    const loose = { ...twoPiece(CROSSES, 10, 0, 2), bearings: [null, null] }
    expect(lineForces(loose, 600).bearings).toEqual([])
  })

  it('are the same as a column, to a tenth of a per cent', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const graph = newGraph()
        const sources = ([x, y, z]: Vec3): VectorColumns => [
          graph.source(x),
          graph.source(y),
          graph.source(z),
        ]
        const axes = [line.train[0]!.incoming, ...line.train.map(({ outgoing }) => outgoing)].map(sources)
        const kinds = line.train.map(({ kind }) => kind)
        const { normals } = trainColumns(graph, kinds, axes, line.phases)
        const [column] = bearingForceColumns(
          graph,
          kinds,
          axes,
          normals,
          line.lengths.map(graph.source),
          [graph.source(line.bearings[0]!)],
          line.phases,
          600,
        )
        const exact = lineForces(line, 600).bearings[0]!.maxN
        expect(Math.abs(graph.at(column!) - exact)).toBeLessThan(0.001 * exact + 0.01)
      }),
      { seed: 20261129, numRuns: 60 },
    )
  })

  it('stand square to the shaft, so that what swings up and to the left is all of it', () => {
    const line = twoPiece(CROSSES, 30, 12, 1)
    const [bearing] = lineForces(line, 900).bearings
    const sizes = bearing!.curve.map(([up, left]) => Math.hypot(up, left))
    // Up and left are square to each other within the shaft's small plan.
    expect(Math.max(...sizes) / bearing!.maxN).toBeCloseTo(1, 2)
    expect(planeNormal(line.train[0]!.incoming, line.train[0]!.outgoing)).toHaveLength(3)
  })
})

describe('the peak of a periodic curve', () => {
  it('is found between its samples', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), (shift) => {
        const values = Float64Array.from(
          { length: 48 },
          (_, i) => 3 + 2 * Math.cos((2 * Math.PI * i) / 48 + shift),
        )
        expect(peakOf(values)).toBeCloseTo(5, 4)
      }),
      { seed: 20261129 },
    )
  })

  it('of an even curve is its value', () => expect(peakOf(new Float64Array(8).fill(2.5))).toBe(2.5))
})

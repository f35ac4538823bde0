import { PLUS_TIMES } from '../../base/columns/arithmetic'
import {
  moveStep,
  scalarStep,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import type { Kernel } from '../../base/columns/kernel'
import { allKnown, mapKnown, type Known } from '../../base/known'
import type { AxleBody } from '../../file/parts/body'
import type { AxleHolding, LinkMotion, SliderWay } from '../../file/parts/axleMotion'
import type { Id } from '../../file/parts/id'
import { newPoseSolver, PER_CONDITION } from './poseSolver'
import type { PointOf, WheelColumns } from './axleMotion'
import { unmoved } from '../moves/heldBody'

/** One condition on where an axle stands: a link that may be longer by a lever, or a way a point does not go. */
interface Condition {
  readonly axle: Id
  readonly by: { readonly chassis: Id; readonly longer: Column | null } | { readonly stays: number }
}

const WAYS: readonly SliderWay[] = ['along', 'aside', 'up']

/** The move of an axle by what holds it; a lever of a link makes it longer. */
export function linkMove(
  graph: Graph,
  axle: AxleBody,
  { holdings }: LinkMotion,
  { leftUp, rightUp }: WheelColumns,
  centre: VectorColumns,
  point: PointOf,
  longer: (holding: Id) => Column | null,
): Known<MoveColumns> {
  const conditions = holdings.flatMap((holding) => conditionsOf(holding, longer))
  if (conditions.length < 4)
    return unmoved(`${axle.name}: what holds it does not hold it fast; it takes four links, or as much`)
  const trackMm = axle.sizes?.trackMm
  if (trackMm === undefined) return unmoved(`${axle.name}: its track was not entered`)
  const ends = allKnown<VectorColumns[]>(
    conditions.flatMap(({ axle: own, by }) =>
      'chassis' in by ? [point(own), point(by.chassis)] : [point(own)],
    ),
  )
  return mapKnown(ends, (places) => {
    const [x, y, z] = centre
    const wheel = (side: 1 | -1) => [
      x,
      scalarStep(graph, PLUS_TIMES, [y, graph.source(trackMm / 2)], [side]),
      z,
    ]
    const none = graph.source(0)
    const amounts = conditions.flatMap(({ by }) => ('chassis' in by ? [by.longer ?? none] : []))
    return moveStep(graph, kernelOf(conditions), [
      leftUp,
      rightUp,
      ...wheel(1),
      ...wheel(-1),
      ...places.flat(),
      ...amounts,
    ])
  })
}

function conditionsOf(holding: AxleHolding, longer: (holding: Id) => Column | null): Condition[] {
  switch (holding.kind) {
    case 'link':
      return [{ axle: holding.axle, by: { chassis: holding.chassis, longer: longer(holding.id) } }]
    case 'slider':
      return [{ axle: holding.axle, by: { stays: WAYS.indexOf(holding.stays) } }]
    case 'ball':
      return WAYS.map((_, stays) => ({ axle: holding.axle, by: { stays } }))
    case 'hinge':
      return [holding.axle, holding.axle2].flatMap((axle) =>
        WAYS.map((_, stays): Condition => ({ axle, by: { stays } })),
      )
  }
}

/** Columns before the points of the conditions: both heights and the middles of both wheels. */
const BEFORE = 8

/**
 * The move of an axle as it is held, in mm: from how far left and right have come up, the middles of both wheels, the points of the
 * conditions, and by how much each link is longer. It keeps a solver, which starts each row from the pose of the one before.
 */
function kernelOf(conditions: readonly Condition[]): Kernel {
  const solver = newPoseSolver(conditions.map(({ by }) => ('chassis' in by ? 'link' : 'plane')))
  const { points, move } = solver
  const places = conditions.reduce((sum, { by }) => sum + ('chassis' in by ? 6 : 3), 0)
  return {
    name: 'an axle where its links let it stand',
    isSlow: true,
    page: 'travel',
    outputs: 12,
    run: (count, columns, written) => {
      const from = columns as unknown as readonly Float64Array[]
      const to = written as unknown as readonly Float64Array[]
      const at = (column: number, row: number): number => from[column]?.[row] as number
      for (let i = 0; i < count; i++) {
        for (let k = 0; k < 6; k++) points[k] = at(2 + k, i)
        let column = BEFORE
        let link = BEFORE + places
        for (let k = 0; k < conditions.length; k++) {
          const into = 6 + PER_CONDITION * k
          for (let part = 0; part < 3; part++) points[into + part] = at(column++, i)
          const by = (conditions[k] as Condition).by
          if ('chassis' in by) {
            for (let part = 0; part < 3; part++) points[into + 3 + part] = at(column++, i)
            const x = (points[into] as number) - (points[into + 3] as number)
            const y = (points[into + 1] as number) - (points[into + 4] as number)
            const z = (points[into + 2] as number) - (points[into + 5] as number)
            points[into + 6] = Math.sqrt(x * x + y * y + z * z) + at(link++, i)
          } else for (let part = 0; part < 3; part++) points[into + 3 + part] = part === by.stays ? 1 : 0
        }
        solver.take()
        solver.solve(at(0, i), at(1, i))
        for (let part = 0; part < 12; part++) (to[part] as Float64Array)[i] = move[part] as number
      }
    },
  }
}

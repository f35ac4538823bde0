import { vectorStep, type Column, type Graph, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { known, type Known } from '../../base/known'
import { turnMove } from '../../base/linalg/mat3'
import type { AxleBody } from '../../file/parts/body'
import type { Id } from '../../file/parts/id'
import { vectorAt } from '../../measure/geometry/geometry'
import { radians } from '../../base/units/angle'
import { summed, type BodyMove } from './bodyMove'
import { heldBody, unmoved } from './heldBody'

/**
 * An axle that turns by wedges or by a rise of its nose, in degrees; null when nothing turns it.
 *
 * @param pivot - what it turns about; its centre when absent
 * @param when - under which torque, to follow its name: ", under drive"
 */
export function turnedColumns(
  graph: Graph,
  axle: AxleBody,
  amounts: readonly Column[],
  when: string,
  point: (id: Id) => Known<VectorColumns>,
  pivot = axle.centre,
): BodyMove | null {
  if (amounts.length === 0) return null
  const tooFar = { what: `${axle.name}: it cannot be turned that far`, path: '' }
  const moves = { body: axle.id, amounts, tooFar }
  const centre =
    pivot === undefined
      ? unmoved(`${axle.name}: its centre was not read, so it cannot be turned`)
      : point(pivot)
  if (!centre.known) return { ...moves, basis: centre, ...heldBody(graph, amounts) }
  // Right-handed about +Y dips the front of a body, so a forward nose rises against it.
  const sense = axle.noseFaces === 'forward' ? -1 : 1
  return {
    ...moves,
    basis: known(null, centre.assumptions),
    ...crossTurn(graph, `${axle.name}, turned${when}`, centre.value, summed(graph, amounts), sense),
  }
}

/** Sine and cosine of a turn right-handed about +Y, from its angle in degrees; parameter: its sense. */
const CROSS_TURN: Kernel = {
  name: 'turn of the axle',
  page: 'placement',
  outputs: 2,
  run: (count, [angleDeg], [sine, cosine], [sense]) => {
    for (let i: Row = 0; i < count; i++) {
      const angle = sense * radians(angleDeg[i])
      sine[i] = Math.sin(angle)
      cosine[i] = Math.cos(angle)
    }
  },
}

/** A point turned about the cross axis through a centre, in mm: from sine and cosine of the turn, X and Z of the centre, the point. */
const TURNED_ABOUT: Kernel = {
  name: 'a point of the axle after its turn',
  page: 'placement',
  outputs: 3,
  run: (count, [sine, cosine, centreX, centreZ, x, y, z], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      const along = x[i] - centreX[i]
      const above = z[i] - centreZ[i]
      u[i] = centreX[i] + cosine[i] * along + sine[i] * above
      v[i] = y[i]
      w[i] = centreZ[i] - sine[i] * along + cosine[i] * above
    }
  },
}

/** A direction turned about the cross axis: from sine and cosine of the turn, and the direction. */
const TURNED: Kernel = {
  name: 'an axis of the axle after its turn',
  page: 'placement',
  outputs: 3,
  run: (count, [sine, cosine, x, y, z], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = cosine[i] * x[i] + sine[i] * z[i]
      v[i] = y[i]
      w[i] = cosine[i] * z[i] - sine[i] * x[i]
    }
  },
}

/** A turn about the cross axis through a point, which leaves every Y as it is. */
function crossTurn(
  graph: Graph,
  name: string,
  centre: VectorColumns,
  angleDeg: Column,
  sense: 1 | -1,
): Pick<BodyMove, 'point' | 'direction' | 'columns' | 'moveAt'> {
  const turn = graph.step(CROSS_TURN, [angleDeg], [sense])
  graph.name(turn, name)
  const [cx, , cz] = centre
  return {
    point: (place) => vectorStep(graph, TURNED_ABOUT, [...turn, cx, cz, ...place]),
    direction: (axis) => vectorStep(graph, TURNED, [...turn, ...axis]),
    columns: [angleDeg, ...centre],
    moveAt: (figure) => turnMove(vectorAt(figure)(centre), [0, 1, 0], sense * radians(figure(angleDeg))),
  }
}

import { moveStep, type Graph, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { known, type Known } from '../../base/known'
import { powertrainOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import { leversOn, rigidly, summed, type BodyMove, type LeverColumns } from '../moves/bodyMove'
import { heldBody, unmoved } from '../moves/heldBody'

/** A shift of so many mm along a direction. */
const SHIFTED_ALONG: Kernel = {
  name: 'what lies behind the block face, set back along the crankshaft',
  page: 'placement',
  outputs: 12,
  run: (count, [amount, dx, dy, dz], [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz]) => {
    for (let i: Row = 0; i < count; i++) {
      r00[i] = 1
      r01[i] = 0
      r02[i] = 0
      r10[i] = 0
      r11[i] = 1
      r12[i] = 0
      r20[i] = 0
      r21[i] = 0
      r22[i] = 1
      sx[i] = amount[i] * dx[i]
      sy[i] = amount[i] * dy[i]
      sz[i] = amount[i] * dz[i]
    }
  },
}

/** An adapter plate, or a gearbox of another length: what lies behind the block face goes back before the whole is moved. */
export interface Adapter {
  readonly move: BodyMove
  /** True for a point of the powertrain that lay behind the face as measured. */
  readonly isBehind: (point: Id) => boolean
}

/**
 * The adapter of a build; null where no lever speaks of one.
 *
 * @param point - as measured
 * @param axis - as measured, rearward
 * @see docs/methods/placement.md
 */
export function adapterOf(
  graph: Graph,
  build: Build,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
  axis: (id: Id) => Known<VectorColumns>,
): Adapter | null {
  const powertrain = powertrainOf(build)
  if (!powertrain) return null
  const amounts = leversOn(build, powertrain.id, levers).flatMap(({ lever, amount }) =>
    lever.kind === 'adapter' ? [amount] : [],
  )
  if (amounts.length === 0) return null
  const { faceStationMm, id: body, name } = powertrain
  const moves = { body, amounts, tooFar: { what: `${name}: no adapter is that long`, path: '' } }
  const along = crankAxis(build, body)
  const direction = along === undefined ? null : axis(along)
  if (faceStationMm === undefined || direction?.known !== true) {
    const index = build.bodies.indexOf(powertrain)
    const missing =
      faceStationMm === undefined
        ? unmoved(
            `${name}: the station of the face that the gearbox is bolted to`,
            `bodies[${index}].faceStationMm`,
          )
        : unmoved(`${name}: which way its crankshaft runs`)
    return {
      move: { ...moves, basis: missing, ...heldBody(graph, amounts) },
      isBehind: (one) => isOn(build, one, body),
    }
  }
  const move = moveStep(graph, SHIFTED_ALONG, [summed(graph, amounts), ...direction.value])
  graph.name(move, `${name}: what lies behind the block face, by its adapter`)
  return {
    move: { ...moves, basis: known(null, direction.assumptions), ...rigidly(graph, move) },
    isBehind: (one) => {
      if (!isOn(build, one, body)) return false
      const place = point(one)
      return place.known && -graph.at(place.value[0]) > faceStationMm
    },
  }
}

const isOn = (build: Build, id: Id, body: Id): boolean =>
  build.points.some((point) => point.id === id && point.body === body)

/** The axis of the powertrain that drives a line, else any that runs along the vehicle. */
function crankAxis(build: Build, body: Id): Id | undefined {
  const own = build.axes.filter((axis) => axis.body === body && axis.lies !== 'across')
  return (own.find(({ id }) => build.lines.some(({ driving }) => driving === id)) ?? own[0])?.id
}

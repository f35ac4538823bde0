import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import type { Known } from '../base/known'
import type { Build } from '../file/build/build'
import type { BodyId } from '../file/parts/body'
import type { Gap } from '../file/parts/gap'
import { GAP_LEFT, LEAST } from '../making/mounts/mountKernels'
import type { Places } from '../stand/places'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import type { GapColumns } from '../vehicle/gaps/gapColumns'

/** What is left of a gap as the powertrain gives on its mounts: in each case, in their order, and at the least. */
export interface GapLoad {
  /** Null where the mounts do not hold it. */
  readonly cases: readonly (Column | null)[]
  readonly least: Column
}

/** Nothing moves while a part is taken out, and a shaft's end goes along with its line. */
const isOf = ({ kind, shaft }: Gap): boolean => kind !== 'service' && !shaft

/**
 * What is left of a gap in every case of the mounts.
 *
 * @param bodies - the one of its point, and the one across
 * @param ride - at ride height
 * @returns null where both go along with the powertrain, neither does, or it is not known how it gives on mounts that hold it
 */
export function gapLoadColumns(
  graph: Graph,
  build: Build,
  places: Places,
  gap: Gap,
  bodies: readonly [BodyId, BodyId],
  ride: Known<GapColumns> | undefined,
): GapLoad | null {
  const sprung = isOf(gap) && ride?.known ? places.sprung() : null
  if (!sprung?.known || !ride?.known) return null
  const [own, across] = bodies.map((id) => goesAlongWith(build, id, sprung.value.body))
  if (own === across) return null
  const { gap: mm, toward, point } = ride.value
  // A body that comes toward the point takes as much of the gap as the point would that goes away.
  const sense = own ? 1 : -1
  const [still] = sprung.value.cases
  const cases = sprung.value.cases.map(({ shift, turn, at }) => {
    if (!Number.isFinite(graph.at(shift[0]))) return null
    if (at === still?.at) return mm
    return scalarStep(graph, GAP_LEFT, [mm, ...toward, ...point, ...shift, ...turn], [sense])
  })
  const held = cases.filter((one) => one !== null)
  // Mounts that do not even hold it standing say nothing of a gap.
  if (held.length === 0) return null
  const least = scalarStep(graph, LEAST, held)
  graph.name([least], `${gap.name}: gap left as the powertrain gives on its mounts`, 'mm')
  return { cases, least }
}

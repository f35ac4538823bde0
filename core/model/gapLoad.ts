import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import type { Known } from '../base/known'
import type { Build } from '../file/build/build'
import type { BodyId } from '../file/parts/body'
import type { Gap } from '../file/parts/gap'
import type { MountCaseKey } from '../making/mounts/mountCases'
import { GAP_LEFT, LEAST } from '../making/mounts/mountKernels'
import type { Places } from '../stand/places'
import type { Sprung } from '../stand/sprung'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import type { GapColumns } from '../vehicle/gaps/gapColumns'

/** What is left of a gap as bodies give on their mounts: in each case that holds them, and at the least. */
export interface GapLoad {
  readonly cases: ReadonlyMap<MountCaseKey, Column>
  readonly least: Column
  /** The bodies that give. */
  readonly bodies: readonly BodyId[]
}

/** Nothing moves while a part is taken out, and a shaft's end goes along with its line. */
const isOf = ({ kind, shaft }: Gap): boolean => kind !== 'service' && !shaft

/**
 * What is left of a gap in every case of the mounts.
 *
 * @param bodies - the one of its point, and the one across
 * @param ride - at ride height
 * @returns null where both go along with the same body, neither stands on mounts, or it is not known how it gives on mounts that hold it
 */
export function gapLoadColumns(
  graph: Graph,
  build: Build,
  places: Places,
  gap: Gap,
  bodies: readonly [BodyId, BodyId],
  ride: Known<GapColumns> | undefined,
): GapLoad | null {
  if (!isOf(gap) || !ride?.known) return null
  const { gap: mm, toward, point } = ride.value
  const cases = new Map<MountCaseKey, Column | null>()
  // A body that comes toward the point takes as much of the gap as the point would that goes away.
  const given = giving(build, places, bodies)
  for (const { of, sense } of given)
    of.cases.forEach(({ shift, turn, at }, k) => {
      const before = cases.has(at.key) ? cases.get(at.key) : mm
      if (before == null || !Number.isFinite(graph.at(shift[0]))) cases.set(at.key, null)
      // The first of them is standing still.
      else if (k === 0) cases.set(at.key, before)
      else
        cases.set(
          at.key,
          scalarStep(graph, GAP_LEFT, [before, ...toward, ...point, ...shift, ...turn], [sense]),
        )
    })
  const held = new Map([...cases].flatMap(([key, left]) => (left === null ? [] : [[key, left] as const])))
  // Mounts that do not even hold it standing say nothing of a gap.
  if (held.size === 0) return null
  const least = scalarStep(graph, LEAST, [...held.values()])
  graph.name([least], `${gap.name}: gap left as ${namesOf(build, given)} on mounts`, 'mm')
  return { cases: held, least, bodies: given.map(({ of }) => of.body) }
}

interface Giving {
  readonly of: Sprung
  readonly sense: 1 | -1
}

/** Bodies on mounts that one side of a gap goes along with and the other does not. */
const giving = (build: Build, places: Places, [own, across]: readonly [BodyId, BodyId]): Giving[] =>
  places.sprung().flatMap(({ body, sprung }): Giving[] => {
    const isOwn = goesAlongWith(build, own, body.id)
    if (!sprung.known || isOwn === goesAlongWith(build, across, body.id)) return []
    return [{ of: sprung.value, sense: isOwn ? 1 : -1 }]
  })

const namesOf = ({ bodies }: Build, given: readonly Giving[]): string => {
  const names = given.map(({ of }) => bodies.find(({ id }) => id === of.body)?.name ?? of.body)
  return `${names.join(' and ')} ${names.length > 1 ? 'give' : 'gives'}`
}

import type { Column, Graph, MoveColumns, VectorColumns } from '../base/columns/graph'
import { allKnown, andThen, known, mapKnown, type Known } from '../base/known'
import { sub, type Vec3 } from '../base/linalg/vec3'
import { chainGears } from '../vehicle/strength/chainGears'
import type { Build } from '../file/build/build'
import { powertrainOf } from '../file/parts/bodies'
import type { BodyId } from '../file/parts/body'
import { drivenIndex } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import { casesFor, loadOf, type MountCase, type MountCaseKey } from '../making/mounts/mountCases'
import { springsOf, unitOf, type CarriedUnit } from '../making/mounts/mountedUnit'
import { FIGURES_A_CASE, mountsKernel, SMALL_MOVE } from '../making/mounts/mountKernels'
import type { SpringParts } from '../making/mounts/spring'
import { chainOf, chainRuns, driveOf } from '../making/mounts/unitDrive'
import { rigidly, type BodyMove } from '../vehicle/moves/bodyMove'

/** A powertrain in a case, against standing still: the shift of its point at the origin, its turn in radians, and the forces of its mounts. */
export interface SprungCase {
  readonly at: MountCase
  readonly shift: VectorColumns
  readonly turn: VectorColumns
  readonly forces: readonly VectorColumns[]
}

/** Where points stand, and the moves that bring their bodies there. */
interface StandsAt {
  readonly point: (id: Id) => Known<VectorColumns>
  readonly moves: ReadonlyMap<BodyId, readonly BodyMove[]>
}

/** A powertrain on its mounts, as columns. */
export interface Sprung {
  readonly body: BodyId
  readonly unit: CarriedUnit
  readonly springs: readonly SpringParts[]
  readonly centre: VectorColumns
  /** Places of the mounts, in their order. */
  readonly places: readonly VectorColumns[]
  readonly cases: readonly SprungCase[]
}

/**
 * How the powertrain of a build gives on its mounts, where its levers put both.
 *
 * @returns unknown with every figure that is still missing
 */
export function sprungColumns(graph: Graph, build: Build, { point, moves }: StandsAt): Known<Sprung> {
  const body = powertrainOf(build)?.id ?? ''
  const places = allKnown((build.mounts ?? []).map((mount) => point(mount.point)))
  const unit = andThen(unitOf(build), (told) => withChain(graph, build, told, point))
  return mapKnown(allKnown([springsOf(build), unit, places] as const), ([springs, unit, at]) => {
    const measured = unit.centre.map(graph.source) as unknown as VectorColumns
    const centre = (moves.get(body) ?? []).reduce((place, move) => move.point(place), measured)
    const wanted = casesFor(unit)
    const loads = wanted.map((one) => loadOf(one, unit))
    const figures = graph.step(mountsKernel(springs, loads), [...at.flat(), ...centre])
    const wide = FIGURES_A_CASE + 3 * springs.length
    const vector = (k: number) => figures.slice(k, k + 3) as unknown as VectorColumns
    const cases = wanted.map((one, k): SprungCase => ({
      at: one,
      shift: vector(k * wide),
      turn: vector(k * wide + 3),
      forces: springs.map((_, i) => vector(k * wide + FIGURES_A_CASE + 3 * i)),
    }))
    return { body, unit, springs, centre, places: at, cases }
  })
}

/** With the chain that it drives, as the readings have it; its way turns by nothing that counts as a lever takes the engine along its slots. */
function withChain(
  graph: Graph,
  build: Build,
  unit: CarriedUnit,
  point: StandsAt['point'],
): Known<CarriedUnit> {
  const chain = chainOf(build)
  const goesOut = driveOf(build)
  if (!chain || !goesOut.known || goesOut.value.goesOut !== 'chain') return known(unit)
  const [own, other] = [chain.sprockets[0], chain.sprockets[drivenIndex(chain)]].map((sprocket) =>
    point(sprocket?.point ?? ''),
  ) as [Known<VectorColumns>, Known<VectorColumns>]
  return mapKnown(allKnown([own, other, chainGears(build, chain)] as const), ([from, to, gears]) => {
    const at = (columns: VectorColumns) => columns.map((column) => graph.at(column)) as unknown as Vec3
    const runs = chainRuns(chain, sub(at(from), unit.centre), sub(at(to), unit.centre))
    return { ...unit, chain: { ...runs, pullN: Math.max(...gears.map(({ pullN }) => pullN)) } }
  })
}

/** The case in which a line is judged under torque. */
const UNDER = { drive: 'pulling', coast: 'overrun' } as const satisfies Record<string, MountCaseKey>

/** How the powertrain moves under a torque that stays; null at ride, or where it is not known how it is held. */
export function sprungMove(
  graph: Graph,
  sprung: Known<Sprung>,
  state: keyof typeof UNDER | 'ride',
): BodyMove | null {
  const one =
    sprung.known && state !== 'ride'
      ? sprung.value.cases.find(({ at }) => at.key === UNDER[state])
      : undefined
  const amounts: Column[] = one ? [...one.shift, ...one.turn] : []
  if (!sprung.known || !one || !amounts.every((amount) => Number.isFinite(graph.at(amount)))) return null
  const columns = graph.step(SMALL_MOVE, amounts) as unknown as MoveColumns
  return {
    body: sprung.value.body,
    amounts,
    basis: known(null, sprung.assumptions),
    tooFar: { what: 'mounts that hold the powertrain', path: 'mounts' },
    ...rigidly(graph, columns),
  }
}

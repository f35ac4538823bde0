import type { Column, Graph, MoveColumns, VectorColumns } from '../base/columns/graph'
import { allKnown, andThen, known, mapKnown, type Known } from '../base/known'
import { sub, type Vec3 } from '../base/linalg/vec3'
import { chainGears } from '../vehicle/strength/chainGears'
import type { Build } from '../file/build/build'
import { powertrainOf } from '../file/parts/bodies'
import type { BodyId } from '../file/parts/body'
import { drivenIndex } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import { chainOf, chainRuns } from '../making/mounts/chainRuns'
import { casesFor, loadOf, type MountCase, type MountCaseKey } from '../making/mounts/mountCases'
import { mountedBodies, type MountedBody } from '../making/mounts/mountedBodies'
import { unitOf, type CarriedUnit } from '../making/mounts/mountedUnit'
import { FIGURES_A_CASE, mountsKernel, REARWARD, SMALL_MOVE } from '../making/mounts/mountKernels'
import { springsOf } from '../making/mounts/mountSprings'
import type { SpringParts } from '../making/mounts/spring'
import { driveOf } from '../making/mounts/unitDrive'
import { rigidly, type BodyMove } from '../vehicle/moves/bodyMove'

/** A body in a case, against standing still: the shift of its point at the origin, its turn in radians, and the forces of its mounts. */
export interface SprungCase {
  readonly at: MountCase
  readonly shift: VectorColumns
  readonly turn: VectorColumns
  readonly forces: readonly VectorColumns[]
}

/** Where points and axes stand, and the moves that bring their bodies there. */
interface StandsAt {
  readonly point: (id: Id) => Known<VectorColumns>
  readonly axis: (id: Id) => Known<VectorColumns>
  readonly moves: ReadonlyMap<BodyId, readonly BodyMove[]>
}

/** A body on its mounts, as columns. */
export interface Sprung {
  readonly body: BodyId
  readonly unit: CarriedUnit
  readonly springs: readonly SpringParts[]
  readonly centre: VectorColumns
  /** The way in which its shafts point to the rear. */
  readonly rearward: VectorColumns
  /** Places of the mounts, in their order. */
  readonly places: readonly VectorColumns[]
  readonly cases: readonly SprungCase[]
}

/** A body with its mounts, and how it gives on them. */
export interface SprungBody extends MountedBody {
  /** Unknown with every figure that is still missing. */
  readonly sprung: Known<Sprung>
}

/** How the bodies of a build give on their mounts, where its levers put both. */
export const sprungBodies = (graph: Graph, build: Build, at: StandsAt): SprungBody[] =>
  mountedBodies(build).map((mounted) => ({ ...mounted, sprung: sprungColumns(graph, build, at, mounted) }))

function sprungColumns(
  graph: Graph,
  build: Build,
  stands: StandsAt,
  { body, mounts }: MountedBody,
): Known<Sprung> {
  const places = allKnown(mounts.map((mount) => stands.point(mount.point)))
  const told = unitOf(build, body)
  const unit =
    body.kind === 'powertrain' ? andThen(told, (one) => withChain(graph, build, one, stands.point)) : told
  const way = andThen(driveOf(build, body), ({ shafts }) => rearwardWay(graph, shafts, stands))
  return mapKnown(
    allKnown([springsOf(mounts), unit, places, way] as const),
    ([springs, one, at, rearward]) => {
      const measured = one.centre.map(graph.source) as unknown as VectorColumns
      const centre = (stands.moves.get(body.id) ?? []).reduce((place, move) => move.point(place), measured)
      const wanted = casesFor(one)
      const loads = wanted.map((each) => loadOf(each, one))
      const figures = graph.step(mountsKernel(springs, loads), [...at.flat(), ...centre, ...rearward])
      const wide = FIGURES_A_CASE + 3 * springs.length
      const vector = (k: number) => figures.slice(k, k + 3) as unknown as VectorColumns
      const cases = wanted.map((each, k): SprungCase => ({
        at: each,
        shift: vector(k * wide),
        turn: vector(k * wide + 3),
        forces: springs.map((_, i) => vector(k * wide + FIGURES_A_CASE + 3 * i)),
      }))
      return { body: body.id, unit: one, springs, centre, rearward, places: at, cases }
    },
  )
}

/** About its own shafts; along the vehicle where none says which way. */
function rearwardWay(
  graph: Graph,
  shafts: readonly { readonly axis: Id; readonly part: number }[],
  { axis }: StandsAt,
): Known<VectorColumns> {
  if (shafts.length === 0) return known([-1, 0, 0].map(graph.source) as unknown as VectorColumns)
  return mapKnown(allKnown(shafts.map((shaft) => axis(shaft.axis))), (ways) => {
    const parts = shafts.map(({ part }) => part)
    return graph.step(REARWARD, ways.flat(), parts) as unknown as VectorColumns
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
  const powertrain = powertrainOf(build)
  const drive = powertrain && driveOf(build, powertrain)
  if (!chain || !drive?.known || drive.value.goesOut !== 'chain') return known(unit)
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

/** How a body moves under a torque that stays; null at ride, or where it is not known how it is held. */
export function sprungMove(
  graph: Graph,
  { body, sprung }: SprungBody,
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
    body: body.id,
    amounts,
    basis: known(null, sprung.assumptions),
    tooFar: { what: `mounts that hold ${body.name}`, path: 'mounts' },
    ...rigidly(graph, columns),
  }
}

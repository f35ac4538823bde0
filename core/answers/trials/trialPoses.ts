import type { Missing } from '../../base/known'
import { movePoint, rigidMoveOf } from '../../base/linalg/mat3'
import { middle, sub, type Vec3 } from '../../base/linalg/vec3'
import { bodyById } from '../../file/parts/bodies'
import type { BodyId, Mounts } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Lever, LeverKind } from '../../file/build/lever'
import { standsInTrials } from '../../measure/targets/trial'
import { pointsReadAgain, trialMoveColumns, trialRegistration } from '../../measure/setups/trialRegistration'
import { measuredModel, type MeasuredModel } from '../../measure/geometry/geometry'
import type { Column } from '../../base/columns/graph'
import { oneByOne, varianceOf } from '../../measure/figures/oneByOne'

/** A lever of a body in a trial: what was packed, and how far it had moved by points read again. */
export interface PackedAndMoved {
  readonly lever: Lever
  readonly packed: number
  readonly moved: number
  /** Two standard deviations. */
  readonly plusMinus: number
  /** The two differ by more than the readings leave in doubt: a wrong spacer, or a mount that gave. */
  readonly disagrees: boolean
}

/** How a body stood in a trial by points read again. */
export interface TrialPose {
  readonly body: BodyId
  readonly points: readonly Id[]
  /** Root mean square of what the points miss each other by, in mm. */
  readonly rms: number
  /** The point without which the others fit clearly better, or null. */
  readonly suspect: Id | null
  readonly levers: readonly PackedAndMoved[]
}

/** Packed and moved may differ by this much, in mm, before anybody is told: a stack of spacers and paint. */
const LEAST_DIFFERENCE = 0.5

/**
 * How the powertrain stood in a trial, by registration of its points that were read again; empty where none was.
 *
 * @see docs/methods/gaps.md
 */
export function trialPoses(build: Build, trial: Id): TrialPose[] {
  const bodies = build.bodies.filter(({ id }) => standsInTrials(build, id))
  if (bodies.length === 0) return []
  const model = measuredModel(build)
  return bodies.flatMap((body): TrialPose[] => {
    const found = trialRegistration(model.context, body.id, trial)
    if (!found?.known) return []
    return [
      {
        body: body.id,
        points: pointsReadAgain(model.context, body.id, trial).map(({ id }) => id),
        rms: found.value.rms,
        suspect: found.value.suspect,
        levers: packedAndMoved(build, model, body.id, trial),
      },
    ]
  })
}

/** Why points that were read again in a trial do not tell how it stood; empty where they do, or where none were. */
export function trialFaults(build: Build, trial: Id): Missing[] {
  const { context } = measuredModel(build)
  return build.bodies.flatMap(({ id }) => {
    const found = standsInTrials(build, id) ? trialRegistration(context, id, trial) : null
    return found?.known === false ? found.missing : []
  })
}

function packedAndMoved(build: Build, model: MeasuredModel, bodyId: BodyId, trial: Id): PackedAndMoved[] {
  const body = bodyById(build, bodyId)
  const mounts = body && 'mounts' in body ? body.mounts : undefined
  const columns = trialMoveColumns(model.context, bodyId, trial)
  if (!mounts || !columns) return []
  const packed = build.trials.find(({ id }) => id === trial)?.packed ?? {}
  const amounts = movedAmounts(model, mounts, columns)
  if (!amounts) return []
  return build.levers.flatMap((lever) => {
    const moved = lever.body === bodyId ? amounts(lever.kind) : null
    if (!moved) return []
    const asked = askedOf(build, packed, lever)
    const allowed = Math.max(LEAST_DIFFERENCE, moved.plusMinus)
    return [{ lever, packed: asked, ...moved, disagrees: Math.abs(moved.moved - asked) > allowed }]
  })
}

/** What was packed for a lever; one front mount goes up by its own and by what was packed under both. */
function askedOf({ levers }: Build, packed: Readonly<Record<Id, number>>, { id, kind, body }: Lever): number {
  const own = packed[id] ?? 0
  if (kind !== 'front-left-up' && kind !== 'front-right-up') return own
  const both = levers.filter((other) => other.body === body && other.kind === 'front-up')
  return both.reduce((sum, other) => sum + (packed[other.id] ?? 0), own)
}

/** What a mount lever has to stand at for a move, with its ±, by first-order propagation through the readings. */
function movedAmounts({ graph, list, points }: MeasuredModel, mounts: Mounts, columns: readonly Column[]) {
  const places = [mounts.frontLeft, mounts.frontRight, mounts.tail].map((id) => points.get(id))
  if (!places.every((place) => place?.known === true)) return null
  const mountColumns = places.flatMap((place) => (place?.known ? [place.value] : []))
  const wanted = [...columns, ...mountColumns.flat()]
  const moved = oneByOne({ graph, list }, wanted)
  const movesWith = (at: (column: Column) => number) => {
    const move = rigidMoveOf(columns.map(at))
    return mountColumns.map((place): Vec3 => {
      const stood: Vec3 = [at(place[0]), at(place[1]), at(place[2])]
      return sub(movePoint(move, stood), stood)
    })
  }
  const nominal = movesWith(moved.figure)
  const others = moved.inputs.map((_, input) =>
    movesWith((column) => moved.figure(column) + moved.change(column, input)),
  )
  return (kind: LeverKind) => {
    const of = AMOUNTS[kind]
    if (!of) return null
    const amountOf = ([left, right, tail]: readonly Vec3[]) => of(left as Vec3, right as Vec3, tail as Vec3)
    const amount = amountOf(nominal)
    const variance = varianceOf(moved.inputs, (input) => amountOf(others[input] ?? []) - amount)
    return { moved: amount, plusMinus: 2 * Math.sqrt(variance) }
  }
}

/** What each lever of the mounts counts, from how the mounts have moved: the same six conditions as their levers. */
const AMOUNTS: Readonly<Partial<Record<LeverKind, (left: Vec3, right: Vec3, tail: Vec3) => number>>> = {
  'front-up': (left, right) => middle(left, right)[2],
  'front-left-up': (left) => left[2],
  'front-right-up': (_, right) => right[2],
  'tail-up': (_left, _right, tail) => tail[2],
  fore: (left, right) => middle(left, right)[0],
  sideways: (left, right) => middle(left, right)[1],
  'tail-sideways': (left, right, tail) => tail[1] - middle(left, right)[1],
}

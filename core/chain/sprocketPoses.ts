import { DIFFERENCE, PLUS_TIMES } from '../base/columns/arithmetic'
import { scalarStep, vectorStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import type { Kernel, Row } from '../base/columns/kernel'
import { carriedDirection, carriedPoint, undone } from '../vehicle/gaps/carried'
import { allKnown, known, mapKnown, unknown, type Known } from '../base/known'
import type { BodyMove, LeverColumns } from '../vehicle/moves/bodyMove'
import type { Build } from '../file/build/build'
import { sprocketName, type ChainLine, type ChainSprocket } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import { readFace, type ReadFace } from '../measure/points/chainReadings'
import type { MeasuredModel } from '../measure/geometry/geometry'
import type { PlacedState } from '../stand/placedState'
import type { Places } from '../stand/places'

/** A sprocket as it stands: the middle of its teeth, and the unit direction it turns on. */
export interface SprocketPose {
  readonly point: VectorColumns
  readonly direction: VectorColumns
  readonly isLengthwise: boolean
}

/** Where the sprockets of a chain stand. */
export interface SprocketPoses {
  readonly at: (placed: PlacedState) => Known<SprocketPose[]>
  /** For each sprocket but the first: which of its angles against the first one are read. */
  readonly angles: ReadonlyMap<Id, AnglesRead>
}

/** What is read of the angles of a sprocket against the first one: of both. */
export interface AnglesRead extends Shown {
  /** Both of both; else what is missing. */
  readonly both: Known<null>
}

/** A word on a face that was read and cannot be used; null where there is none. */
function unusedFace(sprocket: ChainSprocket, face: Known<ReadFace> | null | undefined): string | null {
  if (!face || face.known) return null
  return `${sprocketName(sprocket)}: what was read of its face is not used (${face.missing[0]?.what ?? ''})`
}

/** What is taken for granted besides. */
const withUnused = <T>(found: Known<T>, word: string | null): Known<T> =>
  found.known && word !== null ? known(found.value, [...found.assumptions, word]) : found

/** What faces that were read lack goes before what nobody read. */
function withMissing<T>(found: Known<T>, faces: readonly (Known<ReadFace> | null | undefined)[]): Known<T> {
  const missing = faces.flatMap((face) => (face && !face.known ? face.missing : []))
  return missing.length > 0 ? { known: false, missing } : found
}

/** Which of its two angles is known. */
interface Shown {
  readonly yaw: boolean
  readonly tilt: boolean
}

/** A sprocket set along its shaft by a spacer: from its middle, the direction and the thickness, in mm. */
const SPACED: Kernel = {
  name: 'a sprocket on its spacer',
  page: 'chains',
  outputs: 3,
  run: (count, [x, y, z, ax, ay, az, thick], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = x[i] + thick[i] * ax[i]
      v[i] = y[i] + thick[i] * ay[i]
      w[i] = z[i] + thick[i] * az[i]
    }
  },
}

/**
 * The sprockets of a chain, by their faces where those were read from one line, else by their points and axes; carried along with their bodies and
 * set along their shafts by spacers.
 *
 * @see docs/methods/chains.md
 */
export function sprocketPoses(
  build: Build,
  measured: MeasuredModel,
  places: Places,
  levers: LeverColumns,
  chain: ChainLine,
): SprocketPoses {
  const { graph, context } = measured
  const faces = chain.sprockets.map((sprocket) => readFace(context, chain, sprocket))
  const [firstFace] = faces
  const isOnLine = (face: Known<ReadFace> | null | undefined): boolean =>
    face?.known === true && firstFace?.known === true && face.value.trial === firstFace.value.trial
  // One face alone says nothing of the line between two.
  const isRead = faces.slice(1).some(isOnLine)
  const straight = [graph.source(0), graph.source(1), graph.source(0)] as unknown as VectorColumns
  const poses = chain.sprockets.map((sprocket, i) => {
    const face = faces[i]
    const from = isRead && isOnLine(face) && face?.known ? face.value : null
    const based = from ? facedBase(sprocket, from) : null
    const spacer = spacerOf(build, graph, levers, sprocket, from?.trial ?? null)
    const lies = build.axes.find(({ id }) => id === sprocket.axis)?.lies ?? 'lengthwise'
    const isLengthwise = sprocket.axis !== undefined && lies !== 'across'
    return (placed: PlacedState): Known<SprocketPose> => {
      const both = withUnused(based ? based(placed) : axisBase(sprocket, placed), unusedFace(sprocket, face))
      return mapKnown(both, ([point, direction]) => ({
        point: spacer === null ? point : vectorStep(graph, SPACED, [...point, ...direction, spacer]),
        direction,
        isLengthwise,
      }))
    }
  })
  const shown = chain.sprockets.map((sprocket, i): Shown => {
    const face = faces[i]
    if (isRead && isOnLine(face) && face?.known) return face.value.shows
    return axisShows(build, measured, sprocket)
  })
  return {
    at: (placed) => allKnown<SprocketPose[]>(poses.map((pose) => pose(placed))),
    angles: new Map(
      chain.sprockets.slice(1).map((sprocket, i) => {
        const first = shown[0]
        const own = shown[i + 1]
        const names = [chain.sprockets[0] as ChainSprocket, sprocket] as const
        const angles: AnglesRead = {
          yaw: first?.yaw === true && own?.yaw === true,
          tilt: first?.tilt === true && own?.tilt === true,
          both: withMissing(bothRead(names, [first, own]), [faces[0], faces[i + 1]]),
        }
        return [sprocket.id, angles]
      }),
    ),
  }

  /** By its face: where it was read, undone by the moves of then and carried by those of now. */
  function facedBase(sprocket: ChainSprocket, face: ReadFace) {
    const [reference] = chain.sprockets
    const then = places.inTrial(face.trial)
    const moves = (placed: PlacedState): readonly BodyMove[] => placed.pointMoves(sprocket.point)
    const base = mapKnown(
      allKnown([then.point(sprocket.point), then.point(reference?.point ?? sprocket.point)] as const),
      ([own, first]) => {
        const firstLeft = firstFace?.known ? firstFace.value.left : face.left
        const besides = scalarStep(graph, DIFFERENCE, [face.left, firstLeft])
        const left = scalarStep(graph, PLUS_TIMES, [first[1], besides], [1])
        const back = undone(graph, moves(then))
        return [back.point([own[0], left, own[2]]), back.direction(face.direction)] as const
      },
    )
    const said = firstFace?.known ? [...firstFace.assumptions] : []
    return (placed: PlacedState): Known<readonly [VectorColumns, VectorColumns]> =>
      base.known
        ? known(
            [
              carriedPoint(moves(placed), base.value[0]),
              carriedDirection(moves(placed), base.value[1]),
            ] as const,
            [...new Set([...base.assumptions, ...said])],
          )
        : base
  }

  /** By its point and its axis; without one, straight across the vehicle. */
  function axisBase(
    { axis, point }: ChainSprocket,
    placed: PlacedState,
  ): Known<readonly [VectorColumns, VectorColumns]> {
    const place = placed.point(point)
    const lies = axis === undefined ? null : placed.axis(axis)
    const direction = lies?.known
      ? lies
      : known(straight, [`${chain.name}: shafts that were not read are taken to lie straight across`])
    return allKnown([place, direction] as const)
  }
}

/** Which angles of a sprocket the readings of its axis show: its lean by a level, its turn by two points or a drawing. */
function axisShows(build: Build, { axes }: MeasuredModel, { axis: id }: ChainSprocket): Shown {
  const axis = build.axes.find((one) => one.id === id)
  if (!axis || axes.get(axis.id)?.known !== true) return { yaw: false, tilt: false }
  const isDrawn = build.readings.some(
    (reading) =>
      ((reading.kind === 'given-cross-axis' && reading.sweep !== undefined) ||
        (reading.kind === 'given-axis' && reading.plan !== undefined)) &&
      reading.axis === axis.id,
  )
  return { yaw: isDrawn || (axis.through?.length ?? 0) > 1, tilt: true }
}

/** Both angles of both sprockets; what is missing, where they are not read. */
function bothRead(
  names: readonly [ChainSprocket, ChainSprocket],
  shown: readonly [Shown | undefined, Shown | undefined],
): Known<null> {
  const wanted = names.flatMap((sprocket, i) => {
    const { yaw, tilt } = shown[i] ?? { yaw: false, tilt: false }
    if (yaw && tilt) return []
    const name = sprocketName(sprocket)
    const where =
      !yaw && !tilt
        ? 'at the front, the rear and the top'
        : yaw
          ? 'at the top and the bottom'
          : 'at the front and the rear'
    return [
      unknown(
        `${name}: ${yaw === tilt ? 'neither angle' : 'only one angle'} is read; read its face ${where}`,
      ),
    ]
  })
  const all = allKnown<null[]>(wanted)
  return mapKnown(all, () => null)
}

/** How much further to the left a sprocket's spacers set it than when it was read; null without any. */
function spacerOf(
  build: Build,
  graph: Graph,
  levers: LeverColumns,
  { id }: ChainSprocket,
  trial: Id | null,
): Column | null {
  const packed = build.trials.find((one) => one.id === trial)?.packed ?? {}
  const own = build.levers.flatMap((lever) => {
    const amount = levers.get(lever.id)
    if (lever.kind !== 'spacer' || lever.sprocket !== id || amount === undefined) return []
    const then = packed[lever.id] ?? 0
    return [then === 0 ? amount : scalarStep(graph, DIFFERENCE, [amount, graph.source(then)])]
  })
  const [first, ...rest] = own
  return first === undefined
    ? null
    : rest.reduce((sum, amount) => scalarStep(graph, PLUS_TIMES, [sum, amount], [1]), first)
}

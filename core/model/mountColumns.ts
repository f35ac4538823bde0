import { DIFFERENCE } from '../base/columns/arithmetic'
import {
  scalarStep,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Build } from '../file/build/build'
import type { BodyId } from '../file/parts/body'
import type { Line } from '../file/parts/lineSpec'
import { lineColumns, type PlaceColumns } from '../line/lineColumns'
import { loadOf } from '../making/mounts/mountCases'
import { CASE_TOLD, SIZE_OF, SMALL_MOVE } from '../making/mounts/mountKernels'
import { shareKernel } from '../making/mounts/shareKernel'
import type { MountedBody } from '../making/mounts/mountedBodies'
import { bodiesOf, type PlacedState } from '../stand/placedState'
import type { Sprung, SprungCase } from '../stand/sprung'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import { rigidly } from '../vehicle/moves/bodyMove'
import type { CompiledGap } from './gaps'

/** A joint whose working angle is another as a body gives. */
export interface JointGives {
  readonly line: string
  readonly joint: number
  readonly byDeg: Column
}

/** A case as it is told. */
export interface MountCaseColumns {
  readonly of: SprungCase
  readonly rollDeg: Column
  readonly fallDeg: Column
  readonly planDeg: Column
  /** Of the output: forward, left and up, and how far in all. */
  readonly output: VectorColumns
  readonly outputMm: Column
  /** Of the mounts' forces, in their order. */
  readonly sizes: readonly Column[]
  readonly joints: readonly JointGives[]
  /** What is left of each gap, by its id. */
  readonly gaps: readonly { readonly gap: CompiledGap['gap']; readonly ride: Column; readonly left: Column }[]
}

export interface MountColumns {
  readonly sprung: Sprung
  readonly output: VectorColumns
  readonly cases: readonly MountCaseColumns[]
  /** Of the reaction, what goes out at the gearbox; null where nobody said which mounts are there. */
  readonly share: Column | null
}

/** What mounts are looked at by. */
export interface MountedGround {
  readonly build: Build
  readonly graph: Graph
  readonly ride: PlacedState
  readonly gaps: readonly CompiledGap[]
  readonly mounted: MountedBody
}

/** All that is told of a powertrain on its mounts. */
export function mountColumns(ground: MountedGround, sprung: Sprung, output: VectorColumns): MountColumns {
  const { graph, mounted } = ground
  const turned = turnedLines(ground, sprung.body)
  const cases = sprung.cases.map((one) => caseColumns({ ...ground, turned }, one, output))
  const isTail = mounted.mounts.map((mount) => mount.isTail === true)
  const drive = sprung.cases.find(({ at }) => at.key === 'drive')?.at
  const load = drive && loadOf(drive, sprung.unit)
  const share =
    load && mounted.body.kind === 'powertrain' && isTail.includes(true) && load.alongNmm !== 0
      ? scalarStep(graph, shareKernel(sprung.springs, isTail, load), [
          ...sprung.places.flat(),
          ...output,
          ...sprung.rearward,
        ])
      : null
  if (share !== null) graph.name([share], 'share of the reaction that goes out at the gearbox')
  return { sprung, output, cases, share }
}

/** A line that the body turns, with its working angles as it stands. */
interface TurnedLine {
  readonly line: Line
  readonly still: readonly Column[]
}

function turnedLines({ build, graph, ride }: MountedGround, body: BodyId): TurnedLine[] {
  const bodyOf = bodiesOf(build).axis
  return build.lines.flatMap((line) => {
    const ends = [line.driving, line.driven].flatMap((id) => bodyOf.get(id) ?? [])
    if (!ends.some((end) => goesAlongWith(build, end, body))) return []
    const columns = lineColumns(graph, line, ride)
    return columns.known ? [{ line, still: columns.value.anglesDeg }] : []
  })
}

function caseColumns(
  ground: MountedGround & { readonly turned: readonly TurnedLine[] },
  of: SprungCase,
  output: VectorColumns,
): MountCaseColumns {
  const { graph, gaps, mounted } = ground
  const [rollDeg, fallDeg, planDeg, ...moved] = graph.step(CASE_TOLD, [
    ...of.shift,
    ...of.turn,
    ...output,
  ]) as unknown as [Column, Column, Column, ...VectorColumns]
  const outputMm = scalarStep(graph, SIZE_OF, moved)
  const sizes = of.forces.map((force, i) => {
    const size = scalarStep(graph, SIZE_OF, force)
    graph.name([size], `${mounted.mounts[i]?.name ?? 'mount'}: force, ${of.at.name}`)
    return size
  })
  graph.name([rollDeg], `roll of ${mounted.body.name}, ${of.at.name}`, 'deg')
  graph.name([outputMm], `how far the output of ${mounted.body.name} moves, ${of.at.name}`, 'mm')
  return {
    ...{ of, rollDeg, fallDeg, planDeg, output: moved, outputMm, sizes },
    joints: jointsOf(ground, of),
    gaps: gaps.flatMap(({ gap, places, load }) => {
      const ride = places[0]?.columns
      const left = load?.bodies.includes(mounted.body.id) ? load.cases.get(of.at.key) : undefined
      return ride?.known && left !== undefined ? [{ gap, ride: ride.value.gap, left }] : []
    }),
  }
}

/** Joints of the lines that an end of the powertrain turns. */
function jointsOf(
  { build, graph, ride, turned, mounted }: MountedGround & { readonly turned: readonly TurnedLine[] },
  { shift, turn, at }: SprungCase,
): JointGives[] {
  if (at.key === 'standing') return []
  const bodyOf = bodiesOf(build)
  const move = rigidly(graph, graph.step(SMALL_MOVE, [...shift, ...turn]) as unknown as MoveColumns)
  const carried = (by: 'point' | 'direction', of: BodyId | undefined, place: Known<VectorColumns>) =>
    of !== undefined && goesAlongWith(build, of, mounted.body.id)
      ? mapKnown(place, (columns) => move[by](columns))
      : place
  const given: PlaceColumns = {
    point: (id) => carried('point', bodyOf.point.get(id), ride.point(id)),
    axis: (id) => carried('direction', bodyOf.axis.get(id), ride.axis(id)),
    when: `, ${at.name}`,
  }
  return turned.flatMap(({ line, still }) => {
    const now = lineColumns(graph, line, given)
    if (!now.known) return []
    return now.value.anglesDeg.map((angle, joint) => {
      const byDeg = scalarStep(graph, DIFFERENCE, [angle, still[joint] ?? angle])
      graph.name([byDeg], `${line.name}, joint ${joint + 1}: angle more, ${at.name}`, 'deg')
      return { line: line.id, joint, byDeg }
    })
  })
}

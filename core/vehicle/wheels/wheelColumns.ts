import type { Column, Graph, MoveColumns, VectorColumns } from '../../base/columns/graph'
import { allKnown, known, type Known } from '../../base/known'
import type { AxleBody } from '../../file/parts/body'
import type { AxleMotion } from '../../file/parts/axleMotion'
import type { Build } from '../../file/build/build'
import { arcMove, tableMove, type PointOf, type WheelColumns } from './axleMotion'
import { rigidly, type BodyMove, type LeverColumns } from '../moves/bodyMove'
import { heldBody, unmoved } from '../moves/heldBody'
import type { HeightInputs } from './heightInputs'
import { linkMove } from './linkMotion'
import { oncePerPlace } from './oncePerPlace'

const once = oncePerPlace()

/**
 * An axle with its wheels away from ride height, or with a link of another length.
 *
 * @param place - the place of the wheels in words, to follow a name: ", at droop"
 */
export function wheelColumns(
  graph: Graph,
  build: Build,
  axle: AxleBody,
  levers: LeverColumns,
  wheels: WheelColumns,
  place: string,
  point: PointOf,
  heights: HeightInputs,
): BodyMove {
  return once(wheels, point, () => newWheelColumns(graph, build, axle, levers, wheels, place, point, heights))
}

function newWheelColumns(
  graph: Graph,
  build: Build,
  axle: AxleBody,
  levers: LeverColumns,
  wheels: WheelColumns,
  place: string,
  point: PointOf,
  heights: HeightInputs,
): BodyMove {
  const links = linkLevers(build, axle, levers)
  const amounts = [wheels.leftUp, wheels.rightUp, ...links.values()]
  const moves = { body: axle.id, amounts, tooFar: { what: tooFar(graph, axle, wheels, place), path: '' } }
  const move = wheelMove(graph, axle, wheels, point, heights, links)
  if (!move.known) return { ...moves, basis: move, ...heldBody(graph, amounts) }
  graph.name(move.value, `${axle.name}, with its wheels${place}`)
  return { ...moves, basis: known(null, move.assumptions), ...rigidly(graph, move.value) }
}

const tooFar = (
  graph: Graph,
  { name, motion }: AxleBody,
  { leftUp, rightUp }: WheelColumns,
  place: string,
): string =>
  motion?.kind === 'links'
    ? `${name}: the links cannot reach ${place === '' ? 'that length' : upBy(graph.at(leftUp), graph.at(rightUp))}${place}`
    : motion?.kind === 'arc'
      ? `${name}: the arc of its springs ends before${place.replace(/^, at/, '')}`
      : `${name}: how it moves was not read that far${place}`

/** A table says where the axle goes from its second height on, and how that bends from its third. */
function motionTold(name: string, motion: AxleMotion): Known<AxleMotion> {
  if (motion.kind !== 'table' || motion.rows.length > 2) return known(motion)
  return motion.rows.length < 2
    ? unmoved(`${name}: how it moves was read at ride height alone; it takes three heights`)
    : known(motion, [`${name}: read at two heights only, it is taken to move straight between them`])
}

/** Heights of both wheels as a place is told by them: "−95 mm", "70 / −95 mm". */
function upBy(leftMm: number, rightMm: number): string {
  const one = (mm: number) => `${mm < 0 ? '−' : ''}${Math.abs(Math.round(mm))}`
  return leftMm === rightMm ? `${one(leftMm)} mm` : `${one(leftMm)} / ${one(rightMm)} mm`
}

/** Levers that make links of an axle longer, by the links' ids. */
export const linkLevers = (build: Build, axle: AxleBody, levers: LeverColumns): ReadonlyMap<string, Column> =>
  new Map(
    build.levers.flatMap(({ id, kind, body, holding }) => {
      const column = levers.get(id)
      return kind === 'link-length' && body === axle.id && holding !== undefined && column !== undefined
        ? [[holding, column] as const]
        : []
    }),
  )

function wheelMove(
  graph: Graph,
  axle: AxleBody,
  wheels: WheelColumns,
  point: PointOf,
  heights: HeightInputs,
  links: ReadonlyMap<string, Column>,
): Known<MoveColumns> {
  const { motion } = axle
  const centre =
    axle.centre === undefined
      ? unmoved(`${axle.name}: its centre was not read, so it cannot be moved with its wheels`)
      : point(axle.centre)
  const told = motion
    ? motionTold(axle.name, motion)
    : unmoved(`${axle.name}: how it moves with its wheels was not entered`)
  const isAlike = wheels.leftUp === wheels.rightUp || graph.at(wheels.leftUp) === graph.at(wheels.rightUp)
  const track =
    isAlike || axle.sizes?.trackMm
      ? known(null)
      : unmoved(`${axle.name}: its track was not entered, so one wheel up turns it by nobody knows what`)
  const all = allKnown<[VectorColumns, NonNullable<typeof motion>, null]>([centre, told, track])
  if (!all.known) return all
  const [middle, of] = all.value
  const found =
    of.kind === 'table'
      ? tableMove(graph, axle, of, wheels, middle, point, heights)
      : of.kind === 'arc'
        ? arcMove(graph, axle, of, wheels, middle, point)
        : linkMove(graph, axle, of, wheels, middle, point, (holding) => links.get(holding) ?? null)
  return found.known ? known(found.value, [...all.assumptions, ...found.assumptions]) : found
}

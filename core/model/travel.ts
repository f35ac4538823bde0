import type { PlannedCheck } from '../check/plannedCheck'
import { placeName } from '../check/placeName'
import { worstAlong } from '../check/worstAlong'
import type { Column, Graph } from '../columns/graph'
import { newRun, type Run } from '../columns/run'
import type { LineColumns } from '../line/lineColumns'
import { byGrade, gravestOf, type Grade } from '../limits/grade'
import type { LeverKind } from '../project/lever'
import type { LeverSettings } from '../placement/settings'
import type { AxleBody } from '../project/body'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import { reachOf } from '../project/wheelPlaces'
import type { WheelsOf } from './wheelHeights'

/** Where a sweep goes: both wheels together, or one up while the other goes down. */
export const SWEEP_WAYS = ['parallel', 'crossed'] as const
export type SweepWay = (typeof SWEEP_WAYS)[number]

/** A place of the wheels that is set from outside: the worst one found between the named ones, or one that is looked at. */
export interface SparePlace {
  readonly id: Id
  readonly wheels: WheelsOf
}

/** A line at the place that goes through the travel. */
export interface SweptLine {
  readonly lineId: Id
  readonly plans: readonly PlannedCheck[]
  /** Cruising; null while something is not read. */
  readonly columns: LineColumns | null
}

/** What it takes to look through the whole travel of a build. */
export interface CompiledTravel {
  readonly axles: readonly AxleBody[]
  /** Places between the named ones, for those that turn out to be worse. */
  readonly spares: readonly SparePlace[]
  /** The place that goes through the travel. */
  readonly sweep: SparePlace
  /** The lines that go along, as they stand there. */
  readonly lines: readonly SweptLine[]
  /** Every check as it is made there. */
  readonly plans: readonly PlannedCheck[]
}

/** A place between the named ones where something stands worse than at any of them. */
export interface PlaceBetween {
  readonly id: Id
  readonly name: string
  /** How far up the wheels of each axle stand there, in mm, as the columns of its place. */
  readonly figures: ReadonlyMap<Column, number>
}

/** As many places between are held at once; those that matter most. */
const SPARE_IDS = ['between-1', 'between-2', 'between-3'] as const
export const SWEEP_ID = 'through-travel'

/** Wheels of axles at places that are set from outside. */
export function sparePlaces(
  graph: Graph,
  axles: readonly AxleBody[],
): Pick<CompiledTravel, 'spares' | 'sweep'> {
  const place = (id: Id): SparePlace => ({
    id,
    wheels: new Map(
      axles.map((axle) => {
        const wheels = { leftUp: graph.source(0), rightUp: graph.source(0) }
        graph.name([wheels.leftUp], `${axle.name}: left wheel up from ride height`)
        graph.name([wheels.rightUp], `${axle.name}: right wheel up from ride height`)
        return [axle.id, wheels] as const
      }),
    ),
  })
  return { spares: SPARE_IDS.map(place), sweep: place(SWEEP_ID) }
}

/** One row of a sweep. */
export interface SweepRow {
  readonly way: SweepWay
  /** From -1, full droop or right up, over 0, ride height, to 1, full bump or left up. */
  readonly share: number
}

/** Rows are no further apart than this, in mm of travel. */
const APART_MM = 4
const MOST_ROWS = 50

/** What levers of straps take from the droop of an axle, in mm. */
export const strapCut = (build: Build, axle: AxleBody, settings: LeverSettings): number =>
  build.levers.reduce(
    (sum, { id, kind, body }) => (kind === 'strap' && body === axle.id ? sum + (settings[id] ?? 0) : sum),
    0,
  )

/** How far the wheels of an axle stand up in a row, in mm, with the droop that levers of straps take. */
export function heightsInRow(
  build: Build,
  axle: AxleBody,
  { way, share }: SweepRow,
  settings: LeverSettings,
): readonly [number, number] {
  const reach = reachOf(axle)
  if (!reach) return [0, 0]
  const cut = strapCut(build, axle, settings)
  const cross = way === 'crossed' ? axle.travel?.crossMm : undefined
  const up = (bump: number, part: number) => (cross ?? bump) * part
  const down = (droop: number, part: number) => -Math.max(0, (cross ?? droop) - cut) * part
  const size = Math.abs(share)
  const isUp = share > 0
  const left = isUp ? up(reach.left.bumpMm, size) : down(reach.left.droopMm, size)
  const rightUp = way === 'crossed' ? !isUp : isUp
  return [left, rightUp ? up(reach.right.bumpMm, size) : down(reach.right.droopMm, size)]
}

/** Rows through the whole travel: both wheels together, then crossed where the axle can. */
export function sweepRows(axles: readonly AxleBody[]): SweepRow[] {
  const reaches = axles.flatMap((axle) => {
    const reach = reachOf(axle)
    return reach ? [reach.left, reach.right] : []
  })
  const steps = (reach: number) => Math.max(4, Math.min(MOST_ROWS, Math.ceil(reach / APART_MM)))
  const down = steps(Math.max(0, ...reaches.map(({ droopMm }) => droopMm)))
  const up = steps(Math.max(0, ...reaches.map(({ bumpMm }) => bumpMm)))
  const isCrossing = axles.some(({ sizes }) => sizes?.trackMm !== undefined)
  const along = (way: SweepWay, below: number, above: number): SweepRow[] => [
    ...Array.from({ length: below }, (_, i) => ({ way, share: (i - below) / below })),
    { way, share: 0 },
    ...Array.from({ length: above }, (_, i) => ({ way, share: (i + 1) / above })),
  ]
  const most = Math.max(down, up)
  return [...along('parallel', down, up), ...(isCrossing ? along('crossed', most, most) : [])]
}

/** Levers that let the wheels stand elsewhere at ride height. */
const RIDE_LEVERS: readonly LeverKind[] = ['lift', 'shackle']

const isRideMoved = ({ levers }: Build, settings: LeverSettings): boolean =>
  levers.some(({ id, kind }) => RIDE_LEVERS.includes(kind) && (settings[id] ?? 0) !== 0)

interface SweepRun {
  readonly run: Run
  readonly rows: readonly SweepRow[]
  readonly wanted: readonly Column[]
}

const runs = new WeakMap<CompiledTravel, SweepRun>()

/** Every check at every row of the travel, as the levers stand. */
export interface Sweep {
  readonly rows: readonly SweepRow[]
  /** How far the left wheel of the first axle is up in each row, in mm; the others go along in their own shares. */
  readonly atMm: readonly number[]
  /** Ride height as the line is judged there; null where levers have taken it to another place. */
  readonly rideMm: number | null
  readonly cells: (column: Column) => Float64Array
}

/** The whole travel worked as columns of one run. */
export function sweepAt(
  graph: Graph,
  build: Build,
  levers: ReadonlyMap<Id, Column>,
  travel: CompiledTravel,
  settings: LeverSettings,
): Sweep {
  const { run, rows, wanted } = runOf(graph, travel)
  for (const [id, column] of levers) run.set(column, settings[id] ?? 0)
  for (const axle of travel.axles) {
    const wheels = travel.sweep.wheels.get(axle.id)
    if (!wheels) continue
    const [left, right] = [run.fill(wheels.leftUp), run.fill(wheels.rightUp)]
    rows.forEach((row, i) => {
      const [leftUp, rightUp] = heightsInRow(build, axle, row, settings)
      left[i] = leftUp
      right[i] = rightUp
    })
  }
  run.bring(wanted, rows.length)
  const [first] = travel.axles
  const atMm = rows.map((row) => (first ? heightsInRow(build, first, row, settings)[0] : NaN))
  return { rows, atMm, rideMm: isRideMoved(build, settings) ? null : 0, cells: run.cells }
}

function runOf(graph: Graph, travel: CompiledTravel): SweepRun {
  const there = runs.get(travel)
  if (there) return there
  const rows = sweepRows(travel.axles)
  const wanted = [
    ...travel.plans.flatMap(({ value }) =>
      value === null || typeof value === 'number' ? [] : [value.column],
    ),
    ...travel.lines.flatMap(({ columns }) =>
      columns ? [...columns.centres.flat(), ...columns.anglesDeg, ...columns.axes.flat()] : [],
    ),
  ]
  const made = { run: newRun(graph, rows.length), rows, wanted }
  runs.set(travel, made)
  return made
}

/**
 * Where between the named places something stands worse than at any of them: looked for row by row, then by the parabola through the
 * three rows about the worst.
 *
 * @returns those that matter most, as many as there are spare places
 * @see docs/methods/travel.md
 */
export function placesBetween(
  graph: Graph,
  build: Build,
  levers: ReadonlyMap<Id, Column>,
  travel: CompiledTravel,
  settings: LeverSettings,
): PlaceBetween[] {
  const sweep = sweepAt(graph, build, levers, travel, settings)
  const found = travel.plans.flatMap((plan) => {
    const worst = worstOf(plan, sweep)
    return worst?.isBetween ? [worst] : []
  })
  const [first] = travel.axles
  if (!first) return []
  const kept: SweepRow[] = []
  for (const { row } of found.toSorted(byGrade)) {
    if (kept.length === travel.spares.length) break
    const isNear = kept.some((one) => one.way === row.way && isSamePlace(build, first, one, row, settings))
    if (!isNear) kept.push(row)
  }
  return kept.flatMap((row, i): PlaceBetween[] => {
    const spare = travel.spares[i]
    if (!spare) return []
    const figures = new Map<Column, number>()
    for (const axle of travel.axles) {
      const wheels = spare.wheels.get(axle.id)
      const [left, right] = heightsInRow(build, axle, row, settings)
      if (wheels) figures.set(wheels.leftUp, left).set(wheels.rightUp, right)
    }
    const [left, right] = heightsInRow(build, first, row, settings)
    return [{ id: spare.id, name: placeName(left, right, build.units), figures }]
  })
}

/** Places nearer than this are one, in mm. */
const SAME_MM = 0.5

function isSamePlace(
  build: Build,
  axle: AxleBody,
  one: SweepRow,
  other: SweepRow,
  settings: LeverSettings,
): boolean {
  const [a, b] = [heightsInRow(build, axle, one, settings), heightsInRow(build, axle, other, settings)]
  return Math.abs(a[0] - b[0]) < SAME_MM && Math.abs(a[1] - b[1]) < SAME_MM
}

/** Where a check stands worst of a sweep, over both ways. */
export interface SweptWorst extends Grade {
  readonly row: SweepRow
  readonly value: number
  /** Of the left wheel of the first axle, from ride height. */
  readonly atMm: number
  /** Not at an end of a way, nor at ride height. */
  readonly isBetween: boolean
}

/** What stands over a place between two rising ones, by the straight line. */
function between(x: readonly number[], y: readonly number[], at: number): number {
  const i = Math.max(
    1,
    x.findIndex((one) => one >= at),
  )
  const [x0 = NaN, x1 = NaN, y0 = NaN, y1 = NaN] = [x[i - 1], x[i], y[i - 1], y[i]]
  return y0 + ((at - x0) / (x1 - x0)) * (y1 - y0)
}

/** Where a check stands worst as it was swept; null where nothing limits it or nothing is known. */
export function worstOf(
  { window, value }: PlannedCheck,
  { rows, atMm, rideMm, cells }: Sweep,
): SweptWorst | null {
  if (value === null || typeof value === 'number') return null
  const figures = cells(value.column)
  const ways = SWEEP_WAYS.flatMap((way): SweptWorst[] => {
    const from = rows.findIndex((row) => row.way === way)
    const to = rows.findLastIndex((row) => row.way === way)
    if (from < 0) return []
    const along = atMm.slice(from, to + 1)
    const worst = worstAlong({ atMm: along, figures: figures.subarray(from, to + 1), window, rideMm })
    const shares = rows.slice(from, to + 1).map(({ share }) => share)
    return worst ? [{ ...worst, row: { way, share: between(along, shares, worst.atMm) } }] : []
  })
  return gravestOf(ways)
}

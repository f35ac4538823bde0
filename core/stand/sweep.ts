import type { PlannedCheck } from '../check/plannedCheck'
import { placeName } from '../check/placeName'
import { worstAlong } from '../check/worstAlong'
import type { Column, Graph } from '../base/columns/graph'
import type { Kind } from '../base/columns/kept'
import { newRun, type Run } from '../base/columns/run'
import { gravestOf, type Grade } from '../file/limits/grade'
import { leverFacts } from '../file/build/lever'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import { goesCrossed, rackOf, reachOf } from '../file/build/wheelPlaces'
import type { CompiledTravel, SparePlace } from './compiledTravel'

/** Where a sweep goes: both wheels together, one up while the other goes down, together with the rack at either end. */
export const SWEEP_WAYS = ['parallel', 'crossed', 'left-lock', 'right-lock'] as const
export type SweepWay = (typeof SWEEP_WAYS)[number]

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
export const strapCut = (build: Build, axle: WheeledBody, settings: LeverSettings): number =>
  build.levers.reduce(
    (sum, { id, kind, body }) => (kind === 'strap' && body === axle.id ? sum + (settings[id] ?? 0) : sum),
    0,
  )

/** How far the wheels of an axle stand up in a row, in mm, with the droop that levers of straps take. */
export function heightsInRow(
  build: Build,
  axle: WheeledBody,
  { way, share }: SweepRow,
  settings: LeverSettings,
): readonly [number, number] {
  const reach = reachOf(axle)
  if (!reach) return [0, 0]
  const cut = strapCut(build, axle, settings)
  const isCrossed = way === 'crossed' && goesCrossed(axle)
  const cross = isCrossed && axle.kind === 'axle' ? axle.travel?.crossMm : undefined
  const up = (bump: number, part: number) => (cross ?? bump) * part
  const down = (droop: number, part: number) => -Math.max(0, (cross ?? droop) - cut) * part
  const size = Math.abs(share)
  const isUp = share > 0
  const left = isUp ? up(reach.left.bumpMm, size) : down(reach.left.droopMm, size)
  const rightUp = isCrossed ? !isUp : isUp
  return [left, rightUp ? up(reach.right.bumpMm, size) : down(reach.right.droopMm, size)]
}

/** Rows through the whole travel: both wheels together, then crossed where the axle can. */
export function sweepRows(axles: readonly WheeledBody[]): SweepRow[] {
  const reaches = axles.flatMap((axle) => {
    const reach = reachOf(axle)
    return reach ? [reach.left, reach.right] : []
  })
  const steps = (reach: number) => Math.max(4, Math.min(MOST_ROWS, Math.ceil(reach / APART_MM)))
  const down = steps(Math.max(0, ...reaches.map(({ droopMm }) => droopMm)))
  const up = steps(Math.max(0, ...reaches.map(({ bumpMm }) => bumpMm)))
  const isCrossing = axles.some(goesCrossed)
  const isSteered = axles.some((axle) => rackOf(axle) > 0)
  const along = (way: SweepWay, below: number, above: number): SweepRow[] => [
    ...Array.from({ length: below }, (_, i) => ({ way, share: (i - below) / below })),
    { way, share: 0 },
    ...Array.from({ length: above }, (_, i) => ({ way, share: (i + 1) / above })),
  ]
  const most = Math.max(down, up)
  return [
    ...along('parallel', down, up),
    ...(isCrossing ? along('crossed', most, most) : []),
    ...(isSteered ? [...along('left-lock', down, up), ...along('right-lock', down, up)] : []),
  ]
}

/** How far the rack of a hub has gone to the left in a row, in mm. */
export const rackInRow = (body: WheeledBody, { way }: SweepRow): number =>
  way === 'left-lock' ? rackOf(body) : way === 'right-lock' ? -rackOf(body) : 0

const isRideMoved = ({ levers }: Build, settings: LeverSettings): boolean =>
  levers.some(({ id, kind }) => leverFacts(kind).movesRide === true && (settings[id] ?? 0) !== 0)

/** How far both wheels of an axle are up in each row, in mm, for what straps take from its droop. */
interface Heights {
  readonly cutMm: number
  readonly upMm: readonly (readonly [number, number])[]
}

interface SweepRun {
  readonly run: Run
  readonly rows: readonly SweepRow[]
  readonly wanted: readonly Column[]
  /** By axle, as they were last: most levers move no wheel. */
  readonly heights: Map<Id, Heights>
}

const SWEPT: Kind<SweepRun> = { name: 'the whole travel' }

/** Every check at every row of the travel, as the levers stand. */
export interface Sweep {
  readonly rows: readonly SweepRow[]
  /** How far the left wheel of the first axle is up in each row, in mm; the others go along in their own shares. */
  readonly atMm: readonly number[]
  /** Ride height as the line is judged there; null where levers have taken it to another place. */
  readonly rideMm: number | null
  readonly cells: (column: Column) => Float64Array
  /** The rows by their ways. */
  readonly ways: readonly WayRows[]
}

/** The whole travel worked as columns of one run. */
export function sweepAt(
  graph: Graph,
  build: Build,
  levers: ReadonlyMap<Id, Column>,
  travel: CompiledTravel,
  settings: LeverSettings,
): Sweep {
  const swept = runOf(graph, travel)
  const { run, rows, wanted } = swept
  for (const [id, column] of levers) run.set(column, settings[id] ?? 0)
  for (const axle of travel.axles) {
    const wheels = travel.sweep.wheels.get(axle.id)
    if (!wheels) continue
    const heights = heightsOf(swept, build, axle, settings)
    filled(run, wheels.leftUp, (i) => heights[i]?.[0] ?? NaN, rows.length)
    filled(run, wheels.rightUp, (i) => heights[i]?.[1] ?? NaN, rows.length)
    if (wheels.rack !== undefined)
      filled(run, wheels.rack, (i) => rackInRow(axle, rows[i] ?? { way: 'parallel', share: 0 }), rows.length)
  }
  run.bring(wanted, rows.length)
  const [first] = travel.axles
  const atMm = first ? heightsOf(swept, build, first, settings).map(([left]) => left) : rows.map(() => NaN)
  return {
    rows,
    atMm,
    rideMm: isRideMoved(build, settings) ? null : 0,
    cells: run.cells,
    ways: waysOf(rows, atMm),
  }
}

function heightsOf(
  { rows, heights }: SweepRun,
  build: Build,
  axle: WheeledBody,
  settings: LeverSettings,
): Heights['upMm'] {
  const cutMm = strapCut(build, axle, settings)
  const there = heights.get(axle.id)
  if (there?.cutMm === cutMm) return there.upMm
  const upMm = rows.map((row) => heightsInRow(build, axle, row, settings))
  heights.set(axle.id, { cutMm, upMm })
  return upMm
}

/** Fills a column where it is not filled so already: what hangs on it is then not worked again. */
function filled(run: Run, column: Column, of: (row: number) => number, count: number): void {
  const there = run.cells(column)
  let isSame = true
  for (let i = 0; i < count; i++) if (there[i] !== of(i)) isSame = false
  if (isSame) return
  const cells = run.fill(column)
  for (let i = 0; i < count; i++) cells[i] = of(i)
}

const runOf = (graph: Graph, travel: CompiledTravel): SweepRun =>
  graph.kept.the(SWEPT, () => newSweepRun(graph, travel))

function newSweepRun(graph: Graph, travel: CompiledTravel): SweepRun {
  const rows = sweepRows(travel.axles)
  const wanted = [
    ...travel.plans.flatMap(({ value }) =>
      value === null || typeof value === 'number' ? [] : [value.column],
    ),
    ...travel.wants,
  ]
  return { run: newRun(graph, rows.length), rows, wanted, heights: new Map<Id, Heights>() }
}

const RACK_WORDS = { 'left-lock': ', rack to the left', 'right-lock': ', rack to the right' } as const

/** A row in words: "38.2 mm down, rack to the left". */
export function rowName(build: Build, body: WheeledBody, row: SweepRow, settings: LeverSettings): string {
  const [left, right] = heightsInRow(build, body, row, settings)
  const steered = row.way === 'left-lock' || row.way === 'right-lock' ? RACK_WORDS[row.way] : ''
  return `${placeName(left, right, build.units)}${steered}`
}

/** How the wheels of a place are to be set for a row. */
export function wheelsInRow(
  build: Build,
  bodies: readonly WheeledBody[],
  { wheels: of }: SparePlace,
  row: SweepRow,
  settings: LeverSettings,
): Map<Column, number> {
  const figures = new Map<Column, number>()
  for (const body of bodies) {
    const wheels = of.get(body.id)
    if (!wheels) continue
    const [left, right] = heightsInRow(build, body, row, settings)
    figures.set(wheels.leftUp, left).set(wheels.rightUp, right)
    if (wheels.rack !== undefined) figures.set(wheels.rack, rackInRow(body, row))
  }
  return figures
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

/** What stands over a place between two rising ones, by the straight line; of places that fall together, at the first. */
export function valueBetween(x: readonly number[], y: readonly number[], at: number): number {
  const i = Math.max(
    1,
    x.findIndex((one) => one >= at),
  )
  const [x0 = NaN, x1 = NaN, y0 = NaN, y1 = NaN] = [x[i - 1], x[i], y[i - 1], y[i]]
  if (x1 === x0) return y0
  if (at === x1) return y1
  return y0 + ((at - x0) / (x1 - x0)) * (y1 - y0)
}

/** The rows of one way of a sweep. */
export interface WayRows {
  readonly way: SweepWay
  readonly from: number
  readonly along: readonly number[]
  readonly shares: readonly number[]
}

/** The ways of a sweep. */
export const waysOf = (rows: readonly SweepRow[], atMm: readonly number[]): WayRows[] =>
  SWEEP_WAYS.flatMap((way): WayRows[] => {
    const from = rows.findIndex((row) => row.way === way)
    if (from < 0) return []
    const to = rows.findLastIndex((row) => row.way === way) + 1
    return [
      { way, from, along: atMm.slice(from, to), shares: rows.slice(from, to).map(({ share }) => share) },
    ]
  })

/** Where a check stands worst as it was swept; null where nothing limits it or nothing is known. */
export function sweptWorst({ head, window, value }: PlannedCheck, sweep: Sweep): SweptWorst | null {
  const { rideMm, cells } = sweep
  if (value === null || typeof value === 'number') return null
  const figures = cells(value.column)
  const ways = sweep.ways.flatMap(({ way, from, along, shares }): SweptWorst[] => {
    const part = figures.subarray(from, from + along.length)
    const worst = worstAlong({
      atMm: along,
      figures: part,
      window,
      quantity: head.quantity,
      rideMm,
    })
    return worst ? [{ ...worst, row: { way, share: valueBetween(along, shares, worst.atMm) } }] : []
  })
  return gravestOf(ways)
}

import { DIFFERENCE, HALFWAY } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../columns/graph'
import { peakAlong } from '../check/peakAlong'
import { plungeWindow, USUAL_SPARE_MM, type PlungeWindow } from '../halfshaft/plungeWindow'
import { unknown, type Known } from '../known'
import type { LineColumns } from '../line/lineColumns'
import type { LeverSettings } from '../placement/settings'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import type { Line } from '../project/lineSpec'
import type { CompiledHalfshaft, CompiledTravel, SparePlace } from './compiledTravel'
import { between, heightsInRow, rackInRow, rowName, wheelsInRow, type Sweep, type SweepRow } from './sweep'

/** Where a shaft is longest or shortest. */
export interface LengthExtreme {
  readonly lengthMm: number
  /** In words: "38.2 mm down, rack to the left". */
  readonly place: string
  /** Of the wheel, from ride height. */
  readonly upMm: number
  readonly rackMm: number
}

/** A plunging shaft through its whole travel. */
export interface HalfshaftEvaluation {
  readonly lineId: Id
  readonly shaft: number
  readonly rideMm: number
  readonly longest: LengthExtreme
  readonly shortest: LengthExtreme
  /** Either way from the middle of the joint, and what is kept clear of its stops; unknown while it was not entered. */
  readonly room: Known<{ readonly reachMm: number; readonly spareMm: number }>
  /** Both schools of its length. */
  readonly lengths: PlungeWindow
}

/** Ids of the places at which a shaft is longest and shortest. */
export const extremeIds = (lineId: Id, shaft: number) =>
  [`longest-${lineId}-${shaft}`, `shortest-${lineId}-${shaft}`] as const

/**
 * The shafts of a line that have a joint that plunges.
 *
 * @param at - the line at ride height, at the place that goes through the travel, and at a place of a shaft
 */
export function compileHalfshafts(
  graph: Graph,
  { id: lineId, name, shafts }: Line,
  at: {
    readonly ride: LineColumns
    readonly swept: LineColumns
    readonly place: (id: Id) => { readonly place: SparePlace; readonly columns: LineColumns } | null
  },
): CompiledHalfshaft[] {
  return shafts.flatMap(({ plunge }, shaft): CompiledHalfshaft[] => {
    const [longest, shortest] = extremeIds(lineId, shaft).map(at.place)
    const span = (columns: LineColumns | undefined): Column | undefined => columns?.spans[shaft]
    const [ride, swept] = [span(at.ride), span(at.swept)]
    const [most, least] = [span(longest?.columns), span(shortest?.columns)]
    if (!plunge || !longest || !shortest) return []
    if (ride === undefined || swept === undefined || most === undefined || least === undefined) return []
    const middleMm = scalarStep(graph, HALFWAY, [most, least])
    const strokeMm = scalarStep(graph, DIFFERENCE, [most, least])
    graph.name([most], `${name}: where shaft ${shaft + 1} is longest`)
    graph.name([least], `${name}: where shaft ${shaft + 1} is shortest`)
    graph.name([middleMm], `${name}: middle of the lengths that shaft ${shaft + 1} takes`)
    return [
      {
        lineId,
        shaft,
        plunge,
        swept,
        longest: longest.place,
        shortest: shortest.place,
        figures: { rideMm: ride, longestMm: most, shortestMm: least, middleMm, strokeMm },
      },
    ]
  })
}

/** A shaft through the travel as its levers stand, and how its two places are to be set for that. */
interface FoundHalfshaft {
  readonly found: HalfshaftEvaluation
  readonly figures: ReadonlyMap<Column, number>
}

/**
 * Every plunging shaft through the whole travel and steering, as the levers stand; none that is not known all the way.
 *
 * @see docs/methods/halfshafts.md
 */
export function halfshaftsAlong(
  build: Build,
  travel: CompiledTravel,
  sweep: Sweep,
  settings: LeverSettings,
): FoundHalfshaft[] {
  return travel.halfshafts.flatMap((one): FoundHalfshaft[] => {
    const lengths = sweep.cells(one.swept)
    const ride = sweep.rows.findIndex(({ way, share }) => way === 'parallel' && share === 0)
    const [longest, shortest] = ([1, -1] as const).map((sign) =>
      extremeOf(build, travel, one, sweep, sign, settings),
    )
    const rideMm = lengths[ride] ?? NaN
    if (!longest || !shortest || Number.isNaN(rideMm)) return []
    const { reachMm, offsetMm } = one.plunge
    const spareMm = spareOf(build)
    const range = {
      rideMm,
      longest: extremeValue(longest.extreme),
      shortest: extremeValue(shortest.extreme),
    }
    return [
      {
        found: {
          lineId: one.lineId,
          shaft: one.shaft,
          rideMm,
          longest: longest.extreme,
          shortest: shortest.extreme,
          room:
            reachMm === undefined
              ? unknown('how far its inner joint plunges')
              : { known: true, value: { reachMm, spareMm }, assumptions: [] },
          lengths: plungeWindow(range, { plungeMm: reachMm ?? NaN, spareMm }, offsetMm),
        },
        figures: new Map([
          ...wheelsInRow(build, travel.axles, one.longest, longest.row, settings),
          ...wheelsInRow(build, travel.axles, one.shortest, shortest.row, settings),
        ]),
      },
    ]
  })
}

const extremeValue = ({ lengthMm, upMm, rackMm }: LengthExtreme) => ({ value: lengthMm, atMm: upMm, rackMm })

/** What is kept clear of the stops of a joint that plunges: where the limits of the build fail. */
const spareOf = ({ limits }: Build): number =>
  limits.entries.find(({ quantity }) => quantity === 'plunge-left')?.failBelow ?? USUAL_SPARE_MM

function extremeOf(
  build: Build,
  { axles }: CompiledTravel,
  { swept, longest }: CompiledHalfshaft,
  { rows, cells }: Sweep,
  sign: 1 | -1,
  settings: LeverSettings,
): { readonly extreme: LengthExtreme; readonly row: SweepRow } | null {
  const own = axles.find(({ id }) => longest.wheels.has(id))
  if (!own) return null
  const lengths = cells(swept)
  const ways = [...new Set(rows.map(({ way }) => way))]
  const found = ways.flatMap((way) => {
    const from = rows.findIndex((row) => row.way === way)
    const along = rows.filter((row) => row.way === way)
    const figures = Float64Array.from(along, (_, i) => sign * (lengths[from + i] ?? NaN))
    const heights = along.map((row) => heightsInRow(build, own, row, settings)[0])
    const shares = along.map(({ share }) => share)
    const peak = peakAlong(heights, figures)
    return peak ? [{ way, share: between(heights, shares, peak.atMm), value: peak.value }] : []
  })
  const most = found.toSorted((a, b) => b.value - a.value)[0]
  if (!most) return null
  const row = { way: most.way, share: most.share }
  const [upMm] = heightsInRow(build, own, row, settings)
  return {
    row,
    extreme: {
      lengthMm: sign * most.value,
      upMm,
      rackMm: rackInRow(own, row),
      place: rowName(build, own, row, settings),
    },
  }
}

import { DIFFERENCE, HALFWAY } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type FigureOf } from '../base/columns/graph'
import { plungeWindow, USUAL_SPARE_MM, type PlungeWindow } from '../vehicle/halfshaft/plungeWindow'
import { known, unknown, type Known } from '../base/known'
import type { LineColumns } from '../line/lineColumns'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { Line } from '../file/parts/lineSpec'
import type { WheeledBody } from '../file/parts/body'
import type { CompiledHalfshaft, SparePlace } from '../stand/compiledTravel'
import { heightsInRow, rackInRow, rowName, wheelsInRow, type SweepRow } from '../stand/sweep'
import { sweepPeak, type SweepOf } from '../stand/sweepPeak'
import type { SetPlace } from '../stand/travel'

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
  /** Largest working angle of each joint of its line. */
  readonly steepest: readonly { readonly deg: number; readonly place: string }[]
  /** Either way from the middle of the joint, and what is kept clear of its stops; unknown while it was not entered. */
  readonly room: Known<{ readonly reachMm: number; readonly spareMm: number }>
  /** Both schools of its length. */
  readonly lengths: PlungeWindow
}

/** How far out of its middle the joint of a shaft stands that is so long: at ride height, at the most, and at the least; below nought it is pushed in. */
export const jointWay = (
  { rideMm, longest, shortest }: Pick<HalfshaftEvaluation, 'rideMm' | 'longest' | 'shortest'>,
  lengthMm: number,
) => ({
  rideMm: rideMm - lengthMm,
  mostMm: longest.lengthMm - lengthMm,
  leastMm: shortest.lengthMm - lengthMm,
})

/** A length by one school, and whether it keeps clear of both stops; null while the plunge of the joint is not told. */
export interface SchoolLength {
  readonly school: 'middle' | 'ride'
  readonly lengthMm: number
  readonly isClear: boolean | null
}

/** Both schools of a shaft's length, and how much shorter the middle of the range is. */
export function schoolLengths({ lengths, room }: Pick<HalfshaftEvaluation, 'lengths' | 'room'>): {
  readonly schools: readonly SchoolLength[]
  readonly shorterMm: number
} {
  const { middleMm, window, fromRide } = lengths
  const clear = (is: boolean) => (room.known ? is : null)
  return {
    schools: [
      { school: 'middle', lengthMm: middleMm, isClear: clear(window !== null) },
      { school: 'ride', lengthMm: fromRide.lengthMm, isClear: clear(fromRide.isClear) },
    ],
    shorterMm: fromRide.lengthMm - middleMm,
  }
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
        anglesDeg: at.swept.anglesDeg,
        longest: longest.place,
        shortest: shortest.place,
        figures: { rideMm: ride, longestMm: most, shortestMm: least, middleMm, strokeMm },
      },
    ]
  })
}

/** Places of the wheels that a shaft is looked at in as its levers stand, and what it comes to there. */
export interface HalfshaftPlaces extends SetPlace {
  /** Null while it cannot be told how long it is at ride height. */
  readonly evaluated: (figure: FigureOf) => HalfshaftEvaluation | null
}

/**
 * Every plunging shaft through the whole travel and steering, as the levers stand; none that is not known all the way.
 *
 * @see docs/methods/halfshafts.md
 */
export function halfshaftsAlong(
  shafts: readonly CompiledHalfshaft[],
  axles: readonly WheeledBody[],
  of: Omit<SweepOf, 'body'>,
): HalfshaftPlaces[] {
  const { build, sweep, settings } = of
  return shafts.flatMap((one): HalfshaftPlaces[] => {
    const body = axles.find(({ id }) => one.longest.wheels.has(id))
    if (!body || sweep.cells(one.swept).subarray(0, sweep.rows.length).some(Number.isNaN)) return []
    const peak = (column: Column, sign: 1 | -1 = 1) => sweepPeak({ ...of, body }, column, sign)
    const [longest, shortest] = [peak(one.swept), peak(one.swept, -1)]
    if (!longest || !shortest) return []
    const extreme = (lengthMm: number, row: SweepRow): LengthExtreme => ({
      lengthMm,
      upMm: heightsInRow(build, body, row, settings)[0],
      rackMm: rackInRow(body, row),
      place: rowName(build, body, row, settings),
    })
    const evaluated = (figure: FigureOf): HalfshaftEvaluation | null => {
      const { rideMm, longestMm, shortestMm } = one.figures
      const range = {
        rideMm: figure(rideMm),
        longest: extreme(figure(longestMm), longest.row),
        shortest: extreme(figure(shortestMm), shortest.row),
      }
      if (Number.isNaN(range.rideMm)) return null
      return {
        lineId: one.lineId,
        shaft: one.shaft,
        ...range,
        steepest: one.anglesDeg.flatMap((column) => {
          const found = peak(column)
          return found ? [{ deg: found.value, place: rowName(build, body, found.row, settings) }] : []
        }),
        ...roomOf(build, one.plunge, range),
      }
    }
    const figures = new Map([
      ...wheelsInRow(build, axles, one.longest, longest.row, settings),
      ...wheelsInRow(build, axles, one.shortest, shortest.row, settings),
    ])
    return [{ evaluated, figures }]
  })
}

/** How far the joint of a shaft may go, and the lengths that both schools take. */
function roomOf(
  build: Build,
  { reachMm, offsetMm }: CompiledHalfshaft['plunge'],
  range: Pick<HalfshaftEvaluation, 'rideMm' | 'longest' | 'shortest'>,
): Pick<HalfshaftEvaluation, 'room' | 'lengths'> {
  const spareMm = spareOf(build)
  const { rideMm, longest, shortest } = range
  const lengths = { rideMm, longest: { value: longest.lengthMm }, shortest: { value: shortest.lengthMm } }
  return {
    room: reachMm === undefined ? unknown('how far its inner joint plunges') : known({ reachMm, spareMm }),
    lengths: plungeWindow(lengths, { plungeMm: reachMm ?? NaN, spareMm }, offsetMm),
  }
}

/** What is kept clear of the stops of a joint that plunges: where the limits of the build fail. */
const spareOf = ({ limits }: Build): number =>
  limits.entries.find(({ quantity }) => quantity === 'plunge-left')?.failBelow ?? USUAL_SPARE_MM

import { statesAt, windingBody } from '../check/lineStates'
import { lineColumns } from '../line/lineColumns'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import type { WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { Line } from '../file/parts/lineSpec'
import type { CompiledLine } from './compiledLine'
import { HALFSHAFT_FIGURES, type CompiledHalfshaft, type HalfshaftFigure } from '../stand/compiledTravel'
import { compileHalfshafts, extremeIds, halfshaftsAlong, type HalfshaftEvaluation } from './halfshafts'
import { LINES } from './lineSubject'
import { compiledThings, type Ground, type Subject, type SubjectFigure } from './subject'
import { sparePlace } from '../stand/travel'

/** The shafts of a build with a joint that plunges, on lines that go along with wheels. Their checks are those of their lines. */
export const HALFSHAFTS: Subject<CompiledHalfshaft, HalfshaftEvaluation> = {
  key: 'halfshafts',
  spares: (build, graph, axles) =>
    build.lines.flatMap((line) => {
      const ends = wheeledEnds(build, axles, line)
      if (ends.length === 0) return []
      return line.shafts.flatMap(({ plunge }, shaft) =>
        plunge ? extremeIds(line.id, shaft).map((id) => sparePlace(graph, id, ends)) : [],
      )
    }),
  compile: (ground, before) => {
    const things = compiledThings(before, LINES).flatMap((line) => plunging(ground, line))
    return {
      key: 'halfshafts',
      things,
      plans: [],
      mustKeep: [],
      wants: things.flatMap(({ figures }) => Object.values(figures)),
      swept: { plans: [], wants: [] },
      spares: things.flatMap(({ longest, shortest }) => [longest, shortest]),
      figures: things.flatMap(figuresOfShaft),
      look: (swept) => {
        const along = swept && ground.travel ? halfshaftsAlong(things, ground.travel.axles, swept) : []
        return {
          set: along,
          found: ({ figure }) => along.flatMap(({ evaluated }) => evaluated(figure) ?? []),
        }
      },
    }
  },
  checksOf: () => [],
  rejudged: (found) => found,
}

/** The axles and hubs that a line runs to. */
const wheeledEnds = (
  build: Build,
  axles: readonly WheeledBody[],
  { driving, driven }: Line,
): WheeledBody[] => {
  const ends = build.axes.flatMap(({ id, body }) => (id === driving || id === driven ? [body] : []))
  return axles.filter(({ id }) => ends.some((end) => goesAlongWith(build, end, id)))
}

/** The shafts of a line that plunge, with the line at the places where they are longest and shortest. */
function plunging(
  { build, graph, places, travel }: Ground,
  { line, states, swept }: CompiledLine,
): CompiledHalfshaft[] {
  const ride = states[0]?.columns
  if (!ride?.known || !swept?.columns) return []
  return compileHalfshafts(graph, line, {
    ride: ride.value,
    swept: swept.columns,
    place: (id: Id) => {
      const place = travel?.spare(id)
      const [state] = statesAt(build, line, { id, name: '' })
      if (!place || !state) return null
      const columns = lineColumns(graph, line, places.placed(state, windingBody(build, line)))
      return columns.known ? { place, columns: columns.value } : null
    },
  })
}

/** Id of a length of a plunging shaft. */
export const halfshaftFigureId = (
  { lineId, shaft }: { readonly lineId: Id; readonly shaft: number },
  name: HalfshaftFigure,
): string => `halfshaft/${lineId}/${shaft}/${name}`

/** Where a length of a plunging shaft stands under it in the published result. */
const HALFSHAFT_PLACES: Readonly<Record<HalfshaftFigure, string>> = {
  rideMm: 'rideMm',
  longestMm: 'longest.lengthMm',
  shortestMm: 'shortest.lengthMm',
  middleMm: 'middleMm',
  strokeMm: 'strokeMm',
}

const figuresOfShaft = (one: CompiledHalfshaft, index: number): SubjectFigure<HalfshaftEvaluation>[] =>
  HALFSHAFT_FIGURES.map((name) => ({
    id: halfshaftFigureId(one, name),
    place: `halfshafts[${index}].${HALFSHAFT_PLACES[name]}`,
    column: one.figures[name],
    stands: (found) => found.some(({ lineId, shaft }) => lineId === one.lineId && shaft === one.shaft),
  }))

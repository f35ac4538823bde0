import { isSameState, stateKey, type StateOfVehicle } from '../check/check'
import type { Kind } from '../columns/kept'
import type { FigureColumn } from '../line/figureColumns'
import type { Id } from '../project/id'
import { chainFigures } from './chainFigures'
import type { CompiledBuild } from './compile'
import { HALFSHAFT_FIGURES, type HalfshaftFigure } from './compiledTravel'
import type { Evaluation } from './evaluateBuild'
import { statePlace } from './statePlace'

/** A figure that is shown and published: its one column, under its one name. */
export interface NamedFigure extends FigureColumn {
  /** Under which its ± is kept. */
  readonly id: string
  /** Its place in the published result, such as `lines[0].ride.joints[1].angleDeg`; null for what has none there. */
  readonly place: string | null
  /** Whether it has an answer as the build stands. */
  readonly stands: (found: Evaluation) => boolean
}

/** Id of a figure of a line, by its place under the state in the published result. */
export const lineFigureId = (lineId: Id, state: StateOfVehicle, name: string): string =>
  `line/${lineId}/${stateKey(state)}/${name}`
/** Id of a length of a plunging shaft. */
export const halfshaftFigureId = (
  { lineId, shaft }: { readonly lineId: Id; readonly shaft: number },
  name: HalfshaftFigure,
): string => `halfshaft/${lineId}/${shaft}/${name}`
/** Id of a figure of a chain, by its place under the chain in the published result. */
export const chainFigureId = (chainId: Id, name: string): string => `chain/${chainId}/${name}`

/** Where a length of a plunging shaft stands under it in the published result. */
const HALFSHAFT_PLACES: Readonly<Record<HalfshaftFigure, string>> = {
  rideMm: 'rideMm',
  longestMm: 'longest.lengthMm',
  shortestMm: 'shortest.lengthMm',
  middleMm: 'middleMm',
  strokeMm: 'strokeMm',
}

const NAMED: Kind<readonly NamedFigure[]> = { name: 'the figures that have a name' }

/** Every figure of a build that has a name; checks have their own. Listed once for a build: each proof of a cure asks for them. */
export const namedFigures = (compiled: CompiledBuild): readonly NamedFigure[] =>
  compiled.graph.kept.the(NAMED, () => [
    ...ofPlaces(compiled),
    ...ofLines(compiled),
    ...ofChains(compiled),
    ...ofHalfshafts(compiled),
  ])

/** Of points and axes, cruising. */
const ofPlaces = ({ build, placeFigures }: CompiledBuild): NamedFigure[] =>
  placeFigures.map(({ of, id, name, column }) => {
    const list = of === 'point' ? build.points : build.axes
    const index = list.findIndex((one) => one.id === id)
    return {
      id: `${of}/${id}/${name}`,
      place: `${of === 'point' ? 'points' : 'axes'}[${index}].${name}`,
      column,
      stands: ({ placed }) => (of === 'point' ? placed.points : placed.axes).get(id)?.known === true,
    }
  })

/** Of lines, in every state they are judged in. */
const ofLines = ({ build, lines }: CompiledBuild): NamedFigure[] =>
  lines.flatMap(({ line, states }, index) =>
    states.flatMap(({ state, figures }) => {
      const place = statePlace(build, stateKey(state))
      return (figures?.named ?? []).map(({ name, ...figure }): NamedFigure => ({
        ...figure,
        id: lineFigureId(line.id, state, name),
        place: place && `lines[${index}].${place}.${name}`,
        // Beyond a right angle nothing can be told: ratios run away.
        stands: (found) =>
          found.lines[index]?.states.find((one) => isSameState(one, state))?.turning.known === true,
      }))
    }),
  )

const ofChains = ({ chains }: CompiledBuild): NamedFigure[] =>
  chains.flatMap((compiled, index) =>
    chainFigures(compiled).map(({ name, column, stands }): NamedFigure => ({
      id: chainFigureId(compiled.chain.id, name),
      place: `chains[${index}].${name}`,
      column,
      stands: ({ chains: found }) => {
        const now = found[index]
        return now !== undefined && stands(now)
      },
    })),
  )

const ofHalfshafts = ({ travel }: CompiledBuild): NamedFigure[] =>
  (travel?.halfshafts ?? []).flatMap((one, index) =>
    HALFSHAFT_FIGURES.map((name) => ({
      id: halfshaftFigureId(one, name),
      place: `halfshafts[${index}].${HALFSHAFT_PLACES[name]}`,
      column: one.figures[name],
      stands: ({ halfshafts }) =>
        halfshafts.some(({ lineId, shaft }) => lineId === one.lineId && shaft === one.shaft),
    })),
  )

import type { Kind } from '../base/columns/kept'
import type { FigureColumn } from '../line/figureColumns'
import type { CompiledBuild } from './compile'
import type { Evaluation } from './evaluateBuild'
import type { CompiledSubject } from './subject'

/** A figure that is shown and published: its one column, under its one name. */
export interface NamedFigure extends FigureColumn {
  /** Under which its ± is kept. */
  readonly id: string
  /** Its place in the published result, such as `lines[0].ride.joints[1].angleDeg`; null for what has none there. */
  readonly place: string | null
  /** Whether it has an answer as the build stands. */
  readonly stands: (found: Evaluation) => boolean
}

const NAMED: Kind<readonly NamedFigure[]> = { name: 'the figures that have a name' }

/** Every figure of a build that has a name; checks have their own. Listed once for a build: each proof of a cure asks for them. */
export const namedFigures = (compiled: CompiledBuild): readonly NamedFigure[] =>
  compiled.graph.kept.the(NAMED, () => [...ofPlaces(compiled), ...compiled.subjects.flatMap(ofSubject)])

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

/** Of one subject. */
const ofSubject = ({ key, figures }: CompiledSubject): NamedFigure[] =>
  figures.map((figure) => ({
    ...figure,
    stands: ({ subjects }) => figure.stands(subjects.find((one) => one.key === key)?.found ?? []),
  }))

import { isSameState, stateKey, type StateOfVehicle } from '../check/check'
import { lineStates, statesAt } from '../check/lineStates'
import type { PlannedCheck } from '../check/plannedCheck'
import type { Column } from '../base/columns/graph'
import type { ShaftColumns } from '../line/shaftColumns'
import { LOCKED_DEG } from '../line/turning'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { Line } from '../file/parts/lineSpec'
import { compiledIn, type CompiledLine } from './compiledLine'
import type { SweptLine } from '../stand/compiledTravel'
import { evaluateLine, type LineEvaluation } from './lineEvaluation'
import { moveWants } from '../stand/moveWants'
import { statePlace } from '../stand/statePlace'
import { plannedColumns, type Ground, type MustKeep, type Subject, type SubjectFigure } from './subject'

/** The lines of a build, from a driving axis over joints and shafts to a driven one. */
export const LINES: Subject<CompiledLine, LineEvaluation> = {
  key: 'lines',
  compile: (ground) => {
    const things = ground.build.lines.map((line) => compileLine(ground, line))
    return {
      key: 'lines',
      things,
      plans: things.flatMap(plansOf),
      mustKeep: things.flatMap(turns),
      wants: things.flatMap(lineWants),
      swept: {
        plans: things.flatMap(({ swept }) => swept?.plans ?? []),
        wants: things.flatMap(({ swept }) => sweptWants(swept)),
      },
      spares: [],
      figures: things.flatMap((thing, index) => figuresOfLine(ground.build, thing, index)),
      look: () => ({ set: [], found: (stand) => things.map((thing) => evaluateLine(thing, stand)) }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  rejudged: (found, change) => found.map((line) => ({ ...line, checks: line.checks.map(change) })),
}

/** True for a line that runs to something that goes along with an axle. */
export const goesAlong = ({ build, travel }: Ground, { driving, driven }: Line): boolean =>
  travel !== null &&
  build.axes.some(({ id, body }) => (id === driving || id === driven) && travel.moving.has(body))

function compileLine(ground: Ground, line: Line): CompiledLine {
  const travel = goesAlong(ground, line) ? ground.travel : null
  const between = travel?.between ?? []
  const inStates = [
    ...lineStates(ground.build, line),
    ...between.flatMap((at) => statesAt(ground.build, line, at)),
  ]
  return {
    ...compiledIn(ground, line, inStates, between.length > 0),
    swept: travel && sweptLine(ground, line, travel.through),
  }
}

/** A line at the place that goes through the travel, with the checks that are made there. */
function sweptLine(ground: Ground, line: Line, through: Parameters<typeof statesAt>[2]): SweptLine {
  const compiled = compiledIn(ground, line, statesAt(ground.build, line, through), true)
  const ride = compiled.states[0]?.columns
  return {
    lineId: line.id,
    plans: plansOf(compiled).filter(({ head }) => head.at !== null),
    columns: ride?.known ? ride.value : null,
  }
}

const plansOf = ({ checks }: Pick<CompiledLine, 'checks'>): PlannedCheck[] =>
  checks.flatMap((plan) => ('certain' in plan ? [] : plan.inStates))

/** No limit need be set for a right angle: there nothing turns. */
const turns = ({ states }: CompiledLine): MustKeep[] =>
  states.flatMap(({ columns, state }) =>
    columns.known
      ? columns.value.anglesDeg.map((column, joint) => ({
          id: `${stateKey(state)}/turns/${joint + 1}`,
          subject: 'joint',
          column,
          // A joint at just a right angle is locked, so the limit itself is past it.
          most: LOCKED_DEG - 1e-9,
        }))
      : [],
  )

/** Id of a figure of a line, by its place under the state in the published result. */
export const lineFigureId = (lineId: Id, state: StateOfVehicle, name: string): string =>
  `line/${lineId}/${stateKey(state)}/${name}`

/** Its figures in every state it is judged in. */
const figuresOfLine = (
  build: Build,
  { line, states }: CompiledLine,
  index: number,
): SubjectFigure<LineEvaluation>[] =>
  states.flatMap(({ state, figures }) => {
    const place = statePlace(build, stateKey(state))
    return (figures?.named ?? []).map(({ name, ...figure }): SubjectFigure<LineEvaluation> => ({
      ...figure,
      id: lineFigureId(line.id, state, name),
      place: place && `lines[${index}].${place}.${name}`,
      // Beyond a right angle nothing can be told: ratios run away.
      stands: (found) => found[index]?.states.find((one) => isSameState(one, state))?.turning.known === true,
    }))
  })

const sweptWants = (swept: SweptLine | null): Column[] =>
  swept?.columns
    ? [
        ...swept.columns.centres.flat(),
        ...swept.columns.anglesDeg,
        ...swept.columns.axes.flat(),
        ...swept.columns.spans,
      ]
    : []

const lineWants = ({ line, states, checks }: CompiledLine): Column[] => [
  ...states.flatMap(({ columns, placed, figures }) => {
    const bearings = line.shafts.flatMap(({ bearing }) => {
      const place = bearing ? placed.point(bearing.point) : null
      return place?.known ? place.value : []
    })
    const seats = [
      ...(figures?.misalignments ?? []),
      ...(figures?.bearingForces ?? []),
      ...(figures?.crossShares ?? []),
    ].flatMap((seat) => seat?.column ?? [])
    const rest = [...bearings, ...seats, ...moveWants(placed)]
    if (!columns.known) return rest
    const { centres, axes, normals, spans, angles, anglesDeg, squeezes, upTo, reaches, slide, shafts } =
      columns.value
    return [
      ...rest,
      ...[centres, axes, normals, upTo].flat(2),
      ...spans,
      ...angles,
      ...anglesDeg,
      ...squeezes,
      // Told whether or not a limit asks for what hangs on them.
      ...reaches.flatMap((reach) => reach ?? []),
      ...(slide === null ? [] : [slide]),
      ...shafts.flatMap(shaftWants),
    ]
  }),
  ...plannedColumns(plansOf({ checks })),
]

const shaftWants = ({ criticalRpm, slip, plungeLeftMm }: ShaftColumns): Column[] =>
  [criticalRpm, slip?.leftMm, slip?.engagedMm, slip?.engagedShare, plungeLeftMm].flatMap(
    (column) => column ?? [],
  )

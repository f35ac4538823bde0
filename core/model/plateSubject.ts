import { judge, type Bound } from '../check/judge'
import type { Check } from '../check/check'
import type { FigureOf } from '../base/columns/graph'
import type { Known } from '../base/known'
import type { LimitEntry } from '../file/build/limit'
import type { Plate } from '../file/kinds/plateKinds'
import { missOf, plateAnswer, type PlateAnswer } from '../making/plates/plateAnswer'
import { standColumns, standingOf, type PlateStanding, type StandColumns } from './plateStands'
import type { Ground, Subject, SubjectFigure } from './subject'

/** A plate, whether it fits, and where it stands as the levers are. */
export interface PlateEvaluation {
  readonly plate: Plate
  readonly answer: PlateAnswer
  readonly check: Check
  /** Null where nobody says where it stands. */
  readonly standing: Known<PlateStanding> | null
}

interface CompiledPlate extends Omit<PlateEvaluation, 'standing'> {
  readonly stands: Known<StandColumns> | null
}

/**
 * The plates of a build. No lever moves their holes: whether one goes on is a job on the bench, and keeps no setting of them from holding.
 * Where one stands in the vehicle is told by points, which levers may move.
 */
export const PLATES: Subject<CompiledPlate, PlateEvaluation> = {
  key: 'plates',
  compile: (ground) => {
    const things = (ground.build.plates ?? []).map((plate) => compilePlate(ground, plate))
    const stands = things.flatMap(({ stands: one }) => (one?.known ? [one.value] : []))
    return {
      key: 'plates',
      things,
      plans: [],
      mustKeep: [],
      wants: stands.flatMap(({ points, miss }) => [miss, ...points.flat()]),
      swept: { plans: [], wants: [] },
      spares: [],
      figures: things.flatMap(figuresOf),
      look: () => ({ set: [], found: ({ figure }) => things.map((thing) => evaluationOf(thing, figure)) }),
    }
  },
  checksOf: () => [],
  json: (found) => found.map(plateJson),
  rejudged: (found, change) => found.map((one) => ({ ...one, check: change(one.check) })),
}

/** No lever and no other entry changes it, and it takes longer than all else of a build: asked once for an entry as it stands. */
const ANSWERS = new WeakMap<Plate, PlateAnswer>()

function answerOf(plate: Plate): PlateAnswer {
  const answer = ANSWERS.get(plate) ?? plateAnswer(plate)
  ANSWERS.set(plate, answer)
  return answer
}

const FILED: Bound = {
  warnAbove: 0,
  basis: 'a hole that is opened is a slot: its bolt no longer places the plate',
}
const DRILLED: Bound = { failAbove: 0, basis: 'with its holes so far off no two of them opened let it go on' }

function compilePlate({ build, graph, places }: Ground, plate: Plate): CompiledPlate {
  const answer = answerOf(plate)
  const stands = plate.stands
    ? standColumns(graph, plate.stands, answer.plate, places.placed(null, null).point)
    : null
  return { plate, answer, stands, check: fitCheck(plate, answer, build.limits.entries) }
}

function fitCheck(plate: Plate, answer: PlateAnswer, limits: readonly LimitEntry[]): Check {
  const own = answer.fit.known && answer.fit.value.verdict === 'redrill' ? DRILLED : FILED
  const bounds = [own, ...limits.filter(({ quantity }) => quantity === 'plate-miss')]
  return judge(
    {
      id: `plate/${plate.id}`,
      lineId: null,
      lineName: null,
      quantity: 'plate-miss',
      subject: { of: 'thing', id: plate.id, name: plate.name },
      state: 'ride',
      at: null,
      speedRpm: null,
    },
    missOf(answer),
    bounds,
  )
}

const evaluationOf = ({ stands, ...plate }: CompiledPlate, figure: FigureOf): PlateEvaluation => ({
  ...plate,
  standing: stands && standingOf(stands, figure),
})

const figuresOf = ({ plate, stands }: CompiledPlate, index: number): SubjectFigure<PlateEvaluation>[] =>
  stands?.known
    ? [
        {
          id: plateFigureId(plate.id),
          place: `plates[${index}].standsMissMm`,
          column: stands.value.miss,
          stands: (found) => found[index]?.standing?.known === true,
        },
      ]
    : []

/** Under which the ± of how far the points of a plate are off is kept. */
export const plateFigureId = (plate: string): string => `plate/${plate}/standsMissMm`

/** What is published of a plate; null for what is not known. */
function plateJson({ plate: { id, name }, answer, standing }: PlateEvaluation) {
  const { plate, bosses, fit, spacers, zones, edges } = answer
  const places = (face: PlateAnswer['plate']) =>
    face.known ? [...face.value.places].map(([hole, [xMm, yMm]]) => ({ hole, xMm, yMm })) : null
  const suspect = (face: PlateAnswer['plate']) =>
    face.known && face.value.pattern?.suspect
      ? { a: face.value.pattern.suspect.a, b: face.value.pattern.suspect.b }
      : null
  return {
    id,
    name,
    holes: places(plate),
    bosses: places(bosses),
    suspectTape: { plate: suspect(plate), bosses: suspect(bosses) },
    missMm: fit.known ? fit.value.missMm : null,
    verdict: fit.known ? fit.value.verdict : null,
    open: fit.known ? fit.value.open : null,
    zones: zones.known ? zones.value.map(({ id: zone, roomMm, hides }) => ({ zone, roomMm, hides })) : null,
    standsMissMm: standing?.known ? standing.value.missMm : null,
    edges: edges.known ? edges.value.holes.map(({ id: hole, edgeMm }) => ({ hole, edgeMm })) : null,
    pitchMm: edges.known ? edges.value.pitchMm : null,
    rockMm: spacers.known ? (spacers.value.rests?.rockMm ?? null) : null,
    spacersMm: spacers.known ? Object.fromEntries(spacers.value.spacersMm) : null,
  }
}

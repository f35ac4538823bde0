import { judge, type Bound } from '../check/judge'
import type { Check } from '../check/check'
import type { LimitEntry } from '../file/build/limit'
import type { Plate } from '../file/kinds/plateKinds'
import { missOf, plateAnswer, type PlateAnswer } from '../making/plates/plateAnswer'
import type { Subject } from './subject'

/** A plate, and whether it fits. */
export interface PlateEvaluation {
  readonly plate: Plate
  readonly answer: PlateAnswer
  readonly check: Check
}

type CompiledPlate = PlateEvaluation

/** The plates of a build. No lever moves their holes: whether one goes on is a job on the bench, and keeps no setting of them from holding. */
export const PLATES: Subject<CompiledPlate, PlateEvaluation> = {
  key: 'plates',
  compile: ({ build }) => {
    const things = (build.plates ?? []).map((plate) => compilePlate(plate, build.limits.entries))
    return {
      key: 'plates',
      things,
      plans: [],
      mustKeep: [],
      wants: [],
      swept: { plans: [], wants: [] },
      spares: [],
      figures: [],
      look: () => ({ set: [], found: () => things }),
    }
  },
  checksOf: () => [],
  json: (found) => found.map(({ plate, answer }) => plateJson(plate, answer)),
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

function compilePlate(plate: Plate, limits: readonly LimitEntry[]): CompiledPlate {
  const answer = answerOf(plate)
  const own = answer.fit.known && answer.fit.value.verdict === 'redrill' ? DRILLED : FILED
  const bounds = [own, ...limits.filter(({ quantity }) => quantity === 'plate-miss')]
  const check = judge(
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
  return { plate, answer, check }
}

/** What is published of a plate; null for what is not known. */
function plateJson({ id, name }: Plate, { plate, bosses, fit, spacers, zones }: PlateAnswer) {
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
    spacersMm: spacers.known ? Object.fromEntries(spacers.value.spacersMm) : null,
  }
}

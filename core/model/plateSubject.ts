import { judge } from '../check/judge'
import type { Check } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import { mapKnown } from '../base/known'
import type { LimitEntry } from '../file/build/limit'
import type { Plate } from '../file/kinds/plateKinds'
import { combinedWindow } from '../file/limits/verdict'
import { missOf, plateAnswer, type PlateAnswer } from '../making/plates/plateAnswer'
import type { Subject } from './subject'

/** A plate, and whether it fits. */
export interface PlateEvaluation {
  readonly plate: Plate
  readonly answer: PlateAnswer
  readonly check: Check
}

interface CompiledPlate {
  readonly plate: Plate
  readonly answer: PlateAnswer
  readonly plan: PlannedCheck
}

/** The plates of a build: no lever moves their holes. */
export const PLATES: Subject<CompiledPlate, PlateEvaluation> = {
  key: 'plates',
  compile: ({ build }) => {
    const things = (build.plates ?? []).map((plate) => compilePlate(plate, build.limits.entries))
    return {
      key: 'plates',
      things,
      plans: things.map(({ plan }) => plan),
      mustKeep: [],
      wants: [],
      swept: { plans: [], wants: [] },
      spares: [],
      figures: [],
      look: () => ({
        set: [],
        found: () =>
          things.map(({ plate, answer, plan }) => ({
            plate,
            answer,
            check: judge(plan.head, missOf(answer), plan.bounds, [], plan.window),
          })),
      }),
    }
  },
  checksOf: (found) => found.map(({ check }) => check),
  json: (found) => found.map(({ plate, answer }) => plateJson(plate, answer)),
  rejudged: (found, change) => found.map((one) => ({ ...one, check: change(one.check) })),
}

const FITS = [{ failAbove: 0, basis: 'a bolt does not go through a hole that is further off than its play' }]

/** No lever and no other entry changes it, and it takes longer than all else of a build: asked once for an entry as it stands. */
const ANSWERS = new WeakMap<Plate, PlateAnswer>()

function answerOf(plate: Plate): PlateAnswer {
  const answer = ANSWERS.get(plate) ?? plateAnswer(plate)
  ANSWERS.set(plate, answer)
  return answer
}

function compilePlate(plate: Plate, limits: readonly LimitEntry[]): CompiledPlate {
  const answer = answerOf(plate)
  const bounds = [...FITS, ...limits.filter(({ quantity }) => quantity === 'plate-miss')]
  const miss = missOf(answer)
  const plan: PlannedCheck = {
    head: {
      id: `plate/${plate.id}`,
      lineId: null,
      lineName: null,
      quantity: 'plate-miss',
      subject: { of: 'thing', id: plate.id, name: plate.name },
      state: 'ride',
      at: null,
      speedRpm: null,
    },
    bounds,
    window: combinedWindow(bounds),
    unknownBounds: [],
    needs: mapKnown(miss, () => null),
    value: miss.known ? miss.value : null,
  }
  return { plate, answer, plan }
}

/** What is published of a plate; null for what is not known. */
function plateJson({ id, name }: Plate, { plate, bosses, fit, spacers }: PlateAnswer) {
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
    spacersMm: spacers.known ? Object.fromEntries(spacers.value.spacersMm) : null,
  }
}

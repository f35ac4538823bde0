import selector from '../../testdata/selector.json'
import shifter from '../../testdata/shifter.json'
import { radians } from '../../base/units/angle'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { aligned, atPin, largest, rootMean, smallAngleRatio } from './aligned'
import type { Arm } from './arm'
import { bestHoles, bestRod, type Arms } from './bestRod'
import { bestRatio } from './bestRatio'
import { captureOf, gatesReached, slotNeed, type ShiftGate } from './gates'

const arm = (pivot: [number, number], armMm: number, clockDeg: number, playMm = 0): Arm => ({
  pivot: [pivot[0], 0, pivot[1]],
  from: [1, 0, 0],
  toward: [0, 0, 1],
  armMm,
  clock: radians(clockDeg),
  playMm,
})
const armOf = ({ pivot_mm: pivot, arm_mm: armMm, clock_deg: clock, play_mm: play }: any) =>
  arm(pivot, armMm, clock, play)
const gatesOf = (gates: any[]): ShiftGate[] =>
  gates.map(({ name, lever_deg: leverDeg, box_deg: boxDeg }) => ({ name, leverDeg, boxDeg }))

const SELECTOR: Record<string, (input: any) => Record<string, unknown>> = {
  gates: ({ lever, box, rod_mm: rodMm, gates: told, slot }) => {
    const linkage = { lever: armOf(lever), box: armOf(box), rodMm }
    const gates = gatesOf(told)
    const found = gatesReached(linkage, gates)
    const need =
      slot &&
      slotNeed(linkage, gates, found, {
        fromDeg: slot.lo_deg,
        toDeg: slot.hi_deg,
        radiusMm: slot.radius_mm,
        overMm: slot.over_mm,
      })
    return {
      gates: found.gates.map((one) => ({
        name: one.name,
        box_deg: one.boxDeg,
        error_deg: one.errorDeg,
        transmission_deg: one.transmissionDeg,
        lever_for_detent_deg: one.leverForDetentDeg,
        ratio: one.ratio,
        ok: one.isCaught,
      })),
      max_error_deg: found.maxErrorDeg,
      capture_deg: found.captureDeg,
      lost_deg: found.lostDeg,
      slot: need && {
        lever_from_deg: need.fromDeg,
        lever_to_deg: need.toDeg,
        file_low_mm: need.fileFromMm,
        file_high_mm: need.fileToMm,
      },
    }
  },
  rod: ({ lever, box, gates: told, range_mm: range }) => {
    const [arms, gates] = [{ lever: armOf(lever), box: armOf(box) }, gatesOf(told)]
    const best = bestRod(arms, gates, range)!
    const found = gatesReached({ ...arms, rodMm: best.rodMm }, gates)
    return {
      rod_mm: best.rodMm,
      max_error_deg: best.maxErrorDeg,
      errors_deg: found.gates.map(({ errorDeg }) => errorDeg),
      capture_deg: found.captureDeg,
      ok: found.gates.every(({ isCaught }) => isCaught),
    }
  },
  holes: ({ lever, box, gates: told, range_mm: range, lever_holes_mm: leverMm, box_holes_mm: boxMm }) => {
    const gates = gatesOf(told)
    const pairs = bestHoles({ lever: armOf(lever), box: armOf(box) }, gates, range, { leverMm, boxMm })
    return {
      capture_deg: captureOf(gates),
      ranking: pairs.map(({ leverArmMm, boxArmMm, rodMm, maxErrorDeg }) => ({
        lever_arm_mm: leverArmMm,
        box_arm_mm: boxArmMm,
        rod_mm: rodMm,
        max_error_deg: maxErrorDeg,
      })),
    }
  },
}

describe('rods between two arms, against independent cases', () => {
  it.each(casesOf(selector))('%s', (_id, one) =>
    expectCase(selector, one, (input) => SELECTOR[input.op]!(input)),
  )
})

describe('rods set to length in one gate, against independent cases', () => {
  const levers = casesOf(shifter).filter(([, { input }]) => input.op === 'lever')
  it.each(levers)('%s', (_id, one) =>
    expectCase(shifter, one, (input) => {
      const of = ({ pivot, arm_mm: armMm, angle_deg: clock }: any) => arm(pivot, armMm, clock)
      const arms: Arms = { lever: of(input.in), box: of(input.out) }
      const gates = (input.gates as any[]).map(({ name, in_deg: leverDeg, out_deg: boxDeg }): ShiftGate => ({
        name,
        leverDeg,
        boxDeg,
      }))
      const { rodMm, errorsDeg } = aligned(arms, gates)
      const best = (by: typeof largest) => {
        const found = bestRatio(arms, gates, input.ratio_range, by)
        return found && { ratio: found.ratio, error_at_best: found.error }
      }
      return {
        rod_mm: rodMm,
        gates: gates.map(({ name }, k) => {
          const error = errorsDeg[k] ?? null
          const pin = error === null ? null : atPin(arms.box.armMm, error)
          return { name, error_deg: error, pin_error_mm: pin }
        }),
        max_error_deg: largest(errorsDeg),
        rms_error_deg: rootMean(errorsDeg),
        ratio_now: arms.lever.armMm / arms.box.armMm,
        small_angle_ratio: smallAngleRatio(gates),
        best_ratio_max: best(largest),
        best_ratio_rms: best(rootMean),
      }
    }),
  )
})

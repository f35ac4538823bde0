import { JOINTS } from '../file/parts/joints'
import { allKnown, known, unknown, type Known } from '../base/known'
import type { LimitEntry, Quantity } from '../file/build/limit'
import type { Line, Tube } from '../file/parts/lineSpec'
import type { LineTorque } from '../vehicle/strength/lineTorque'
import { metalOf } from '../vehicle/strength/metal'
import { shearMPa } from '../vehicle/strength/tubeStrength'
import { tubeSection } from '../vehicle/strength/tubeSection'
import { headOf, overStates, shaftName, type LineNeeds } from './lineCheck'
import { appliesIn, type PlannedState } from './judgedState'
import type { CheckPlan } from './plannedCheck'

/** Shear of every tube over its yield, and of every cross over what it may bear, at the most torque the line can get. */
export function strengthChecks(
  line: Line,
  of: (quantity: Quantity) => readonly LimitEntry[],
  { torque }: LineNeeds,
  states: readonly PlannedState[],
): CheckPlan[] {
  // Who has not said what engine it is does not ask for strength.
  if (!torque.known && torque.missing.some(({ path }) => path === 'drivetrain.peakTorqueNm')) return []
  const ride = states.slice(0, 1)
  return [
    ...line.shafts.flatMap(({ tube }, index) =>
      tube
        ? overStates(of('tube-shear'), ride, appliesIn, ({ state, at }) => ({
            head: headOf(line, `tube-shear/${index + 1}`, {
              quantity: 'tube-shear',
              subject: { of: 'shaft', index },
              state,
              at,
              speedRpm: null,
            }),
            needs: allKnown<[LineTorque, Tube]>([torque, tubeOf(line, index)]),
            value: torque.known ? shearShare(tube, torque.value.designNm) : null,
          }))
        : [],
    ),
    ...line.joints.flatMap(({ cross, kind }, index) =>
      cross !== undefined && JOINTS[kind].hasCross
        ? overStates(of('cross-shear'), states, appliesIn, ({ state, at, figures }) => ({
            head: headOf(line, `cross-shear/${index + 1}`, {
              quantity: 'cross-shear',
              subject: { of: 'joint', index },
              state,
              at,
              speedRpm: null,
            }),
            needs: torque,
            value: figures?.crossShares[index] ?? null,
          }))
        : [],
    ),
  ]
}

/** Shear of a tube over its yield in tension. */
export const shearShare = (tube: Tube, torqueNm: number): number =>
  Math.abs(shearMPa(tubeSection(tube), torqueNm)) / metalOf(tube).yieldMPa

function tubeOf(line: Line, index: number): Known<Tube> {
  const tube = line.shafts[index]?.tube
  if (!tube) return unknown(`${line.name}, ${shaftName(line, index)}: tube not entered`)
  return known(
    tube,
    tube.yieldMPa === undefined
      ? [
          `${line.name}, ${shaftName(line, index)}: its grade is taken for that of plain tube, ${metalOf(tube).yieldMPa} MPa`,
        ]
      : [],
  )
}

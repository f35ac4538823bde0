import { bodyById } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import { leverUnit, type Lever } from '../../file/build/lever'
import type { LeverChange } from '../../answers/solver/cure'
import { formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { mountOf, shiftOf, sprocketOf } from '../words/leverTold'
import { LEVER_WORDS } from '../words/words'

/** What a lever is called on screen: with its body, unless it is the powertrain's or an axle's wedge and there is but one. */
export function leverName(build: Build, { kind, body: id, name, sprocket, mount, shift }: Lever): string {
  if (name) return name
  if (kind === 'spacer') return `spacer behind ${sprocketOf(build, sprocket)}`
  if (mount !== undefined) return `${mountOf(build, mount)}, ${LEVER_WORDS[kind].name}`
  if (shift !== undefined) return `${shiftOf(build, shift)}, ${LEVER_WORDS[kind].name}`
  const body = bodyById(build, id)
  const alike = build.levers.filter((one) => one.kind === kind)
  const isPlain = (body?.kind === 'powertrain' || kind === 'wedge') && alike.length === 1
  return isPlain || !body ? LEVER_WORDS[kind].name : `${body.name}, ${LEVER_WORDS[kind].name}`
}

/** Steps that are added up leave tiny rests, in mm or degrees; nobody packs those. */
const STILL = 1e-9

/** Amount of a lever in words, never with a bare sign: "9.0 mm up", "2.0° nose up". */
export function leverAmount(lever: Lever, amount: number, units: UnitSettings): string {
  if (Math.abs(amount) < STILL) return 'as measured'
  return `${amountSize(lever, amount, units)} ${leverWays(lever)[amount > 0 ? 0 : 1]}`
}

/** The words for a lever's two directions, positive first. */
export const leverWays = (lever: Lever): readonly [string, string] => LEVER_WORDS[lever.kind].ways

/** The size of an amount with its unit, without a sign. */
const amountSize = (lever: Lever, amount: number, units: UnitSettings): string =>
  leverUnit(lever) === 'deg' ? formatAngle(Math.abs(amount), units) : formatLength(Math.abs(amount), units)

/**
 * A change of one lever as an instruction: "Pack the tail up 9 mm (6 + 3)", "2° wedge, thick end to the rear".
 */
export const leverInstruction = (build: Build, lever: Lever, change: number): string =>
  LEVER_WORDS[lever.kind].told({
    build,
    lever,
    change,
    isMore: change > 0,
    way: leverWays(lever)[change > 0 ? 0 : 1],
    size: formatLength(Math.abs(change), build.units),
    axle: bodyById(build, lever.body)?.name ?? 'axle',
  })

/**
 * What to do at a lever that may stand elsewhere than measured already: of a wedge in place the new one is told, not the
 * difference, which nobody can fit.
 */
export function changeInstruction(build: Build, { lever, amount, change }: LeverChange): string {
  if (Math.abs(amount - change) < STILL) return leverInstruction(build, lever, change)
  if (lever.kind !== 'wedge') {
    const inAll =
      Math.abs(amount) < STILL
        ? 'back to as measured'
        : `to ${leverAmount(lever, amount, build.units)} in all`
    return `${leverInstruction(build, lever, change)}, ${inAll}`
  }
  return Math.abs(amount) < STILL
    ? 'Take the wedge out'
    : `Change the wedge: ${leverInstruction(build, lever, amount)}`
}

/** The same in few words, for a button: "Pack the tail up 5.0 mm", "1.5° wedge, nose down". */
export function changeBrief(build: Build, { lever, amount, change }: LeverChange): string {
  if (lever.kind === 'wedge')
    return Math.abs(amount) < STILL
      ? 'wedge out'
      : `${leverAmount(lever, amount, build.units).replace(' ', ' wedge, ')}`
  return leverInstruction(build, { ...lever, stock: undefined }, change)
}

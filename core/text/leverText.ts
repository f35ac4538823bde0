import { axleById, bodyById } from '../project/bodies'
import type { AxleBody } from '../project/body'
import type { Build } from '../project/build'
import { sprocketName, sprocketsOf } from '../project/chainLine'
import type { Id } from '../project/id'
import { leverUnit, type Lever, type LeverKind } from '../project/lever'
import type { LeverChange } from '../solver/cure'
import { spacerStack } from '../placement/spacers'
import { fixed, formatAngle, formatLength } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'

/** What a lever is called, and its two directions, positive first. */
const LEVER_WORDS: Readonly<Record<LeverKind, { readonly name: string; readonly ways: Ways }>> = {
  'tail-up': { name: 'tail at the crossmember', ways: ['up', 'down'] },
  'front-up': { name: 'front mounts, both', ways: ['up', 'down'] },
  'front-left-up': { name: 'front left mount', ways: ['up', 'down'] },
  'front-right-up': { name: 'front right mount', ways: ['up', 'down'] },
  fore: { name: 'fore and aft', ways: ['forward', 'rearward'] },
  sideways: { name: 'sideways', ways: ['left', 'right'] },
  'tail-sideways': { name: 'tail sideways', ways: ['left', 'right'] },
  up: { name: 'up and down', ways: ['up', 'down'] },
  adapter: { name: 'adapter, or a longer gearbox', ways: ['longer', 'shorter'] },
  wedge: { name: 'wedge at the spring seat', ways: ['nose up', 'nose down'] },
  lift: { name: 'ride height by its springs', ways: ['higher', 'lower'] },
  block: { name: 'lowering block', ways: ['lower', 'higher'] },
  strap: { name: 'limit strap', ways: ['less droop', 'more droop'] },
  shackle: { name: 'shackles of its springs', ways: ['longer', 'shorter'] },
  'link-length': { name: 'link', ways: ['longer', 'shorter'] },
  'left-fore': { name: 'left bearing fore and aft', ways: ['forward', 'rearward'] },
  'right-fore': { name: 'right bearing fore and aft', ways: ['forward', 'rearward'] },
  'left-up': { name: 'left bearing up and down', ways: ['up', 'down'] },
  'right-up': { name: 'right bearing up and down', ways: ['up', 'down'] },
  spacer: { name: 'spacer', ways: ['left', 'right'] },
}

const sprocketOf = (build: Build, id: Id | undefined): string => {
  const found = sprocketsOf(build).find((one) => one.id === id)
  return found ? sprocketName(found) : 'sprocket'
}

type Ways = readonly [string, string]

/** What a lever is called on screen: with its body, unless it is the powertrain's or an axle's wedge and there is but one. */
export function leverName(build: Build, { kind, body: id, name, sprocket }: Lever): string {
  if (name) return name
  if (kind === 'spacer') return `spacer behind ${sprocketOf(build, sprocket)}`
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
export const leverWays = (lever: Lever): Ways => LEVER_WORDS[lever.kind].ways

/** The size of an amount with its unit, without a sign. */
const amountSize = (lever: Lever, amount: number, units: UnitSettings): string =>
  leverUnit(lever) === 'deg' ? formatAngle(Math.abs(amount), units) : formatLength(Math.abs(amount), units)

/**
 * A change of one lever as an instruction: "Pack the tail up 9 mm (6 + 3)", "2° wedge, thick end to the rear".
 */
export const leverInstruction = (build: Build, lever: Lever, change: number): string =>
  INSTRUCTIONS[lever.kind]({
    build,
    lever,
    change,
    isMore: change > 0,
    way: leverWays(lever)[change > 0 ? 0 : 1],
    size: formatLength(Math.abs(change), build.units),
    axle: bodyById(build, lever.body)?.name ?? 'axle',
  })

/** A change of a lever, and the words it is told in. */
interface Told {
  readonly build: Build
  readonly lever: Lever
  readonly change: number
  readonly isMore: boolean
  readonly way: string
  readonly size: string
  /** What the body is called that it moves. */
  readonly axle: string
}

/** Something packed up, or let down. */
const packed =
  (where: string) =>
  ({ lever, change, isMore, size }: Told): string => {
    const what = lever.name ? `the ${lever.name}` : where
    return isMore ? `Pack ${what} up ${size}${stackText(lever, change)}` : `Lower ${what} ${size}`
  }

/** Something moved as it is. */
const moved =
  (what: string) =>
  ({ size, way }: Told): string =>
    `Move ${what} ${size} ${way}`

/** A body moved as it is. */
function bodyMoved(told: Told): string {
  const body = bodyById(told.build, told.lever.body)
  return moved(body && body.kind !== 'powertrain' ? body.name : 'the powertrain')(told)
}

/** How a change of each kind of lever is told. */
const INSTRUCTIONS: Readonly<Record<LeverKind, (told: Told) => string>> = {
  'tail-up': packed('the tail'),
  'front-up': packed('both front mounts'),
  'front-left-up': packed('the front left mount'),
  'front-right-up': packed('the front right mount'),
  'left-up': packed('the left bearing'),
  'right-up': packed('the right bearing'),
  'left-fore': moved('the left bearing'),
  'right-fore': moved('the right bearing'),
  'tail-sideways': moved('the tail'),
  fore: bodyMoved,
  sideways: bodyMoved,
  up: bodyMoved,
  adapter: ({ size, way }) => `Make the adapter or the gearbox ${size} ${way}`,
  wedge: ({ build, lever, change }) => wedgeInstruction(build, lever, change),
  lift: ({ axle, size, way }) => `Springs at the ${axle} that stand ${size} ${way}`,
  block: ({ axle, size, isMore }) =>
    isMore ? `${size} lowering block at the ${axle}` : `Take ${size} of block out at the ${axle}`,
  strap: ({ axle, size, isMore }) =>
    isMore ? `Limit strap at the ${axle}, ${size} less droop` : `Let the strap at the ${axle} out ${size}`,
  shackle: ({ axle, size, way }) => `Shackles at the ${axle} ${size} ${way}`,
  'link-length': ({ build, lever, size, way }) => `Make the ${linkName(build, lever)} ${size} ${way}`,
  spacer: ({ build, lever, change, size, way }) =>
    `Set the ${sprocketOf(build, lever.sprocket)} ${size} further ${way}${stackText(lever, change)}`,
}

const linkName = (build: Build, { body, name, holding }: Lever): string => {
  const motion = axleById(build, body)?.motion
  const link = motion?.kind === 'links' ? motion.holdings.find(({ id }) => id === holding) : undefined
  return name ?? link?.name ?? 'link'
}

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

function wedgeInstruction(build: Build, lever: Lever, change: number): string {
  const axle = axleById(build, lever.body)
  const size = formatAngle(Math.abs(change), build.units)
  const nose = `nose ${change > 0 ? 'up' : 'down'}`
  const thick = axle ? thickEnd(axle, change) : null
  return `${size} wedge, ${nose}${thick ? `: thick end to the ${thick}` : ''}`
}

/**
 * Which way the thick end of a wedge goes.
 *
 * Between an axle and a spring above it the thick end pushes its end of the axle pad down; with the spring below, up.
 *
 * @returns null when it is not known where the spring lies
 */
export function thickEnd(axle: AxleBody, noseUpDeg: number): 'front' | 'rear' | null {
  if (!axle.spring || noseUpDeg === 0) return null
  const noseEnd = axle.noseFaces === 'forward' ? 'front' : 'rear'
  const farEnd = noseEnd === 'front' ? 'rear' : 'front'
  const pushedDown = noseUpDeg > 0 ? farEnd : noseEnd
  return axle.spring === 'above' ? pushedDown : pushedDown === 'front' ? 'rear' : 'front'
}

function stackText(lever: Lever, change: number): string {
  const stack = lever.stock ? spacerStack(Math.abs(change), lever.stock) : null
  return stack ? ` (${stack.map((size) => fixed(size, Number.isInteger(size) ? 0 : 1)).join(' + ')})` : ''
}

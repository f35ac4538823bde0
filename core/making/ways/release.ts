import { CoreError } from '../../base/errors'
import { cross, dot, norm, scale, unit, type Vec3 } from '../../base/linalg/vec3'
import { waysOut, type WaysOut } from './waysOut'

/** A face that touches a part: its normal is the way in which it pushes the part. */
export interface Contact {
  readonly id: string
  readonly normal: readonly number[]
}

/** A bolt, a dowel or a shaft in a hole: the part can move along its axis alone while it is there. */
export interface Pin {
  readonly id: string
  readonly axis: readonly number[]
  /** It may be taken out. */
  readonly isDrawable: boolean
  /** It lets go along its axis, not against it. */
  readonly isOneWay: boolean
}

export interface HeldPart {
  /** In a plane, or in space. */
  readonly dimensions: 2 | 3
  readonly contacts: readonly Contact[]
  readonly pins: readonly Pin[]
}

/** Whether a part can begin to move, and which way. */
export interface Release extends WaysOut {
  /** As it is held, with every pin in. */
  readonly isFree: boolean
  /** The fewest pins to take out; null when none or all of them would not do. What else is told is for the part with these out. */
  readonly pinsToDraw: readonly string[] | null
  /** Where it stays trapped: contacts each of which alone keeps it. */
  readonly removableAlone: readonly string[] | null
}

/** More pins than this are not held by one part. */
const MOST_PINS = 12
const PARALLEL = 1e-9

/**
 * Does a part come out again? By its first movement, without turning it.
 *
 * @throws CoreError `wrong-length` for a direction of other dimensions, `degenerate` for one without direction, `too-large` for too many pins
 * @see docs/methods/ways-out.md
 */
export function release(part: HeldPart): Release {
  if (part.pins.length > MOST_PINS) throw new CoreError('too-large', 'pins', `no more than ${MOST_PINS}`)
  const contacts = part.contacts.map(({ id, normal }) => ({ id, normal: direction(part, normal, id) }))
  const pins = part.pins.map((pin) => ({ ...pin, axis: direction(part, pin.axis, pin.id) }))
  const waysWith = (stay: readonly StandingPin[], touching = contacts) =>
    waysOut(part.dimensions, touching, wayOfPins(stay))
  for (const drawn of drawnSets(pins)) {
    const stay = pins.filter(({ id }) => !drawn.includes(id))
    const ways = waysWith(stay)
    if (ways.kind !== 'point')
      return { ...ways, isFree: drawn.length === 0, pinsToDraw: drawn, removableAlone: null }
  }
  const stay = pins.filter(({ isDrawable }) => !isDrawable)
  const alone = contacts.filter(
    (one) =>
      waysWith(
        stay,
        contacts.filter((other) => other !== one),
      ).kind !== 'point',
  )
  return {
    ...waysWith(stay),
    isFree: false,
    pinsToDraw: null,
    removableAlone: alone.map(({ id }) => id).sort(),
  }
}

interface StandingPin extends Omit<Pin, 'axis'> {
  readonly axis: Vec3
}

function direction({ dimensions }: HeldPart, parts: readonly number[], id: string): Vec3 {
  if (parts.length !== dimensions || !parts.every(Number.isFinite))
    throw new CoreError('wrong-length', id, `its direction is ${dimensions} figures`)
  const vector: Vec3 = [parts[0] ?? 0, parts[1] ?? 0, parts[2] ?? 0]
  if (!(norm(vector) > 0)) throw new CoreError('degenerate', id, 'has no direction')
  return unit(vector)
}

/** Sets of pins that can be taken out, fewest first and by their names. */
function drawnSets(pins: readonly StandingPin[]): string[][] {
  const drawable = pins.filter(({ isDrawable }) => isDrawable).map(({ id }) => id)
  const sets = drawable
    .sort()
    .reduce<string[][]>((all, id) => [...all, ...all.map((set) => [...set, id])], [[]])
  return sets.sort((a, b) => a.length - b.length || (a.join('\n') < b.join('\n') ? -1 : 1))
}

/** The way that all pins leave: null without pins, 'none' where two of them cross. */
function wayOfPins(pins: readonly StandingPin[]): readonly Vec3[] | null {
  const [first, ...others] = pins
  if (!first) return null
  if (others.some(({ axis }) => norm(cross(axis, first.axis)) > PARALLEL)) return []
  const both = [first.axis, scale(first.axis, -1)]
  return both.filter((way) => pins.every(({ axis, isOneWay }) => !isOneWay || dot(axis, way) > 0))
}

import { eliminateSix } from '../../base/linalg/eliminate'
import { radians } from '../../base/units/angle'
import type { SpringParts } from './spring'

/** Why a body finds no place on its mounts. */
export type Unsettled = 'nothing' | 'some-way' | 'turns-over' | 'restless'

/**
 * A rigid body on its mounts, asked for many loads and places: `K·(u, φ) = (F, M)` for those that hold; pads and stops are let go or taken on until
 * nothing changes. Whoever asks fills `places` and `load` and reads the rest; it keeps no more than they hold.
 */
export interface Settler {
  /** Of the mounts, mm: three figures each. */
  readonly places: Float64Array
  /** A force at the origin in N, then a moment about it in N·mm. */
  readonly load: Float64Array
  /** Of the body's point at the origin, mm; then a right-handed turn about forward, left and up, in radians. */
  readonly move: Float64Array
  /** Of each mount on the body, N: three figures each. */
  readonly forces: Float64Array
  /** Which pads and stops press. */
  readonly presses: Uint8Array
  /** @returns null once it has settled */
  settle(): Unsettled | null
}

/** So that turns and shifts weigh alike when equations are looked at for a way that nothing holds. */
const ARM_MM = 1000
const MOST_TURN = radians(10)
const MOST_SHIFT_MM = 100
const FEWEST_TRIES = 20
const TRIES_A_MOUNT = 4

/** @param springs - of the mounts, in their order; fewer than 31 */
export function newSettler(springs: readonly SpringParts[]): Settler {
  const count = springs.length
  // Of each mount nine figures that always hold, then its normal, gap and stiffness while it presses.
  const always = Float64Array.from(springs.flatMap((one) => one.always.flat()))
  const contacts = Float64Array.from(
    springs.flatMap(({ contact }) =>
      contact ? [...contact.normal, contact.gapMm, contact.press] : [0, 0, 0, 0, 0],
    ),
  )
  const isContact = springs.map(({ contact }) => contact !== null)
  const firstPress = springs.reduce(
    (mask, { contact }, i) => (contact?.gapMm === 0 ? mask | (1 << i) : mask),
    0,
  )
  const places = new Float64Array(3 * count)
  const load = new Float64Array(6)
  const move = new Float64Array(6)
  const forces = new Float64Array(3 * count)
  const presses = new Uint8Array(count)
  const rows = new Float64Array(42)
  const held = new Float64Array(9)
  const mostTries = FEWEST_TRIES + TRIES_A_MOUNT * count
  const seen = new Int32Array(mostTries)

  /** How far a mount's place goes with the body, one way. */
  function goes(i: number, way: number): number {
    const [p, q] = [(way + 1) % 3, (way + 2) % 3]
    const turned = (move[3 + p] as number) * (places[3 * i + q] as number)
    return (move[way] as number) + turned - (move[3 + q] as number) * (places[3 * i + p] as number)
  }

  /** How far a pad or a stop is pressed beyond its gap; negative where it stands off. */
  function pressedMm(i: number): number {
    let along = 0
    for (let way = 0; way < 3; way++) along += (contacts[5 * i + way] as number) * goes(i, way)
    return -along - (contacts[5 * i + 3] as number)
  }

  function isPressed(pressing: number, i: number): boolean {
    return (pressing & (1 << i)) !== 0
  }

  /** Adds what a mount holds by to the equations. */
  function hold(i: number, pressing: number): void {
    const press = isPressed(pressing, i) ? (contacts[5 * i + 4] as number) : 0
    const early = press * (contacts[5 * i + 3] as number)
    for (let r = 0; r < 3; r++)
      for (let c = 0; c < 3; c++)
        held[3 * r + c] =
          (always[9 * i + 3 * r + c] as number) +
          press * (contacts[5 * i + r] as number) * (contacts[5 * i + c] as number)
    const x = places[3 * i] as number
    const y = places[3 * i + 1] as number
    const z = places[3 * i + 2] as number
    for (let column = 0; column < 7; column++) {
      // The right side takes what a stop holds early; every unknown a movement of one.
      const a = column === 0 ? 1 : column === 4 ? z : column === 5 ? -y : 0
      const b = column === 1 ? 1 : column === 3 ? -z : column === 5 ? x : 0
      const c = column === 2 ? 1 : column === 3 ? y : column === 4 ? -x : 0
      // Written out: figures handed over by a call lie about as objects, and this is asked millions of times.
      const isRight = column === 6
      const fx = isRight
        ? -early * (contacts[5 * i] as number)
        : (held[0] as number) * a + (held[1] as number) * b + (held[2] as number) * c
      const fy = isRight
        ? -early * (contacts[5 * i + 1] as number)
        : (held[3] as number) * a + (held[4] as number) * b + (held[5] as number) * c
      const fz = isRight
        ? -early * (contacts[5 * i + 2] as number)
        : (held[6] as number) * a + (held[7] as number) * b + (held[8] as number) * c
      rows[column] = (rows[column] as number) + fx
      rows[7 + column] = (rows[7 + column] as number) + fy
      rows[14 + column] = (rows[14 + column] as number) + fz
      rows[21 + column] = (rows[21 + column] as number) + y * fz - z * fy
      rows[28 + column] = (rows[28 + column] as number) + z * fx - x * fz
      rows[35 + column] = (rows[35 + column] as number) + x * fy - y * fx
    }
  }

  /** The place for those that press now, scaled so that a way nothing holds is told from one that is held softly. */
  function solve(pressing: number): Unsettled | null {
    rows.fill(0)
    for (let i = 0; i < 6; i++) rows[7 * i + 6] = load[i] as number
    for (let i = 0; i < count; i++) hold(i, pressing)
    let largest = 0
    for (let i = 0; i < 6; i++) {
      for (let k = 0; k < 6; k++) rows[7 * i + k] = (rows[7 * i + k] as number) / (size(i) * size(k))
      rows[7 * i + 6] = (rows[7 * i + 6] as number) / size(i)
      largest = Math.max(largest, Math.abs(rows[8 * i] as number))
    }
    if (!(largest > 0)) return 'nothing'
    for (let i = 0; i < 42; i++) rows[i] = (rows[i] as number) / largest
    if (!eliminateSix(rows)) return 'some-way'
    for (let i = 0; i < 6; i++) move[i] = (rows[7 * i + 6] as number) / size(i)
    return null
  }

  function settle(): Unsettled | null {
    let pressing = firstPress
    // Each step lowers the energy but where two of them swap in turns; then only the one that is most wrong changes.
    for (let tries = 0; tries < mostTries; tries++) {
      const why = solve(pressing)
      if (why) return why
      let wrong = 0
      let worst = 0
      let most = -1
      for (let i = 0; i < count; i++) {
        if (!isContact[i]) continue
        const pressed = pressedMm(i)
        if (pressed > 0 === isPressed(pressing, i)) continue
        wrong |= 1 << i
        if (Math.abs(pressed) > most) {
          most = Math.abs(pressed)
          worst = 1 << i
        }
      }
      if (wrong === 0) return rest(pressing)
      seen[tries] = pressing
      pressing ^= wasThere(pressing, tries) ? worst : wrong
    }
    return 'restless'
  }

  function wasThere(pressing: number, tries: number): boolean {
    for (let k = 0; k < tries; k++) if (seen[k] === pressing) return true
    return false
  }

  /** What each mount gives the body where it has settled. */
  function rest(pressing: number): Unsettled | null {
    for (let k = 0; k < 3; k++) if (!(Math.abs(move[3 + k] as number) <= MOST_TURN)) return 'turns-over'
    for (let i = 0; i < count; i++) {
      const [a, b, c] = [goes(i, 0), goes(i, 1), goes(i, 2)]
      // Where it is held: the origin may lie far off.
      if (!(Math.abs(a) <= MOST_SHIFT_MM && Math.abs(b) <= MOST_SHIFT_MM && Math.abs(c) <= MOST_SHIFT_MM))
        return 'turns-over'
      presses[i] = isPressed(pressing, i) ? 1 : 0
      const pressed = presses[i] ? (contacts[5 * i + 4] as number) * pressedMm(i) : 0
      for (let r = 0; r < 3; r++)
        forces[3 * i + r] =
          pressed * (contacts[5 * i + r] as number) -
          (always[9 * i + 3 * r] as number) * a -
          (always[9 * i + 3 * r + 1] as number) * b -
          (always[9 * i + 3 * r + 2] as number) * c
    }
    return null
  }

  return { places, load, move, forces, presses, settle }
}

const size = (i: number): number => (i < 3 ? 1 : ARM_MM)

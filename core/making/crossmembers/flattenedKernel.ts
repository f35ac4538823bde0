import type { Kernel, Row } from '../../base/columns/kernel'

/** Simpson's rule over a stretch, of a product of straight lines told at its ends: exact. */
const over = (long: number, a0: number, a1: number, b0: number, b1: number): number =>
  (long / 6) * (a0 * b0 + (a0 + a1) * (b0 + b1) + a1 * b1)

/** Moment at a place of a bar that rests on its ends. */
const rest = (x: number, load: number, a: number, span: number): number =>
  (load * Math.min(x * (span - a), a * (span - x))) / span

/** Size of the moment where a share of the bar's length lies to the left, once its ends are held level. */
const held = (moment: number, left: number, right: number, share: number): number =>
  Math.abs(moment - left * (1 - share) - right * share)

/**
 * A tube whose ends are pressed flat, under one load: the largest stress, as a share of what the metal yields at in per cent, resting or clamped, and how far
 * it sags under the load at rest.
 *
 * Clamped ends carry what keeps both level, over four stretches of two sections; the flat ends are soft and weak, so neither way is always the worse.
 * From the ways to both ends; parameters: the load, how long the flats are, E·I and modulus of the flat and of the round, yield.
 */
export const MEMBER_FLATTENED: Kernel = {
  name: 'how a tube with flattened ends bears its load',
  page: 'crossmembers',
  outputs: 2,
  run: (
    count,
    [fromLeft, fromRight],
    [share, sag],
    [load, flat, stiffFlat, stiffRound, modulusFlat, modulusRound, yields],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const a = fromLeft[i]
      const span = a + fromRight[i]
      const far = span - flat
      let ll = 0
      let lr = 0
      let rr = 0
      let ml = 0
      let mr = 0
      let mm = 0
      for (let k = 0; k < 4; k++) {
        const from = k === 0 ? 0 : k === 1 ? flat : k === 2 ? a : far
        const to = k === 0 ? flat : k === 1 ? a : k === 2 ? far : span
        const long = (to - from) / (k === 0 || k === 3 ? stiffFlat : stiffRound)
        const r0 = from / span
        const r1 = to / span
        const m0 = rest(from, load, a, span)
        const m1 = rest(to, load, a, span)
        ll += over(long, 1 - r0, 1 - r1, 1 - r0, 1 - r1)
        lr += over(long, 1 - r0, 1 - r1, r0, r1)
        rr += over(long, r0, r1, r0, r1)
        ml += over(long, m0, m1, 1 - r0, 1 - r1)
        mr += over(long, m0, m1, r0, r1)
        mm += over(long, m0, m1, m0, m1)
      }
      const both = ll * rr - lr * lr
      const left = (ml * rr - mr * lr) / both
      const right = (ll * mr - lr * ml) / both
      const near = rest(flat, load, a, span)
      const away = rest(far, load, a, span)
      const most = rest(a, load, a, span)
      const atNear = Math.max(near, held(near, left, right, flat / span))
      const atFar = Math.max(away, held(away, left, right, far / span))
      const atFlats = Math.max(atNear, atFar, Math.abs(left), Math.abs(right))
      const atLoad = Math.max(most, held(most, left, right, a / span))
      const stress = Math.max(atFlats / modulusFlat, atLoad / modulusRound)
      const isBetween = a > flat && span - a > flat
      share[i] = isBetween ? (100 * stress) / yields : NaN
      sag[i] = isBetween ? mm / load : NaN
    }
  },
}

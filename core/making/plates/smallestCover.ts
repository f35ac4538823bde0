import type { Place2 } from '../../base/outline/polygon'

/** A place and how far from it is allowed. */
export interface Allowed {
  readonly at: Place2
  readonly playMm: number
}

/** The place whose largest distance beyond what is allowed is least, and that distance. */
export interface Cover {
  readonly at: Place2
  readonly beyondMm: number
}

const NEAR = 1e-10
const MOST_ROUNDS = 1000

/**
 * The least circle over circles, with plays as their radii taken away: it hangs on three of them at most, and one that is beyond it joins those it hangs
 * on (a linear-type program; Matoušek, Sharir and Welzl 1996).
 */
export function smallestCover(all: readonly Allowed[]): Cover {
  const beyond = (at: Place2, one: Allowed) => Math.hypot(at[0] - one.at[0], at[1] - one.at[1]) - one.playMm
  let basis: readonly Allowed[] = [all[0] as Allowed]
  let cover = ofOne(all[0] as Allowed)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const worst = all.reduce((most, one) => (beyond(cover.at, one) > beyond(cover.at, most) ? one : most))
    if (basis.includes(worst) || beyond(cover.at, worst) <= cover.beyondMm + NEAR) return cover
    const [next, its] = coverWith(basis, worst)
    if (!(its.beyondMm > cover.beyondMm)) return cover
    ;[basis, cover] = [next, its]
  }
  return cover
}

/** Over those it hung on and one more: the least that hangs on the new one and covers them all. */
function coverWith(basis: readonly Allowed[], worst: Allowed): [readonly Allowed[], Cover] {
  const all = [...basis, worst]
  const covers = (cover: Cover) =>
    all.every(
      ({ at, playMm }) =>
        Math.hypot(cover.at[0] - at[0], cover.at[1] - at[1]) - playMm <= cover.beyondMm + 1e-8,
    )
  const sets: Allowed[][] = [[worst], ...basis.map((one) => [one, worst])]
  basis.forEach((one, i) => basis.slice(i + 1).forEach((other) => sets.push([one, other, worst])))
  let found: [readonly Allowed[], Cover] | null = null
  for (const set of sets)
    for (const cover of coversOf(set))
      if (covers(cover) && (!found || cover.beyondMm < found[1].beyondMm)) found = [set, cover]
  return found ?? [basis, { at: worst.at, beyondMm: -Infinity }]
}

const ofOne = ({ at, playMm }: Allowed): Cover => ({ at, beyondMm: -playMm })

function coversOf([a, b, c]: readonly Allowed[]): Cover[] {
  if (!a) return []
  if (!b) return [ofOne(a)]
  return c ? ofThree(a, b, c) : ofTwo(a, b)
}

function ofTwo(a: Allowed, b: Allowed): Cover[] {
  const [dx, dy] = [b.at[0] - a.at[0], b.at[1] - a.at[1]]
  const apart = Math.hypot(dx, dy)
  if (apart <= Math.abs(a.playMm - b.playMm)) return []
  const beyondMm = (apart - a.playMm - b.playMm) / 2
  const share = (beyondMm + a.playMm) / apart
  return [{ at: [a.at[0] + share * dx, a.at[1] + share * dy], beyondMm }]
}

/** `|t − q_k| = r + p_k` for three (Apollonius): the place is linear in r, and r a root of a square. */
function ofThree(a: Allowed, b: Allowed, c: Allowed): Cover[] {
  const row = (one: Allowed) => {
    const [x, y] = [one.at[0] - a.at[0], one.at[1] - a.at[1]]
    const [more, squares] = [one.playMm - a.playMm, x * x + y * y - (one.playMm ** 2 - a.playMm ** 2)]
    return { x, y, more, squares }
  }
  const [one, two] = [row(b), row(c)]
  const size = one.x * two.y - one.y * two.x
  if (Math.abs(size) < 1e-9) return []
  // x·X + y·Y = squares/2 − r·more, so the place is from + r·by.
  const solved = (u: number, v: number): Place2 => [
    (u * two.y - v * one.y) / size,
    (one.x * v - two.x * u) / size,
  ]
  const from = solved(one.squares / 2, two.squares / 2)
  const by = solved(-one.more, -two.more)
  const square = by[0] ** 2 + by[1] ** 2 - 1
  const half = from[0] * by[0] + from[1] * by[1] - a.playMm
  const rest = from[0] ** 2 + from[1] ** 2 - a.playMm ** 2
  return rootsOf(square, half, rest)
    .filter((r) => r + Math.min(a.playMm, b.playMm, c.playMm) >= -NEAR)
    .map((r) => ({ at: [a.at[0] + from[0] + r * by[0], a.at[1] + from[1] + r * by[1]], beyondMm: r }))
}

/** Roots of a·r² + 2b·r + c. */
function rootsOf(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12) return Math.abs(b) < 1e-12 ? [] : [-c / (2 * b)]
  const under = b * b - a * c
  if (under < 0) return []
  const root = Math.sqrt(under)
  return [(-b - root) / a, (-b + root) / a]
}

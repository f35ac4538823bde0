import { radians } from '../../base/units/angle'

/** A bend of a blank: its middle from the left end, and its turn going right, up positive. */
export interface PressBend {
  readonly atMm: number
  readonly turnDeg: number
}

/** What the bar has to clear, along it: the die's opening, the whole die block below, the ram above. */
export interface Press {
  readonly dieMm: number
  readonly blockMm: number
  readonly ramMm: number
}

/** A bend in its turn. */
export interface PressStep {
  /** Of the bends told. */
  readonly bend: number
  /** The bar lies on its other face than for the bend before. */
  readonly isTurnedOver: boolean
}

/** Why a bend cannot be made with others done before it. */
export type PressHit =
  /** Less than half the die's opening is straight beside it. */
  | 'short'
  /** What is bent already stands in the block, or in the ram. */
  | 'block'
  | 'ram'

export type PressOrder =
  | { readonly isPossible: true; readonly steps: readonly PressStep[] }
  /** As far as it goes, and the bends that are left with what each meets. */
  | {
      readonly isPossible: false
      readonly done: readonly PressStep[]
      readonly left: readonly { readonly bend: number; readonly hit: PressHit }[]
    }

/** While it is bent the bar is looked at so many times, its legs every so far. */
const LOOKS = 8
const STRIDE_MM = 2

/**
 * An order in which all bends of a flat bar can be pressed: the bend stands over the die and both legs rise; nothing that is bent already may stand in the
 * block below or in the ram above, and half the die is straight to both sides. Of the orders that do, one with the fewest turnings over.
 *
 * Legs run from middle to middle of the bends: what a bend is round takes or gives is left out.
 */
export function pressOrder(
  blankMm: number,
  thicknessMm: number,
  bends: readonly PressBend[],
  press: Press,
): PressOrder {
  const bar = { blankMm, thicknessMm, bends }
  let best: readonly PressStep[] | null = null
  let furthest: readonly PressStep[] = []
  const turnings = (steps: readonly PressStep[]) => steps.filter(({ isTurnedOver }) => isTurnedOver).length
  const search = (steps: readonly PressStep[]): void => {
    if (best && turnings(steps) >= turnings(best)) return
    if (steps.length > furthest.length) furthest = steps
    if (steps.length === bends.length) best = steps
    const done = steps.map(({ bend }) => bend)
    bends.forEach(({ turnDeg }, bend) => {
      if (done.includes(bend) || hitOf(bar, done, bend, press) !== null) return
      const last = bends[done.at(-1) ?? bend]?.turnDeg ?? turnDeg
      search([...steps, { bend, isTurnedOver: turnDeg * last < 0 }])
    })
  }
  search([])
  if (best) return { isPossible: true, steps: best }
  const done = furthest.map(({ bend }) => bend)
  const left = bends.flatMap((_, bend) => {
    const hit = done.includes(bend) ? null : hitOf(bar, done, bend, press)
    return hit === null ? [] : [{ bend, hit }]
  })
  return { isPossible: false, done: furthest, left }
}

interface Bar {
  readonly blankMm: number
  readonly thicknessMm: number
  readonly bends: readonly PressBend[]
}

/** What stands in the way of a bend with others done. */
function hitOf(bar: Bar, done: readonly number[], bend: number, press: Press): PressHit | null {
  const { atMm, turnDeg } = bar.bends[bend] as PressBend
  const bent = done.map((one) => bar.bends[one] as PressBend)
  const sides = ([1, -1] as const).map((sense) => {
    const end = sense > 0 ? bar.blankMm - atMm : atMm
    const corners = bent
      .map((one) => ({ awayMm: sense * (one.atMm - atMm), riseDeg: Math.sign(turnDeg) * one.turnDeg }))
      .filter(({ awayMm }) => awayMm > 0)
      .toSorted((a, b) => a.awayMm - b.awayMm)
    return { end, corners }
  })
  if (sides.some(({ end, corners }) => (corners[0]?.awayMm ?? end) < press.dieMm / 2)) return 'short'
  for (let look = 0; look <= LOOKS; look++) {
    const lift = (radians(Math.abs(turnDeg)) / 2) * (look / LOOKS)
    for (const side of sides) {
      const hit = legHit(side, lift, bar.thicknessMm, press)
      if (hit) return hit
    }
  }
  return null
}

interface Side {
  readonly end: number
  readonly corners: readonly { readonly awayMm: number; readonly riseDeg: number }[]
}

/** Along one side of a bar that lies over the die with its leg risen so far: whether it stands in the block or in the ram. */
function legHit({ end, corners }: Side, lift: number, thicknessMm: number, press: Press): PressHit | null {
  let [x, z, angle, run] = [0, 0, lift, 0]
  const legs = [...corners, { awayMm: end, riseDeg: 0 }]
  for (const [leg, { awayMm, riseDeg }] of legs.entries()) {
    const long = awayMm - run
    const [dx, dz] = [Math.cos(angle), Math.sin(angle)]
    // The leg that lies on the die itself is what the press is made for.
    for (let s = STRIDE_MM; leg > 0 && s <= long; s += STRIDE_MM) {
      const [px, pz] = [x + s * dx, z + s * dz]
      if (Math.abs(px) < press.blockMm / 2 && pz < -thicknessMm / 2) return 'block'
      if (Math.abs(px) < press.ramMm / 2 && pz > thicknessMm / 2) return 'ram'
    }
    ;[x, z, run] = [x + long * dx, z + long * dz, awayMm]
    angle += radians(riseDeg)
  }
  return null
}

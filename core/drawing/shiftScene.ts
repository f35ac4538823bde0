import type { Place2 } from '../base/outline/polygon'
import { radians } from '../base/units/angle'
import type { Vec3 } from '../base/linalg/vec3'
import type { ArmLies } from '../file/parts/armWays'
import type { ShiftEnd } from '../file/parts/shiftLinkage'
import type { ShiftEvaluation } from '../model/shiftFound'
import { pinAt, type Arm } from '../shift/rod/arm'

/** From where a linkage is seen. */
export type ShiftView = 'side' | 'behind' | 'above'

/** An arm with its pin in every gate; px, y down. */
export interface ShiftArmDrawn {
  readonly end: ShiftEnd
  readonly pivot: Place2
  /** It is seen turning: only then are its gates told apart. */
  readonly isTurning: boolean
  /** In the gate that is looked at: the lever in it, the gearbox where the rod puts it. */
  readonly pin: Place2 | null
  readonly gates: readonly {
    readonly id: string
    readonly name: string
    /** Where the pin is read in this gate. */
    readonly at: Place2
    readonly label: Place2
  }[]
}

/** Two arms and their rod. */
/** The knob of a lever in every gate, and what is near it; px, y down. */
export interface KnobDrawn {
  /** In the gate that is looked at. */
  readonly at: Place2
  readonly gates: readonly Place2[]
  readonly near: readonly { readonly at: Place2; readonly radius: number; readonly isClose: boolean }[]
}

export interface ShiftScene {
  readonly view: ShiftView
  readonly width: number
  readonly height: number
  readonly arms: readonly [ShiftArmDrawn, ShiftArmDrawn]
  readonly pxPerMm: number
  /** Null where nobody told it. */
  readonly knob: KnobDrawn | null
  /** Outer fixings of the cable that works it; null for a rod. */
  readonly cable: readonly [Place2, Place2] | null
}

/** Forward is to the left, as everywhere; from behind, left is at the left; from above, left is up. */
const VIEWS: Readonly<Record<ShiftView, (at: Vec3) => Place2>> = {
  side: ([x, , z]) => [-x, z],
  behind: ([, y, z]) => [-y, z],
  above: ([x, y]) => [-x, y],
}
const VIEW_OF: Readonly<Record<ArmLies, ShiftView>> = { across: 'side', along: 'behind', upright: 'above' }
const EDGE_PX = 46
const MOST_HIGH = 330
/** Names of gates stand so far beyond their pins. */
const BEYOND_PX = 17

/** The views in which an arm of a linkage is seen turning: one where both turn alike. */
export const shiftViews = ({ shift: { lever, box } }: Pick<ShiftEvaluation, 'shift'>): ShiftView[] => [
  ...new Set([VIEW_OF[box.lies], VIEW_OF[lever.lies]]),
]

/**
 * The picture of a linkage from one side.
 *
 * @param gate - the one that is looked at
 * @returns null while it is not known
 */
export function shiftScene(
  { shift, found }: ShiftEvaluation,
  gate: string,
  view: ShiftView,
  width: number,
): ShiftScene | null {
  if (!found.known) return null
  const { arms, gates, knob, cable } = found.value
  const seen = VIEWS[view]
  const pinOf = (end: ShiftEnd, deg: number) => seen(pinAt(arms[end], radians(deg)))
  const read = (end: ShiftEnd) => (end === 'lever' ? 'leverDeg' : 'boxDeg')
  const all = (['lever', 'box'] as const).flatMap((end) => [
    seen(arms[end].pivot),
    ...gates.map((one) => pinOf(end, one[read(end)])),
  ])
  if (cable) all.push(seen(cable.from), seen(cable.to))
  if (knob)
    all.push(
      ...[...knob.gates.map(({ at }) => at), ...knob.beyond, ...knob.near.map(({ at }) => at)].map(seen),
    )
  const range = (k: 0 | 1) =>
    [Math.min(...all.map((one) => one[k])), Math.max(...all.map((one) => one[k]))] as const
  const [[left, right], [low, high]] = [range(0), range(1)]
  const pxPerMm = Math.min(
    (width - 2 * EDGE_PX) / Math.max(1, right - left),
    MOST_HIGH / Math.max(1, high - low),
  )
  const inset = (width - pxPerMm * (right - left)) / 2
  const px = ([x, y]: Place2): Place2 => [inset + (x - left) * pxPerMm, EDGE_PX + (high - y) * pxPerMm]
  const chosen = gates.find(({ id }) => id === gate) ?? gates[0]
  const drawn = (end: ShiftEnd): ShiftArmDrawn => {
    const pivot = px(seen(arms[end].pivot))
    return {
      end,
      pivot,
      isTurning: VIEW_OF[shift[end].lies] === view,
      pin: chosen ? pinNow(end, arms[end]) : null,
      gates: namedClear(
        gates.map((one) => ({ id: one.id, name: one.name, at: px(pinOf(end, one[read(end)])) })),
        pivot,
      ),
    }
  }
  const pinNow = (end: ShiftEnd, arm: Arm): Place2 | null => {
    if (!chosen) return null
    if (end === 'lever') return px(seen(pinAt(arm, radians(chosen.leverDeg))))
    const { errorDeg } = chosen.figures
    return errorDeg === undefined ? null : px(seen(pinAt(arm, radians(chosen.boxDeg + errorDeg))))
  }
  return {
    ...{ view, width, pxPerMm },
    height: 2 * EDGE_PX + pxPerMm * (high - low),
    arms: [drawn('lever'), drawn('box')],
    cable: cable && [px(seen(cable.from)), px(seen(cable.to))],
    knob: knob && {
      at: px(seen((knob.gates.find((one) => one.gate === chosen?.id) ?? knob.gates[0])?.at ?? [0, 0, 0])),
      gates: [...knob.gates.map(({ at }) => at), ...knob.beyond].map((at) => px(seen(at))),
      near: knob.near.map(({ at, wantedMm, gapMm }) => ({
        ...{ at: px(seen(at)), radius: wantedMm * pxPerMm, isClose: gapMm < wantedMm },
      })),
    },
  }
}

/** Widths of letters and heights of lines of names, in px. */
const LETTER_PX = 8
const LINE_PX = 17

/** Gates with their names beyond their pins; one that would lie on another goes a line further out. */
function namedClear<Gate extends { readonly name: string; readonly at: Place2 }>(
  gates: readonly Gate[],
  pivot: Place2,
): (Gate & { readonly label: Place2 })[] {
  const named: (Gate & { readonly label: Place2 })[] = []
  for (const gate of gates) {
    let label = beyond(pivot, gate.at, BEYOND_PX)
    for (let line = 1; line < gates.length && named.some((other) => covers(gate.name, label, other)); line++)
      label = beyond(pivot, gate.at, BEYOND_PX + line * LINE_PX)
    named.push({ ...gate, label })
  }
  return named
}

const covers = (
  name: string,
  [x, y]: Place2,
  other: { readonly name: string; readonly label: Place2 },
): boolean =>
  Math.abs(y - other.label[1]) < LINE_PX - 2 &&
  Math.abs(x - other.label[0]) < ((name.length + other.name.length) / 2) * LETTER_PX

function beyond([px, py]: Place2, [x, y]: Place2, byPx: number): Place2 {
  const long = Math.hypot(x - px, y - py) || 1
  return [x + ((x - px) / long) * byPx, y + ((y - py) / long) * byPx]
}

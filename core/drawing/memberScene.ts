import type { Place2 } from '../base/outline/polygon'
import { allKnown, mapKnown, type Known } from '../base/known'
import type { MemberEvaluation } from '../model/memberSubject'
import type { WayFound } from '../model/memberWork'
import { memberLayout, RAIL, type MemberLayout, type MemberShape } from './memberLayout'

/** A crossmember from behind, the left rail at the left: x along it from the left rail's seat, y down, in px. */
export interface MemberScene {
  readonly width: number
  readonly height: number
  readonly pxPerMm: number
  readonly shapes: readonly MemberShape[]
  /** Below the corners of the bar, from the left: room for what stands there. */
  readonly corners: readonly Place2[]
  /** From each rail to the gearbox, and where they stand. */
  readonly ways: readonly { readonly from: Place2; readonly to: Place2; readonly mm: number }[]
  /** From the lowest of it to the ground; null while that is not known. */
  readonly ground: { readonly from: Place2; readonly to: Place2; readonly mm: number } | null
}

const CORNER_PX = 17
const EDGE_PX = { side: 26, top: 18, foot: 46 }
/** The ground is drawn no further below the bar than this share of the span. */
const GROUND_SHARE = 0.5

/**
 * The picture of one way to make a crossmember; the other ways are ghosts behind it.
 *
 * @returns unknown with what is missing for it
 */
export function memberScene(found: MemberEvaluation, way: WayFound, width: number): Known<MemberScene> {
  return mapKnown(allKnown([found.seats, way.figures] as const), ([seats]) => {
    const layout = memberLayout(found, way, seats)
    const ghosts = found.ways.flatMap((other) =>
      other === way || !other.figures.known
        ? []
        : [
            {
              part: 'ghost' as const,
              points:
                memberLayout(found, other, seats).shapes.find(({ part }) => part === 'bar')?.points ?? [],
            },
          ],
    )
    return drawn({ ...layout, shapes: [...ghosts, ...layout.shapes] }, width)
  })
}

function drawn(
  { shapes, path, half, span, along, lowest, groundMm, top }: MemberLayout,
  width: number,
): MemberScene {
  const reach = RAIL.wide + 30
  const pxPerMm = (width - 2 * EDGE_PX.side) / (span + 2 * reach)
  const fall = groundMm === null ? 40 : Math.min(groundMm, GROUND_SHARE * span)
  const at = ([x, z]: Place2): Place2 => [
    EDGE_PX.side + (x + reach) * pxPerMm,
    EDGE_PX.top + (top - z) * pxPerMm,
  ]
  const floor = lowest[1] - fall
  const foot = at([0, floor])[1]
  return {
    width,
    height: foot + EDGE_PX.foot,
    pxPerMm,
    shapes: shapes.map(({ part, points }) => ({ part, points: points.map(at) })),
    corners: path.slice(1, -1).map(([x, z]) => {
      const [right, down] = at([x, z - half])
      return [right, down + CORNER_PX]
    }),
    ways: [
      { from: [at([0, 0])[0], foot + 22], to: [at([along, 0])[0], foot + 22], mm: along },
      { from: [at([along, 0])[0], foot + 22], to: [at([span, 0])[0], foot + 22], mm: span - along },
    ],
    ground: groundMm === null ? null : { from: at(lowest), to: [at(lowest)[0], foot], mm: groundMm },
  }
}

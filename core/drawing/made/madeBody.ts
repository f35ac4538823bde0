import { isCut, type MakingState } from '../../file/kinds/madePart'
import type { ItemBody } from '../../file/parts/body'
import type { Outline } from '../../file/parts/outline'

/** Parts that are made and can stand in the bay. */
export type MadeKind = 'bar' | 'tube' | 'plate'

/** What is told of any of them. */
export interface MadePart {
  readonly id: string
  readonly name: string
  readonly state?: MakingState | undefined
}

/** Corners are kept to this, in mm: finer than anybody sets a part. */
const STEP_MM = 0.1

/** Id of the body that a made part is in the bay. */
export const madeBodyId = (kind: MadeKind, partId: string): string => `${kind}-${partId}`.slice(0, 64)

/** A made part as a body of the bay: a place kept free until it is cut. */
export const madeBody = (kind: MadeKind, part: MadePart, outlines: readonly Outline[]): ItemBody => ({
  id: madeBodyId(kind, part.id),
  name: part.name,
  kind: 'item',
  ...(!isCut(part) && { provisional: true }),
  outlines: outlines.map((outline) => ({
    ...outline,
    corners: outline.corners.map(([x, y]) => [stepped(x), stepped(y)] as const),
  })),
})

const stepped = (mm: number): number => Math.round(mm / STEP_MM) / (1 / STEP_MM)

/** True where a body of the bay is no longer as the part stands, or the part has been cut since. */
export const isOtherwise = (
  { outlines = [], provisional = false }: Pick<ItemBody, 'outlines' | 'provisional'>,
  now: ItemBody,
): boolean =>
  provisional !== (now.provisional ?? false) ||
  outlines.length !== now.outlines?.length ||
  outlines.some(({ view, corners }, k) => {
    const own = now.outlines?.[k]
    return (
      view !== own?.view ||
      corners.length !== own.corners.length ||
      corners.some((corner, at) =>
        corner.some(
          (mm, axis) => !(Math.abs(mm - (own.corners[at]?.[axis as 0 | 1] ?? NaN)) < 1.5 * STEP_MM),
        ),
      )
    )
  })

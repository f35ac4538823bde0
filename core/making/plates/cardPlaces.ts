import { answered } from '../../base/answered'
import { andThen, known, type Known, type Missing } from '../../base/known'
import type { Place2 } from '../../base/outline/polygon'
import type { Plate, PlateCard } from '../../file/kinds/plateKinds'
import { photoMap } from '../../measure/tracing/photoScale'

/** What a card says of a face: its holes, and round its metal where that was traced. */
export interface CardPlaces {
  readonly places: ReadonlyMap<string, Place2>
  readonly traced: readonly Place2[] | null
}

/**
 * Holes as they were pressed into a card, from its photograph: mm to the right of its first mark and above it, from the front.
 *
 * @returns unknown with what is still to be marked; marks that lie on each other scale nothing
 */
export function cardPlaces(holes: Plate['holes'], card: PlateCard, face: string): Known<CardPlaces> {
  const { first, second, apartMm, marks = [], outline = [], isBack = false } = card
  const missing: Missing[] = [
    ...(first && second ? [] : [{ what: `two marks on the card of the ${face}`, path: 'plates' }]),
    ...(apartMm === undefined
      ? [{ what: `how far the marks on the card of the ${face} are apart`, path: 'plates' }]
      : []),
    ...holes.flatMap(({ id }) =>
      marks.some(({ hole }) => hole === id)
        ? []
        : [{ what: `hole ${id} on the card of the ${face}`, path: 'plates' }],
    ),
  ]
  if (!first || !second || apartMm === undefined || missing.length > 0)
    return { known: false, missing: missing.slice(0, 3) }
  const map = answered(() =>
    photoMap({
      points: [
        [first.x, first.y],
        [second.x, second.y],
      ],
      places: [[0, 0]],
      distanceMm: apartMm,
      seenFrom: isBack ? 'right' : 'left',
    }),
  )
  return andThen(map, ({ toPlace }) =>
    known({
      places: new Map(marks.map(({ hole, at }): [string, Place2] => [hole, toPlace([at.x, at.y])])),
      traced: outline.length < 3 ? null : outline.map(({ x, y }) => toPlace([x, y])),
    }),
  )
}

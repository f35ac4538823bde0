import { answered } from '../../base/answered'
import { known, mapKnown, type Known, type Missing } from '../../base/known'
import type { Place2 } from '../../base/outline/polygon'
import type { Plate, PlateFace } from '../../file/kinds/plateKinds'
import { cardPlaces } from './cardPlaces'
import { holePattern, type HolePattern } from './holePattern'

/** Where the holes of one face lie, as one looks at it from the front. */
export interface FacePlaces {
  readonly places: ReadonlyMap<string, Place2>
  /** What its tapes say of each other; null where it was not taped. */
  readonly pattern: HolePattern | null
  /** Round its metal, as a card has it; null where it is told by its holes. */
  readonly traced: readonly Place2[] | null
}

type Hole = Plate['holes'][number]

/** A face by its tapes where there are any, else by its card, else by coordinates. */
export function facePlaces(
  { holes, ...faces }: Plate,
  face: 'plate' | 'bosses',
  spot: 'at' | 'boss',
  diameter: (hole: Hole) => number | undefined,
): Known<FacePlaces> {
  const read = faces[face]
  if (read && read.tapes.length > 0) return answered(() => byTapes(holes, read, diameter))
  if (read?.card) return mapKnown(cardPlaces(holes, read.card, face), (card) => ({ ...card, pattern: null }))
  const lacks = holes.flatMap((hole): Missing[] =>
    hole[spot] ? [] : [{ what: `hole ${hole.id} of the ${face}: tapes, a card or a place`, path: 'plates' }],
  )
  if (lacks.length > 0) return { known: false, missing: lacks.slice(0, 3) }
  const places = new Map(
    holes.map((hole): [string, Place2] => [hole.id, [hole[spot]?.xMm ?? NaN, hole[spot]?.yMm ?? NaN]]),
  )
  return known({ places, pattern: null, traced: null })
}

function byTapes(
  holes: readonly Hole[],
  { tapes, third }: PlateFace,
  diameter: (hole: Hole) => number | undefined,
): FacePlaces {
  const diameters = new Map(
    holes.flatMap((hole) => {
      const mm = diameter(hole)
      return mm === undefined ? [] : [[hole.id, mm] as const]
    }),
  )
  const pattern = holePattern({
    holes: holes.map(({ id }) => id),
    distances: tapes.map(({ a, b, mm, over }) => ({ a, b, mm, mode: over })),
    diameters,
  })
  const side = third === 'left' ? 1 : -1
  const places = new Map([...pattern.places].map(([id, [x, y]]): [string, Place2] => [id, [x, side * y]]))
  return { places, pattern, traced: null }
}

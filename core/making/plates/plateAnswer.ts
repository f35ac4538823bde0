import { answered } from '../../base/answered'
import { allKnown, known, mapKnown, unknown, type Known, type Missing } from '../../base/known'
import type { Place2 } from '../../base/outline/polygon'
import type { Plate, PlateFace } from '../../file/kinds/plateKinds'
import { bossSpacers, type BossSpacers } from './bossSpacers'
import { holePattern, type HolePattern } from './holePattern'
import { keepOut, type ZoneFound } from './keepOut'
import { fitPlate, type PlateFit } from './plateFit'
import { plateOutline } from './plateOutline'

/** Where the holes of one face lie, as one looks at it from the front. */
export interface FacePlaces {
  readonly places: ReadonlyMap<string, Place2>
  /** What its tapes say of each other; null where coordinates were given. */
  readonly pattern: HolePattern | null
}

/** All that is found of a plate; each waits for its own figures. */
export interface PlateAnswer {
  readonly plate: Known<FacePlaces>
  readonly bosses: Known<FacePlaces>
  readonly fit: Known<PlateFit>
  readonly spacers: Known<BossSpacers>
  /** What it must leave free. */
  readonly zones: Known<readonly ZoneFound[]>
}

/** A plate on its bosses: by tapes where there are any, else by coordinates. */
export function plateAnswer(plate: Plate): PlateAnswer {
  const faces = {
    plate: facePlaces(plate, 'plate', 'at', ({ holeMm }) => holeMm),
    bosses: facePlaces(plate, 'bosses', 'boss', ({ bossMm }) => bossMm),
  }
  const zones = mapKnown(faces.plate, ({ places }) => keepOut(plate, places, plateOutline(plate, places)))
  return { ...faces, fit: fitOf(plate, faces), spacers: spacersOf(plate, faces.bosses), zones }
}

type Hole = Plate['holes'][number]

function facePlaces(
  { holes, ...faces }: Plate,
  face: 'plate' | 'bosses',
  spot: 'at' | 'boss',
  diameter: (hole: Hole) => number | undefined,
): Known<FacePlaces> {
  const read = faces[face]
  if (read && read.tapes.length > 0) return answered(() => byTapes(holes, read, diameter))
  const lacks = holes.flatMap((hole): Missing[] =>
    hole[spot] ? [] : [{ what: `hole ${hole.id} of the ${face}: tapes or a place`, path: 'plates' }],
  )
  if (lacks.length > 0) return { known: false, missing: lacks.slice(0, 3) }
  const places = new Map(
    holes.map((hole): [string, Place2] => [hole.id, [hole[spot]?.xMm ?? NaN, hole[spot]?.yMm ?? NaN]]),
  )
  return known({ places, pattern: null })
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
  return { places, pattern }
}

const fitOf = (
  { holes, seenFrom }: Plate,
  { plate, bosses }: Pick<PlateAnswer, 'plate' | 'bosses'>,
): Known<PlateFit> => {
  const both = allKnown([plate, bosses] as const)
  if (!both.known) return both
  const [there, here] = both.value
  return answered(() =>
    fitPlate({
      holes: holes.map(({ id, holeMm, boltMm, dowel = false }) => ({
        id,
        holeMm,
        boltMm,
        isDowel: dowel,
        at: there.places.get(id) ?? [NaN, NaN],
        boss: here.places.get(id) ?? [NaN, NaN],
      })),
      seenFrom,
    }),
  )
}

function spacersOf({ holes, leastSpacerMm = 0 }: Plate, bosses: Known<FacePlaces>): Known<BossSpacers> {
  const lacks = holes.find(({ depthMm }) => depthMm === undefined)
  if (lacks) return unknown(`how deep the boss of hole ${lacks.id} lies below a straight edge`)
  if (!bosses.known) return bosses
  return answered(() =>
    bossSpacers({
      bosses: holes.map(({ id, depthMm = NaN }) => ({
        id,
        depthMm,
        at: bosses.value.places.get(id) ?? [NaN, NaN],
      })),
      leastMm: leastSpacerMm,
    }),
  )
}

/** How far the worst hole is beyond its play. */
export const missOf = ({ fit }: PlateAnswer): Known<number> => mapKnown(fit, ({ missMm }) => missMm)

import { answered } from '../../base/answered'
import { allKnown, andThen, mapKnown, unknown, type Known } from '../../base/known'
import type { Plate } from '../../file/kinds/plateKinds'
import { plateEdges, type PlateEdges } from '../bolts/plateEdges'
import { bossSpacers, type BossSpacers } from './bossSpacers'
import { facePlaces, type FacePlaces } from './facePlaces'
import { keepOut, type ZoneFound } from './keepOut'
import { fitPlate, type PlateFit } from './plateFit'
import { plateOutline } from './plateOutline'

/** All that is found of a plate; each waits for its own figures. */
export interface PlateAnswer {
  readonly plate: Known<FacePlaces>
  readonly bosses: Known<FacePlaces>
  readonly fit: Known<PlateFit>
  readonly spacers: Known<BossSpacers>
  /** What it must leave free. */
  readonly zones: Known<readonly ZoneFound[]>
  /** How near its holes stand to its edges, and to each other. */
  readonly edges: Known<PlateEdges>
}

/** A plate on its bosses. */
export function plateAnswer(plate: Plate): PlateAnswer {
  const faces = {
    plate: facePlaces(plate, 'plate', 'at', ({ holeMm }) => holeMm),
    bosses: facePlaces(plate, 'bosses', 'boss', ({ bossMm }) => bossMm),
  }
  const cut = mapKnown(faces.plate, (face) => ({ face, outline: plateOutline(plate, face) }))
  return {
    ...faces,
    fit: fitOf(plate, faces),
    spacers: spacersOf(plate, faces.bosses),
    zones: mapKnown(cut, ({ face, outline }) => keepOut(plate, face.places, outline)),
    edges: andThen(cut, ({ face, outline }) =>
      answered(() =>
        plateEdges(
          outline,
          plate.holes.map(({ id, holeMm }) => ({ id, holeMm, at: face.places.get(id) ?? [NaN, NaN] })),
        ),
      ),
    ),
  }
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
  const there = holes.flatMap(({ id, spacerMm }) => (spacerMm === undefined ? [] : [[id, spacerMm] as const]))
  const fitted = there.length === holes.length ? new Map(there) : null
  return answered(() =>
    bossSpacers({
      bosses: holes.map(({ id, depthMm = NaN }) => ({
        id,
        depthMm,
        at: bosses.value.places.get(id) ?? [NaN, NaN],
      })),
      leastMm: leastSpacerMm,
      ...(fitted && { fitted }),
    }),
  )
}

/** How far the worst hole is beyond its play. */
export const missOf = ({ fit }: PlateAnswer): Known<number> => mapKnown(fit, ({ missMm }) => missMm)

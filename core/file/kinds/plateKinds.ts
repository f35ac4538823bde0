import { boolean, object } from 'yup'
import { figure, list, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { askPlace, type Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { partMade } from './madePart'
import { length } from './quantityRow'
import type { SubjectKinds } from './subjectKinds'

/** How a tape lies over two holes. */
export const TAPE_MODES = ['centre', 'inner', 'outer'] as const
export const MOST_HOLES = 24

const spotShape = object({ xMm: figure(-1e4, 1e4).required(), yMm: figure(-1e4, 1e4).required() })

const holeShape = object({
  /** What it is called: a letter or two. */
  id: requiredId(),
  /** Of the plate's hole, and of the bolt in it. */
  holeMm: figure(1, 200).required(),
  boltMm: figure(1, 200).required(),
  /** Fixes the plate: is never opened. */
  dowel: boolean(),
  /** Of the hole in the boss, for tapes over its edges. */
  bossMm: figure(1, 200),
  /** Where they lie, where nothing was taped: to the right and up as one looks at it from the front. */
  at: spotShape.default(undefined).optional(),
  boss: spotShape.default(undefined).optional(),
  /** How far the boss lies below one straight edge laid over all. */
  depthMm: figure(-500, 500),
  /** The spacer that is there. */
  spacerMm: figure(0, 500),
})

const tapeShape = object({
  a: requiredId(),
  b: requiredId(),
  mm: figure(0.1, 1e4).required(),
  over: wordField(TAPE_MODES).required(),
})

/** A place on a picture: px from its left edge and from its top. */
const pixelShape = object({ x: figure(0, 1e5).required(), y: figure(0, 1e5).required() })

/** A photograph of a card that holes were pressed into, lying flat; scaled by two marks so far apart. */
const cardShape = object({
  photo: requiredId(),
  first: pixelShape.default(undefined).optional(),
  second: pixelShape.default(undefined).optional(),
  apartMm: figure(1, 1e4),
  /** Of the side that lay on the metal: then left is right. */
  isBack: boolean(),
  /** Middles of the holes. */
  marks: list(object({ hole: requiredId(), at: pixelShape.required() }), MOST_HOLES),
  /** Round the metal, where it is to be as the card. */
  outline: list(pixelShape, 200),
})

/** Tapes of one face, and on which side of the line from the first hole to the second the third lies: tapes do not know. */
const faceShape = object({
  tapes: list(tapeShape, (MOST_HOLES * (MOST_HOLES - 1)) / 2).required(),
  third: wordField(['left', 'right'] as const).required(),
  /** Where nothing was taped. */
  card: cardShape.default(undefined).optional(),
})

/** What lies on the plate and has to stay free: a rectangle, from the first hole along the line to the second, and to the left of that. */
const zoneShape = object({
  id: requiredId(),
  name: requiredName(),
  alongMm: figure(-1e4, 1e4).required(),
  asideMm: figure(-1e4, 1e4).required(),
  longMm: figure(1, 5000).required(),
  wideMm: figure(1, 5000).required(),
  gapMm: figure(0, 500),
})

const standShape = object({ hole: requiredId(), point: requiredId() })

const plateShape = object({
  id: requiredId(),
  name: requiredName(),
  holes: list(holeShape, MOST_HOLES).min(3).required(),
  /** Read on the plate, and on what it is to sit on, both from the front. */
  plate: faceShape.default(undefined).optional(),
  bosses: faceShape.default(undefined).optional(),
  thicknessMm: figure(0.5, 100).required(),
  /** Metal round the outermost holes, from their edges. */
  marginMm: figure(0, 500).required(),
  leastSpacerMm: figure(0, 200),
  zones: list(zoneShape, 12),
  /** From where it is filed. */
  seenFrom: wordField(['front', 'back'] as const).required(),
  /** Where it stands in the vehicle: three of its holes, each at a point on the face that it lies on. */
  stands: list(standShape, 3).min(3),
  ...partMade,
})

/** A plate with holes that has to fit on bosses. */
export type Plate = Told<typeof plateShape>
export type PlateZone = NonNullable<Plate['zones']>[number]
export type PlateStands = NonNullable<Plate['stands']>
export type PlateHoleEntry = Plate['holes'][number]
export type PlateFace = NonNullable<Plate['plate']>
export type PlateCard = NonNullable<PlateFace['card']>

export interface PlateTypes {
  readonly asked: object
  readonly unasked: object
  readonly targets: object
  readonly lists: { readonly plates?: readonly Plate[] }
}

/** Plates. */
export const KINDS_OF_PLATES = {
  readings: {},
  shapes: {},
  targets: {},
  asks: ({ plates }) =>
    (plates ?? []).flatMap(({ stands = [] }) =>
      stands.flatMap(({ point }) => askPlace({ group: 'gaps', role: 'seat', optional: true }, point)),
    ),
  quantities: {
    'plate-miss': {
      unit: 'mm',
      shown: length,
      label: 'worst hole beyond its play',
      name: 'Hole of a plate beyond its play',
      usualRoom: 0.5,
    },
  },
  levers: {},
  lists: {
    plates: {
      shape: plateShape,
      most: 20,
      holds: 'stands by it',
      names: ({ stands = [] }) =>
        stands.map(({ point }, k) => ({ at: `stands[${k}].point`, in: 'points' as const, id: point })),
      problems: plateProblems,
    },
  },
} as const satisfies SubjectKinds<PlateTypes>

function plateProblems(
  _: Things,
  { holes, plate, bosses, zones = [], stands = [] }: Plate,
  complain: EntryComplaint,
): void {
  holes.forEach(({ id, holeMm, boltMm }, k) => {
    if (holes.slice(0, k).some((other) => other.id === id))
      complain(`holes[${k}].id`, `"${id}" is there twice`)
    if (holeMm < boltMm) complain(`holes[${k}].holeMm`, 'is smaller than its bolt')
  })
  zones.forEach(({ id }, k) => {
    if (zones.slice(0, k).some((other) => other.id === id))
      complain(`zones[${k}].id`, `"${id}" is there twice`)
  })
  const ids = new Set(holes.map(({ id }) => id))
  stands.forEach(({ hole, point }, k) => {
    if (!ids.has(hole)) complain(`stands[${k}].hole`, `there is no hole "${hole}"`)
    for (const [key, id] of Object.entries({ hole, point }))
      if (stands.slice(0, k).some((other) => other[key as 'hole' | 'point'] === id))
        complain(`stands[${k}].${key}`, `"${id}" is there twice`)
  })
  for (const [face, read] of Object.entries({ plate, bosses }))
    read?.tapes.forEach(({ a, b }, k) => {
      const at = `${face}.tapes[${k}]`
      for (const [end, id] of Object.entries({ a, b }))
        if (!ids.has(id)) complain(`${at}.${end}`, `there is no hole "${id}"`)
      if (a === b) complain(`${at}.b`, 'is the hole it begins at')
    })
  for (const [face, read] of Object.entries({ plate, bosses }))
    read?.card?.marks?.forEach(({ hole }, k) => {
      if (!ids.has(hole)) complain(`${face}.card.marks[${k}].hole`, `there is no hole "${hole}"`)
    })
}

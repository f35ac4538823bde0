import { object } from 'yup'
import { figure, list, requiredId, requiredName } from '../parts/fields'
import type { Told } from '../parts/told'
import type { Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** A place on the sheet: from its left edge and from its front edge. */
const spotShape = object({
  fromLeftMm: figure(-1e4, 1e4).required(),
  fromFrontMm: figure(-1e4, 1e4).required(),
})

const touchShape = object({
  id: requiredId(),
  at: spotShape.required(),
  /** What of the sheet is in the way. */
  overlapMm: figure(0, 1000).required(),
  /** How far the part still has to come down. */
  leftMm: figure(0, 3000),
})

export const FEWEST_CORNERS = 3

const cutoutShape = object({
  id: requiredId(),
  name: requiredName(),
  /** The opening before the first touch, corner after corner. */
  corners: list(spotShape, 24).min(FEWEST_CORNERS).required(),
  /** Wanted round what passes. */
  gapMm: figure(0, 500),
  /** One a lowering, in their order; the sheet is cut after each. */
  touches: list(touchShape, 60),
})

/** An opening in a sheet that something is lowered through. */
export type CutoutEntry = Told<typeof cutoutShape>
export type CutoutTouch = NonNullable<CutoutEntry['touches']>[number]

export interface CutoutTypes extends OnlyTold {
  readonly lists: { readonly cutouts?: readonly CutoutEntry[] }
}

/** Openings that are cut to shape. */
export const KINDS_OF_CUTOUTS = {
  ...ONLY_TOLD,
  lists: { cutouts: { shape: cutoutShape, most: 20, names: () => [], problems: cutoutProblems } },
} as const satisfies SubjectKinds<CutoutTypes>

function cutoutProblems(_: Things, { touches = [] }: CutoutEntry, complain: EntryComplaint): void {
  touches.forEach(({ id }, k) => {
    if (touches.slice(0, k).some((other) => other.id === id))
      complain(`touches[${k}].id`, `"${id}" is there twice`)
  })
}

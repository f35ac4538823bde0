import { object } from 'yup'
import { figure, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** Sections of bars, and the sizes that each must have. */
export const SECTION_KINDS = {
  flat: ['widthMm', 'heightMm'],
  box: ['widthMm', 'heightMm', 'wallMm'],
  round: ['heightMm', 'wallMm'],
} as const
export type SectionKind = keyof typeof SECTION_KINDS

const sectionFields = {
  section: wordField(Object.keys(SECTION_KINDS) as SectionKind[]).required(),
  /** Of a flat or a tube with corners. */
  widthMm: figure(1, 1000),
  /** Thickness of a flat; of a round one its diameter. */
  heightMm: figure(0.5, 1000),
  wallMm: figure(0.2, 100),
}

const barShape = object({
  id: requiredId(),
  name: requiredName(),
  ...sectionFields,
  lengthMm: figure(10, 20_000).required(),
  /** As many as are wanted where nothing is said; of remnants those that are there. */
  count: figure(1, 100).integer(),
  /** What one costs; a remnant costs nothing. */
  cost: figure(0, 1e6),
})
/** Bars that can be had, or are left from before. */
export type BarEntry = Told<typeof barShape>

const cutPieceShape = object({
  id: requiredId(),
  name: requiredName(),
  ...sectionFields,
  lengthMm: figure(1, 20_000),
  count: figure(1, 100).integer().required(),
})
/** A piece of the builder's own that is cut from a bar. */
export type CutPieceEntry = Told<typeof cutPieceShape>

export interface BarTypes extends OnlyTold {
  readonly lists: { readonly bars?: readonly BarEntry[]; readonly cutPieces?: readonly CutPieceEntry[] }
}

/** Bars, and what else is cut from them. */
export const KINDS_OF_BARS = {
  ...ONLY_TOLD,
  lists: {
    bars: { shape: barShape, most: 40, names: () => [] },
    cutPieces: { shape: cutPieceShape, most: 60, names: () => [] },
  },
} as const satisfies SubjectKinds<BarTypes>

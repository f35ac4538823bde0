import { maybe, nameField, wordField } from '../parts/fields'
import type { Told } from '../parts/told'

/** How far a made part is. */
export const MAKING_STATES = ['idea', 'template', 'cut', 'tacked', 'welded', 'painted', 'fitted'] as const
export type MakingState = (typeof MAKING_STATES)[number]

/** Lists of a build whose things are made, and say how far they are. */
export const MADE_LISTS = ['crossmembers', 'plates', 'copedTubes', 'pieces'] as const

/** True once the part itself is there, no longer only its place. */
export const isCut = ({ state }: { readonly state?: MakingState | undefined }): boolean =>
  state !== undefined && MAKING_STATES.indexOf(state) >= MAKING_STATES.indexOf('cut')

/** What every made part keeps of its making. */
export const partMade = {
  state: wordField(MAKING_STATES),
  /** What it was really made of, written down when it is cut. */
  asBuilt: maybe({ section: nameField(), grade: nameField(), filler: nameField() }),
}
export type PartMade = NonNullable<Told<ReturnType<typeof maybe<typeof partMade>>>>
export type AsBuilt = NonNullable<PartMade['asBuilt']>

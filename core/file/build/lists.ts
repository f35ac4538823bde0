import type { AnyObject, InferType, ObjectSchema } from 'yup'
import { KINDS } from '../kinds/kinds'
import { list } from '../parts/fields'
import { merged } from '../parts/merged'

/** Every list that subjects add to a build, by its key in the file. */
export const LISTS = merged(KINDS, 'lists')
export type Lists = typeof LISTS
export const LIST_KEYS = Object.keys(LISTS) as (keyof Lists)[]

/** How many entries each may hold. */
export const MOST_ENTRIES = Object.fromEntries(LIST_KEYS.map((key) => [key, LISTS[key].most])) as Readonly<
  Record<keyof Lists, number>
>

/** The shape of each in a file. */
export const LIST_SHAPES = Object.fromEntries(
  LIST_KEYS.map((key) => [key, list(LISTS[key].shape as ObjectSchema<AnyObject>, LISTS[key].most)]),
) as unknown as { readonly [K in keyof Lists]: ReturnType<typeof list<InferType<Lists[K]['shape']>>> }

/** Most entries of each list of a build; the shape of a build and the door both go by it. */
export const LIST_LIMITS = {
  tools: 100,
  setups: 100,
  points: 500,
  axes: 100,
  readings: 5000,
  readingLog: 10_000,
  centrePairs: 50,
  bodies: 60,
  trials: 100,
  states: 20,
  levers: 50,
  positions: 100,
  services: 50,
  photos: 500,
  tubes: 200,
  crosses: 100,
  patterns: 20,
  axleCuts: 10,
  ...MOST_ENTRIES,
} as const

import type { Ask, PointQuantity, TargetFacts, Things } from './ask'
import type { Id } from '../parts/id'
import type { EntryOf, ListFacts } from './listFacts'
import type { LeverKindFacts } from './leverRow'
import type { QuantityFacts } from './quantityRow'
import type { ReadingKindFacts } from './readingRow'
import type { AnyObject, ObjectSchema } from 'yup'

/** Types of what a subject keeps in a build: readings that a tour asks for, other readings, what names the things they are of, lists. */
export interface KindTypes {
  readonly asked: object
  readonly unasked: object
  readonly targets: object
  /** Lists of a build that are its own. */
  readonly lists: object
}

type ValueOf<T> = T[keyof T]
type KeyOfAny<U> = U extends unknown ? keyof U : never

/** Fields that name what a reading is of. */
type TargetKey<T extends KindTypes> = KeyOfAny<ValueOf<T['targets']>>

/** What is read, and of what: an id alone says nothing, for a point may be called like a line. */
export type AskedOf<T extends KindTypes> = {
  [Q in keyof T['asked'] & string]: { readonly quantity: Q } & Pick<
    T['asked'][Q],
    Extract<keyof T['asked'][Q], TargetKey<T>>
  >
}[keyof T['asked'] & string]

/** Readings by their kind. */
export type ReadingsOf<T extends KindTypes> = T['asked'] & T['unasked']

/** What a subject adds to what a build can hold: its kinds of readings, quantities, levers and lists. */
export interface SubjectKinds<T extends KindTypes> {
  readonly readings: {
    readonly [K in keyof ReadingsOf<T>]: ReadingKindFacts<
      ReadingsOf<T>[K],
      keyof T['targets'],
      keyof T['asked']
    >
  }
  /** The shape of each reading in a file. */
  readonly shapes: Readonly<Record<keyof ReadingsOf<T>, ObjectSchema<AnyObject>>>
  readonly targets: { readonly [K in keyof T['targets']]: TargetFacts<T['targets'][K], Things & T['lists']> }
  /** What a tour asks for it. */
  readonly asks: (
    build: Things & T['lists'],
  ) => readonly Ask<AskedOf<T> | { readonly quantity: PointQuantity; readonly point: Id }>[]
  readonly quantities: Readonly<Record<string, QuantityFacts>>
  readonly levers: Readonly<Record<string, LeverKindFacts>>
  readonly lists: { readonly [K in keyof T['lists']]-?: ListFacts<EntryOf<T['lists'][K]>> }
}

import type { InferType } from 'yup'
import type { Body } from '../parts/body'
import type { BODY_SHAPES } from './bodySchema'
import type { Build } from '../build/build'
import { buildSchema } from './buildSchema'
import type { ShaftEnd, SpeedSource } from '../parts/lineSpec'
import type { END_SHAPES, SPEED_SHAPES } from '../kinds/lineList'
import type { Reading } from '../build/reading'
import type { READING_SHAPES } from './readingSchema'

/** True when two types have the same words: of keys, the very same fields. */
type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : false) : false
type IsAny<T> = 0 extends 1 & T ? true : false
type Sort<T> = T extends number ? 'number' : T extends boolean ? 'boolean' : 'string'

/** Places, by the names that lead there, where a type and what the schema lets in are not alike: in their fields, lists, figures, words. */
type Faults<T, W, At extends string = '', Deep extends 0[] = []> =
  IsAny<W> extends true
    ? never
    : Deep['length'] extends 8
      ? never
      : NonNullable<T> extends readonly (infer A)[]
        ? NonNullable<W> extends readonly (infer B)[]
          ? Faults<A, B, At, [...Deep, 0]>
          : `${At} is no list`
        : NonNullable<T> extends object
          ? FieldFaults<NonNullable<T>, NonNullable<W>, At, [...Deep, 0]>
          : Same<Sort<NonNullable<T>>, Sort<NonNullable<W>>> extends true
            ? never
            : `${At} is of another sort`

type FieldFaults<T, W, At extends string, Deep extends 0[]> = string extends keyof T | keyof W
  ? never
  : {
      [K in (keyof T | keyof W) & string]: K extends keyof T
        ? K extends keyof W
          ? Faults<T[K], W[K], `${At}.${K}`, Deep> | MustFault<T[K], W[K], At, K>
          : `${At}.${K} is not let in`
        : `${At}.${K} is let in alone`
    }[(keyof T | keyof W) & string]

type MayLack<T> = undefined extends T ? true : false
/**
 * What must be there in one of the two alone. Of whole objects the schema's type says nothing; lists of a build, the position that is chosen and
 * how figures are written are laid in where a file has none.
 */
type MustFault<T, W, At extends string, K extends string> =
  IsAny<W> extends true
    ? never
    : NonNullable<T> extends readonly unknown[]
      ? At extends 'build'
        ? never
        : Must<T, W, `${At}.${K}`>
      : NonNullable<T> extends object
        ? never
        : `${At}.${K}` extends 'build.chosen' | 'build.id' | `build.units.${string}`
          ? never
          : Must<T, W, `${At}.${K}`>
type Must<T, W, At extends string> =
  Same<MayLack<T>, MayLack<W>> extends true ? never : `${At} must be there in one of the two alone`

type InBuild = Faults<Build, InferType<typeof buildSchema>, 'build'>
type OfKind<T, K> = Extract<T, { kind: K }>
type InReadings = {
  [K in Reading['kind']]: Faults<OfKind<Reading, K>, InferType<(typeof READING_SHAPES)[K]>, K>
}
type InBodies = {
  [K in Body['kind']]: Faults<OfKind<Body, K>, InferType<(typeof BODY_SHAPES)[K]>, K>
}
type InEnds = {
  [K in ShaftEnd['kind']]: Faults<OfKind<ShaftEnd, K>, InferType<(typeof END_SHAPES)[K]>, K>
}
type InSpeeds = {
  [K in SpeedSource['basis']]: Faults<
    Extract<SpeedSource, { basis: K }>,
    InferType<(typeof SPEED_SHAPES)[K]>,
    K
  >
}

/** Every word a type allows. */
type All<T> = T[keyof T]
/** What the type checker says when there is one: its place. */
type None<F> = [F] extends [never] ? true : F

describe('the shape of a build', () => {
  it('is the same in its types and in the schema at the door', () => {
    // The type checker proves these: where the two differ, the place stands in its message.
    const same: readonly [
      None<InBuild>,
      None<All<InReadings>>,
      None<All<InBodies>>,
      None<All<InEnds>>,
      None<All<InSpeeds>>,
    ] = [true, true, true, true, true]
    expect(same).not.toContain(false)
    expect(Object.keys(buildSchema.fields)).toEqual(
      expect.arrayContaining(['bodies', 'states', 'drivetrain']),
    )
  })
})

import type { InferType } from 'yup'
import type { Body } from './body'
import type { BODY_SHAPES } from './bodySchema'
import type { Build } from './build'
import { buildSchema } from './buildSchema'
import type { ShaftEnd, SpeedSource } from './lineSpec'
import type { END_SHAPES, SPEED_SHAPES } from './lineSchema'
import type { Reading } from './reading'
import type { READING_SHAPES } from './readingSchema'

/** True when two types have the same words: of keys, the very same fields. */
type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : false) : false
type Item<T> = NonNullable<T> extends readonly (infer One)[] ? NonNullable<One> : never
type Keys<T> = keyof NonNullable<T>

type Written = InferType<typeof buildSchema>
type Lists =
  'tools' | 'setups' | 'trials' | 'points' | 'axes' | 'readingLog' | 'centrePairs' | 'states' | 'lines'
type MoreLists = 'levers' | 'gaps' | 'positions' | 'photos'
type SameItems = { [L in Lists | MoreLists]: Same<Keys<Item<Build[L]>>, Keys<Item<Written[L]>>> }
type SameParts = {
  [P in 'units' | 'limits' | 'drivetrain' | 'mating' | 'weight' | 'wayIn']: Same<
    Keys<Build[P]>,
    Keys<Written[P]>
  >
}
type SameDeep = {
  limit: Same<Keys<Item<Build['limits']['entries']>>, Keys<Item<NonNullable<Written['limits']>['entries']>>>
  joint: Same<Keys<Item<Item<Build['lines']>['joints']>>, Keys<Item<Item<Written['lines']>['joints']>>>
  shaft: Same<Keys<Item<Item<Build['lines']>['shafts']>>, Keys<Item<Item<Written['lines']>['shafts']>>>
  flip: Same<Keys<Item<Item<Build['tools']>['flipTests']>>, Keys<Item<Item<Written['tools']>['flipTests']>>>
  wheels: Same<Keys<Item<Item<Build['states']>['wheels']>>, Keys<Item<Item<Written['states']>['wheels']>>>
  stack: Same<
    Keys<Item<NonNullable<Build['mating']>['stacks']>>,
    Keys<Item<NonNullable<Written['mating']>['stacks']>>
  >
  part: Same<
    Keys<Item<Item<NonNullable<Build['mating']>['stacks']>['parts']>>,
    Keys<Item<Item<NonNullable<Written['mating']>['stacks']>['parts']>>
  >
  round: Same<
    Keys<Item<NonNullable<Build['mating']>['rounds']>>,
    Keys<Item<NonNullable<Written['mating']>['rounds']>>
  >
  mass: Same<
    Keys<Item<NonNullable<Build['weight']>['masses']>>,
    Keys<Item<NonNullable<Written['weight']>['masses']>>
  >
  scale: Same<
    Keys<Item<NonNullable<Build['photos']>>['scale']>,
    Keys<Item<NonNullable<Written['photos']>>['scale']>
  >
  gear: Same<
    Keys<Item<Build['drivetrain']['gears']>>,
    Keys<Item<NonNullable<Written['drivetrain']>['gears']>>
  >
}
type OfKind<T, K> = Extract<T, { kind: K }>
type SameReadings = {
  [K in Reading['kind']]: Same<Keys<OfKind<Reading, K>>, Keys<InferType<(typeof READING_SHAPES)[K]>>>
}
type SameBodies = {
  [K in Body['kind']]: Same<Keys<OfKind<Body, K>>, Keys<InferType<(typeof BODY_SHAPES)[K]>>>
}
type SameEnds = {
  [K in ShaftEnd['kind']]: Same<Keys<OfKind<ShaftEnd, K>>, Keys<InferType<(typeof END_SHAPES)[K]>>>
}
type SameSpeeds = {
  [K in SpeedSource['basis']]: Same<
    Keys<Extract<SpeedSource, { basis: K }>>,
    Keys<InferType<(typeof SPEED_SHAPES)[K]>>
  >
}

/** Every word a type allows. */
type All<T> = Same<T[keyof T], true>

describe('the shape of a build', () => {
  it('is the same in its types and in the schema at the door', () => {
    // The type checker proves these: a field that only one of the two knows makes one of them false.
    const same: readonly [
      Same<Keys<Build>, Keys<Written>>,
      All<SameItems>,
      All<SameParts>,
      All<SameDeep>,
      All<SameReadings>,
      All<SameBodies>,
      All<SameEnds>,
      All<SameSpeeds>,
    ] = [true, true, true, true, true, true, true, true]
    expect(same).not.toContain(false)
    expect(Object.keys(buildSchema.fields)).toEqual(
      expect.arrayContaining(['bodies', 'states', 'drivetrain']),
    )
  })
})

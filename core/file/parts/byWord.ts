import { lazy, object, type AnyObject, type InferType, type Lazy, type ObjectSchema } from 'yup'
import { wordField } from './fields'

/** Schemas to pick from by a word in the value. */
export interface Variants {
  readonly key: string
  readonly shapes: Readonly<Record<string, ObjectSchema<AnyObject>>>
  readonly isRequired: boolean
}

/** What lazy schemas pick from, which they do not tell themselves: for whoever writes the schema out. */
const variants = new WeakMap<object, Variants>()

/** The schemas that a field made by `byWord` picks from; null for any other. */
export const variantsOf = (schema: object): Variants | null => variants.get(schema) ?? null

/**
 * Picks a schema by a word in the value, so that a wrong word is named at its own place.
 *
 * @param isRequired - false lets the whole value be absent
 */
export function byWord<S extends Variants['shapes'], R extends boolean = false>(
  key: string,
  shapes: S,
  isRequired?: R,
): Lazy<InferType<S[keyof S]> | (R extends true ? never : undefined)> {
  const words = wordField(Object.keys(shapes)).required()
  // An entry of a list that is not there at all is told by its own place.
  const fallback = isRequired ? object({ [key]: words }).required() : object({ [key]: words })
  const picked = lazy((value: unknown) => {
    if (value === undefined && !isRequired) return object().optional().default(undefined)
    const word = typeof value === 'object' && value !== null ? (value as AnyObject)[key] : undefined
    return typeof word === 'string' && Object.hasOwn(shapes, word) ? (shapes[word] ?? fallback) : fallback
  })
  variants.set(picked, { key, shapes, isRequired: isRequired === true })
  return picked as ReturnType<typeof byWord<S, R>>
}

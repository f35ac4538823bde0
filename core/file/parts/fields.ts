import { array, number, setLocale, string, type AnyObject, type ObjectSchema } from 'yup'

setLocale({
  mixed: {
    default: 'is not valid',
    required: 'is missing',
    defined: 'is missing',
    notNull: 'must not be null',
    oneOf: ({ values }: { values: string }) => `must be one of: ${values}`,
    notType: ({ type, value }: { type: string; value: unknown }) =>
      `must be ${article(type)}, got ${briefly(value)}`,
  },
  string: {
    max: ({ max }: { max: number }) => `is longer than ${max} characters`,
    min: () => 'must not be empty',
    matches: () => 'may hold only letters, digits, - and _, up to 64 of them',
  },
  number: {
    min: ({ min }: { min: number }) => `must be at least ${min}`,
    max: ({ max }: { max: number }) => `must be at most ${max}`,
    integer: () => 'must be a whole number',
    moreThan: ({ more }: { more: number }) => `must be more than ${more}`,
  },
  array: {
    max: ({ max }: { max: number }) => `holds more than ${max} entries`,
    min: ({ min }: { min: number }) => `needs at least ${min}`,
    length: ({ length }: { length: number }) => `must hold exactly ${length} entries`,
  },
})

const article = (type: string): string =>
  ({ array: 'a list', object: 'an object', string: 'text', number: 'a number', boolean: 'true or false' })[
    type
  ] ?? type

function briefly(value: unknown): string {
  if (value === null) return 'null'
  if (Array.isArray(value)) return 'a list'
  if (typeof value === 'object') return 'an object'
  const text = JSON.stringify(value) ?? String(value)
  return text.length > 40 ? `${text.slice(0, 40)}…` : text
}

/** An identifier inside the file. */
export const idField = () => string().matches(/^[A-Za-z0-9_-]{1,64}$/)
/** An identifier that must be there. */
export const requiredId = () => idField().required()
/** A short name for people. */
export const nameField = () => string().max(200)
/** A name that must be there and hold something. */
export const requiredName = () => nameField().min(1).required()
/** A longer remark. */
export const noteField = () => string().max(5000)
/** Raw text of a figure; it may well be unreadable, which is the reading's business, not the file's. */
export const rawText = () => string().max(200)
/** One of a few words. */
export const wordField = <T extends string>(words: readonly T[]) => string().oneOf(words)
/** A number within bounds that hold any vehicle and keep arithmetic finite. */
export const figure = (min: number, max: number) => number().min(min).max(max)
/** A list with an upper bound. */
export const list = <T extends AnyObject>(of: ObjectSchema<T>, max: number) => array().of(of).max(max)
/** A date or time as text; shown, never computed with. */
export const timeField = () => string().max(40)
/** Forward, left, up, of any length but nought. */
export const direction = () => array().of(figure(-1e6, 1e6).required()).length(3).required()

import {
  array,
  number,
  object,
  setLocale,
  string,
  type AnyObject,
  type ArraySchema,
  type MixedSchema,
  type ObjectSchema,
  type ObjectShape,
} from 'yup'
import { isDay } from '../../base/days'
import type { Id } from './id'

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
export const wordField = <const T extends string>(words: readonly T[]) => string().oneOf(words)
/** The word that a shape was picked by: of a kind of body, reading, motion. */
export const kindOf = <const K extends string>(kind: K) => wordField([kind]).required()
/** A number within bounds that hold any vehicle and keep arithmetic finite. */
export const figure = (min: number, max: number) => number().min(min).max(max)
/** A list with an upper bound. */
export const list = <T extends AnyObject>(of: ObjectSchema<T>, max: number) => array().of(of).max(max)
/** A date or time as text; shown, never computed with. */
export const timeField = () => string().max(40)
/** A day of the calendar that is computed with, such as 2026-11-29. */
export const dayField = () =>
  string().test('day', 'must be a day, such as 2026-11-29', (day) => day === undefined || isDay(day))
/** An object that may be absent. */
export const maybe = <S extends ObjectShape>(fields: S) => object(fields).default(undefined).optional()

/** Figures in a row, as many as a type says. */
type Row<T extends number[]> = ArraySchema<T | undefined, AnyObject>
const row = (min: number, max: number, count: number) => array().of(figure(min, max).required()).length(count)
/** Two figures. */
export const pair = (min: number, max: number) => row(min, max, 2) as unknown as Row<[number, number]>
/** Two figures that rise. */
export const rising = (min: number, max: number, mayBeAlike = false) =>
  pair(min, max)
    .required()
    .test('rising', 'must run from the lower to the higher figure', (value) => {
      const [from, to] = value ?? []
      return from === undefined || to === undefined || from < to || (mayBeAlike && from === to)
    })
/** Forward, left, up, of any length but nought. */
export const direction = () => (row(-1e6, 1e6, 3) as unknown as Row<[number, number, number]>).required()
/** Amounts of levers by their ids, in mm or degrees. */
export const amounts = (name: string) =>
  object().test(name, function (settings) {
    const bad = Object.entries(settings ?? {}).find(
      ([, value]) => typeof value !== 'number' || !(Math.abs(value) <= 1000),
    )
    return (
      !bad ||
      this.createError({ path: `${this.path}.${bad[0]}`, message: 'must be a number from -1000 to 1000' })
    )
  }) as unknown as MixedSchema<Record<Id, number> | undefined>

import { array, object, string } from 'yup'
import {
  dayField,
  figure,
  idField,
  list,
  maybe,
  nameField,
  noteField,
  requiredId,
  requiredName,
  wordField,
} from '../parts/fields'
import { LENGTH_MARKS } from '../parts/lengthMarks'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What a shop makes or sends by an order sheet. */
export const ORDER_KINDS = [
  'propshaft',
  'halfshafts',
  'chain',
  'pattern',
  'live-axle',
  'adapter',
  'plate',
] as const
export type OrderKind = (typeof ORDER_KINDS)[number]

/** When it may be ordered: it rests on no measurement, on where the mounts put the powertrain, or on the ride height too. */
export const ORDER_WHENS = ['now', 'mounts', 'ride'] as const
export type OrderWhen = (typeof ORDER_WHENS)[number]

/** What a shop is told in words, for no build knows it. */
export const ASKED_WORDS = [
  'series',
  'spline',
  'pilot',
  'boltCircle',
  'thread',
  'grade',
  'keep',
  'note',
] as const

const asksShape = maybe({
  ...(Object.fromEntries(ASKED_WORDS.map((key) => [key, nameField()])) as Record<
    (typeof ASKED_WORDS)[number],
    ReturnType<typeof nameField>
  >),
  /** Balance grade, in mm/s, and the most run-out. */
  balanceG: figure(0.1, 4000),
  runoutMm: figure(0, 10),
})

/** As much as a sheet of one page can hold. */
export const MOST_ROWS = 120

const rowShape = object({ name: string().max(300).required(), value: string().max(300).defined() })

/** How the sheet was when it went out. */
const sentShape = maybe({
  at: dayField().required(),
  rows: list(rowShape, MOST_ROWS).required(),
  /** Readings that its figures rested on, each with a mark of how it was. */
  under: array().of(string().max(160).required()).max(12_000).required(),
})

const arrivedFigure = object({
  key: string().max(80).required(),
  /** As it was ordered when it was measured. */
  asked: figure(-100_000, 100_000).required(),
  value: figure(-100_000, 100_000).required(),
})

/** How it was when it came. */
const arrivedShape = maybe({
  at: dayField().required(),
  by: nameField(),
  tool: idField(),
  figures: list(arrivedFigure, 20).required(),
  verdict: wordField(['accepted', 'refused'] as const),
  reason: noteField(),
})

const orderShape = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(ORDER_KINDS).required(),
  /** The line, chain, pattern, axle or plate that it is of. */
  of: requiredId(),
  /** Which shaft of the line. */
  shaft: figure(0, 10).integer(),
  /** The other halfshaft of a pair, or the line whose halfshaft a pattern is for. */
  other: idField(),
  /** How the shop measures the length; joint centre to joint centre when absent. */
  from: wordField(LENGTH_MARKS),
  to: wordField(LENGTH_MARKS),
  /** What is usual for its kind when absent. */
  when: wordField(ORDER_WHENS),
  supplier: nameField(),
  asks: asksShape,
  /** Who measured the length again by himself, and what he found. */
  secondBy: nameField(),
  secondMm: figure(0, 100_000),
  /** What it would take to make it oneself. */
  own: maybe({
    hours: figure(0, 1000).required(),
    material: figure(0, 1e7).required(),
    twicePercent: figure(0, 100).required(),
  }),
  sent: sentShape,
  arrived: arrivedShape,
})

/** An order of a thing that is made elsewhere by a sheet. */
export type OrderEntry = Told<typeof orderShape>
export type AskedWord = (typeof ASKED_WORDS)[number]

export interface OrderTypes extends OnlyTold {
  readonly lists: { readonly orders?: readonly OrderEntry[] }
}

/** Orders. */
export const KINDS_OF_ORDERS = {
  ...ONLY_TOLD,
  lists: { orders: { shape: orderShape, most: 40, names: () => [] } },
} as const satisfies SubjectKinds<OrderTypes>

import { allKnown, mapKnown, type Known } from '../known'
import type { Id } from '../project/id'

/** Measured figures by the index of their input, in mm and degrees. */
export type Values = Float64Array

/** A quantity as a function of the measured figures, so that it can be computed at their means and at any sample. */
export type Formula<T> = (values: Values) => T

/** One measured figure a model rests on, and how sure it is. */
export interface Input {
  /** The reading it comes from; the tool, setup or axis for what is no reading. */
  readonly readingId: Id
  /** `tool`: an error all readings of a tool share; `assumed`: taken for granted; `misfit`: of datum points; else read. */
  readonly source?: 'tool' | 'assumed' | 'misfit'
  /** Which figure of the reading. */
  readonly field: string
  /** What was read, in words: "pinion, level". */
  readonly label: string
  readonly unit: 'mm' | 'deg'
  /** Signed mean of the repeats, corrected for the tool's zero error. */
  readonly mean: number
  /** Half-width of the tool's uniform error. */
  readonly halfWidth: number
  /** Standard deviation of one repeat; its mean has this over √count. */
  readonly scatter: number
  readonly count: number
}

/** Collects the inputs of a model; the same figure of the same reading is one input however often it is used. */
export interface InputList {
  readonly inputs: Input[]
  readonly add: (input: Input) => Formula<number>
}

/** An empty list of inputs. */
export function inputList(): InputList {
  const inputs: Input[] = []
  const places = new Map<string, number>()
  return {
    inputs,
    add: (input) => {
      const key = `${input.readingId}/${input.field}`
      const index = places.get(key) ?? inputs.push(input) - 1
      places.set(key, index)
      return (values) => values[index] ?? NaN
    },
  }
}

/** The means of a list of inputs, as values for its formulas. */
export const meansOf = (inputs: readonly Input[]): Values => Float64Array.from(inputs, (input) => input.mean)

/** A formula of several formulas; unknown with everything that is missing for any of them. */
export function combined<T extends readonly unknown[], U>(
  parts: { [K in keyof T]: Known<Formula<T[K]>> },
  from: (...values: T) => U,
): Known<Formula<U>> {
  const all = allKnown<Formula<unknown>[]>(
    parts as readonly Known<Formula<unknown>>[] as Known<Formula<unknown>>[],
  )
  return mapKnown(all, (formulas) => {
    const call = from as unknown as (...values: unknown[]) => U
    const [a, b, c] = formulas
    // Spelt out for one to three parts: this runs once a sample and figure.
    if (formulas.length === 1 && a) return (values: Values) => call(a(values))
    if (formulas.length === 2 && a && b) return (values: Values) => call(a(values), b(values))
    if (formulas.length === 3 && a && b && c) return (values: Values) => call(a(values), b(values), c(values))
    return (values: Values) => call(...formulas.map((formula) => formula(values)))
  })
}

/** A formula that is the same whatever was measured. */
export const constant =
  <T>(value: T): Formula<T> =>
  () =>
    value

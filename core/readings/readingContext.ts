import type { Build } from '../project/build'
import { attitudeFormula } from './attitudeFormula'
import { axisFormula } from './axisFormula'
import { centrelineFormula } from './centrelineFormula'
import type { ReadingContext } from './context'
import { inputList } from './formula'
import { pointFormulas } from './pointFormula'
import { registrationFormula } from './registrationFormula'
import { toolScatter } from './scatter'

/** A fresh context of a build: formulas of one context share their inputs, and each is put together once. */
export function readingContext(build: Build): ReadingContext {
  const context: ReadingContext = {
    build,
    list: inputList(),
    scatter: toolScatter(build),
    attitude: once((setup) => attitudeFormula(context, setup)),
    axis: (axis, sources) => axisFormula(context, axis, sources),
    point: once((point) => pointFormulas(context, point)),
    registration: once((setup) => registrationFormula(context, setup)),
    centreline: once((setup) => centrelineFormula(context, setup)),
  }
  return context
}

function once<K extends object, T>(make: (key: K) => T): (key: K) => T {
  const made = new Map<K, T>()
  return (key) => {
    const there = made.get(key)
    if (there !== undefined) return there
    const value = make(key)
    made.set(key, value)
    return value
  }
}

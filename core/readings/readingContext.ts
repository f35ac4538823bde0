import { unknown } from '../known'
import type { Build } from '../project/build'
import { attitudeFormula } from './attitudeFormula'
import { axisFormula } from './axisFormula'
import { centrelineFormula } from './centrelineFormula'
import type { ReadingContext } from './context'
import { inputList } from './formula'
import { circleProofMemory } from './memo'
import { pointFormulas } from './pointFormula'
import { registrationFormula } from './registrationFormula'
import { pooledSquares } from './scatter'

/**
 * A fresh context of a build: formulas of one context share their inputs, and each is put together once. Things that rest
 * on each other are unknown and say so.
 */
export function readingContext(build: Build): ReadingContext {
  const once = circleProofMemory()
  const axisMemory = once(
    ({
      axis,
      sources,
    }: {
      axis: Parameters<ReadingContext['axis']>[0]
      sources: Parameters<ReadingContext['axis']>[1]
    }) => `${axis.id}/${sources?.exceptSetup ?? ''}`,
    ({ axis, sources }) => axisFormula(context, axis, sources),
    ({ axis }) => restsOnItself(axis.name),
  )
  const context: ReadingContext = {
    build,
    list: inputList(),
    scatter: pooledSquares(build),
    attitude: once(
      (setup) => setup,
      (setup) => attitudeFormula(context, setup),
      (setup) => restsOnItself(`${setup.name}, how the vehicle stood`),
    ),
    axis: (axis, sources) => axisMemory({ axis, sources }),
    point: once(
      (point) => point,
      (point) => pointFormulas(context, point),
      ({ name }) => ({
        station: restsOnItself(`${name}, station`),
        offset: restsOnItself(`${name}, offset`),
        height: restsOnItself(`${name}, height`),
      }),
    ),
    registration: once(
      (setup) => setup,
      (setup) => registrationFormula(context, setup),
      (setup) => restsOnItself(`${setup.name}, its datum points`),
    ),
    centreline: once(
      (setup) => setup,
      (setup) => centrelineFormula(context, setup),
      (setup) => restsOnItself(`${setup.name}, its centreline`),
    ),
  }
  return context
}

const restsOnItself = (what: string) =>
  unknown(
    `${what}: its readings rest on each other in a circle; read the chassis fall and roll in one of these setups`,
  )

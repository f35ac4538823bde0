import { newGraph } from '../columns/graph'
import { unknown } from '../known'
import type { Build } from '../project/build'
import { attitudeColumns } from './attitudeColumns'
import { axisColumns } from './axisColumns'
import { centrelineColumns } from './centrelineColumns'
import type { ReadingContext } from './context'
import { inputList } from './inputs'
import { circleProofMemory } from './memo'
import { pointColumns } from './pointColumns'
import { registrationColumns } from './registrationColumns'
import { pooledSquares } from './scatter'

/**
 * A fresh context of a build: what is put together in one context shares its graph and inputs, and each is made once. Things that rest
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
    ({ axis, sources }) => axisColumns(context, axis, sources),
    ({ axis }) => restsOnItself(axis.name),
  )
  const graph = newGraph()
  const context: ReadingContext = {
    build,
    graph,
    list: inputList(graph),
    scatter: pooledSquares(build),
    attitude: once(
      (setup) => setup,
      (setup) => attitudeColumns(context, setup),
      (setup) => restsOnItself(`${setup.name}, how the vehicle stood`),
    ),
    axis: (axis, sources) => axisMemory({ axis, sources }),
    point: once(
      (point) => point,
      (point) => pointColumns(context, point),
      ({ name }) => ({
        station: restsOnItself(`${name}, station`),
        offset: restsOnItself(`${name}, offset`),
        height: restsOnItself(`${name}, height`),
      }),
    ),
    registration: once(
      (setup) => setup,
      (setup) => registrationColumns(context, setup),
      (setup) => restsOnItself(`${setup.name}, its datum points`),
    ),
    centreline: once(
      (setup) => setup,
      (setup) => centrelineColumns(context, setup),
      (setup) => restsOnItself(`${setup.name}, its centreline`),
    ),
  }
  return context
}

const restsOnItself = (what: string) =>
  unknown(
    `${what}: its readings rest on each other in a circle; read the chassis fall and roll in one of these setups`,
  )

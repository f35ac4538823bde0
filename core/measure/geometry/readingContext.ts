import { newGraph, type Column } from '../../base/columns/graph'
import { unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import { attitudeColumns } from '../setups/attitudeColumns'
import { axisColumns } from '../axes/axisColumns'
import { centrelineColumns } from '../points/centrelineColumns'
import type { ReadingContext } from '../figures/context'
import { inputList } from '../figures/inputs'
import { circleProofMemory } from '../figures/memo'
import { pointColumns } from './pointColumns'
import { registrationColumns } from '../setups/registrationColumns'
import { pooledSquares } from '../figures/scatter'

/**
 * A fresh context of a build: what is put together in one context shares its graph and inputs, and each is made once. Things that rest
 * on each other are unknown and say so.
 *
 * @param scatter - of the hands that hold the tools, where more than the build's own readings tell it
 */
export function readingContext(build: Build, scatter = pooledSquares(build)): ReadingContext {
  const once = circleProofMemory()
  const graph = newGraph()
  const named = <T>(quantity: Known<T>, columns: (value: T) => readonly Column[], name: string): Known<T> => {
    if (quantity.known) graph.name(columns(quantity.value), name)
    return quantity
  }
  const axisMemory = once(
    ({
      axis,
      sources,
    }: {
      axis: Parameters<ReadingContext['axis']>[0]
      sources: Parameters<ReadingContext['axis']>[1]
    }) => `${axis.id}/${sources?.exceptSetup ?? ''}`,
    ({ axis, sources }) =>
      named(
        axisColumns(context, axis, sources),
        ({ direction, fall, fallDeg, plan }) => [...direction, fall, fallDeg, plan],
        `${axis.name}, as measured`,
      ),
    ({ axis }) => restsOnItself(axis.name),
  )
  const context: ReadingContext = {
    build,
    graph,
    list: inputList(graph),
    scatter,
    attitude: once(
      (setup) => setup,
      (setup) =>
        named(attitudeColumns(context, setup), ({ up }) => up, `${setup.name}: how the vehicle stood`),
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
      (setup) => {
        const move = registrationColumns(context, setup)
        return (
          move &&
          named(move, (columns) => columns, `${setup.name}: brought to the chassis by its datum points`)
        )
      },
      (setup) => restsOnItself(`${setup.name}, its datum points`),
    ),
    centreline: once(
      (setup) => setup,
      (setup) => {
        const line = centrelineColumns(context, setup)
        return (
          line &&
          named(line, ({ start, slope }) => [start, slope], `${setup.name}: centreline of the frame holes`)
        )
      },
      (setup) => restsOnItself(`${setup.name}, its centreline`),
    ),
  }
  return context
}

const restsOnItself = (what: string) =>
  unknown(
    `${what}: its readings rest on each other in a circle; read the chassis fall and roll in one of these setups`,
  )

import type { Build, Setup } from '../project/build'
import type { Reading } from '../project/reading'

/** Something about how a reading was taken that may make it worthless. */
export interface ReadingWarning {
  readonly readingId: string
  readonly message: string
}

/**
 * Readings taken in a state that does not tell the truth: a live axle that hangs or has not settled.
 */
export function readingWarnings(build: Build): ReadingWarning[] {
  const axles = new Set(build.axles.map((axle) => axle.id))
  return build.readings.flatMap((reading) => {
    const setup = 'setup' in reading ? build.setups.find((one) => one.id === reading.setup) : undefined
    const body = bodyOf(build, reading)
    if (!setup || body === null || !axles.has(body)) return []
    const message = stateWarning(setup)
    return message === null
      ? []
      : [{ readingId: reading.id, message: `${nameOf(build, reading)}: ${message}` }]
  })
}

function stateWarning(setup: Setup): string | null {
  if (setup.standsOn === 'lift-frame')
    return 'read with the axle hanging; read it again at ride height with the weight on'
  if (!setup.loaded) return 'read without the weight on; the spring will turn the axle when it comes'
  if (!setup.settled) return 'read before the vehicle was rolled forth and back; the springs still bind'
  return null
}

function bodyOf(build: Build, reading: Reading): string | null {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.body ?? null
  if ('point' in reading) return build.points.find((point) => point.id === reading.point)?.body ?? null
  return null
}

function nameOf(build: Build, reading: Reading): string {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.name ?? reading.axis
  if ('point' in reading)
    return build.points.find((point) => point.id === reading.point)?.name ?? reading.point
  return 'chassis'
}

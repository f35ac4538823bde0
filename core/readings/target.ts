import type { BodyId } from '../project/body'
import type { Build } from '../project/build'
import { sprocketName, sprocketsOf } from '../project/chainLine'
import type { Reading } from '../project/reading'

/** The name of what a reading is of. */
export function bodyName(build: Build, reading: Reading): string {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.name ?? reading.axis
  if ('point' in reading)
    return build.points.find((point) => point.id === reading.point)?.name ?? reading.point
  if ('line' in reading) return build.lines.find((line) => line.id === reading.line)?.name ?? reading.line
  if ('gap' in reading) return build.gaps.find((gap) => gap.id === reading.gap)?.name ?? reading.gap
  if ('sprocket' in reading) return `${sprocketCalled(build, reading.sprocket)}, face at the ${reading.place}`
  if ('chain' in reading)
    return build.chains?.find((chain) => chain.id === reading.chain)?.name ?? reading.chain
  return 'chassis'
}

const sprocketCalled = (build: Build, id: string): string => {
  const found = sprocketsOf(build).find((one) => one.id === id)
  return found ? sprocketName(found) : id
}

/** The body a reading is of; null for readings of a shaft and of what lies between two bodies. */
export function bodyOf(build: Build, reading: Reading): BodyId | null {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.body ?? null
  if ('point' in reading) return build.points.find((point) => point.id === reading.point)?.body ?? null
  if ('sprocket' in reading) {
    const point = sprocketsOf(build).find(({ id }) => id === reading.sprocket)?.point
    return build.points.find(({ id }) => id === point)?.body ?? null
  }
  return 'line' in reading || 'gap' in reading || 'chain' in reading ? null : 'chassis'
}

/** True when two readings are of the same quantity of the same thing, whichever setup they are from. */
export function isSameQuantity(a: Reading, b: Reading): boolean {
  const level = (kind: Reading['kind']) => (kind === 'axis-face' ? 'axis-level' : kind)
  if (level(a.kind) !== level(b.kind)) return false
  if ('axis' in a && 'axis' in b) return a.axis === b.axis
  if ('point' in a && 'point' in b) return a.point === b.point
  if ('gap' in a && 'gap' in b) return a.gap === b.gap
  if ('sprocket' in a && 'sprocket' in b) return a.sprocket === b.sprocket && a.place === b.place
  if ('chain' in a && 'chain' in b) return a.chain === b.chain
  if ('line' in a && 'line' in b) return a.line === b.line && a.shaft === b.shaft
  return true
}

import type { BodyId } from '../project/body'
import type { Build } from '../project/build'
import type { Reading } from '../project/reading'

/** The name of what a reading is of. */
export function bodyName(build: Build, reading: Reading): string {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.name ?? reading.axis
  if ('point' in reading)
    return build.points.find((point) => point.id === reading.point)?.name ?? reading.point
  if ('line' in reading) return build.lines.find((line) => line.id === reading.line)?.name ?? reading.line
  if ('gap' in reading) return build.gaps.find((gap) => gap.id === reading.gap)?.name ?? reading.gap
  return 'chassis'
}

/** The body a reading is of; null for readings of a shaft and of what lies between two bodies. */
export function bodyOf(build: Build, reading: Reading): BodyId | null {
  if ('axis' in reading) return build.axes.find((axis) => axis.id === reading.axis)?.body ?? null
  if ('point' in reading) return build.points.find((point) => point.id === reading.point)?.body ?? null
  return 'line' in reading || 'gap' in reading ? null : 'chassis'
}

/** True when two readings are of the same quantity of the same thing, whichever setup they are from. */
export function isSameQuantity(a: Reading, b: Reading): boolean {
  const level = (kind: Reading['kind']) => (kind === 'axis-face' ? 'axis-level' : kind)
  if (level(a.kind) !== level(b.kind)) return false
  if ('axis' in a && 'axis' in b) return a.axis === b.axis
  if ('point' in a && 'point' in b) return a.point === b.point
  if ('gap' in a && 'gap' in b) return a.gap === b.gap
  if ('line' in a && 'line' in b) return a.line === b.line && a.shaft === b.shaft
  return true
}

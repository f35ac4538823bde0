import { formatLength } from '../../base/units/format'
import type { Build } from '../../file/build/build'
import type { Temporary } from '../../file/kinds/temporaryKinds'

/** How many things are not yet as they will be. */
export function temporarySentence(all: readonly Temporary[]): string {
  const open = all.filter(({ closedAt }) => closedAt === undefined).length
  if (open === 0) return 'Nothing temporary is left.'
  return open === 1 ? 'One thing is not yet as it will be.' : `${open} things are not yet as they will be.`
}

/** Gaps of a body that something larger than the real part stands for: they are no less than is read; null for what changes no gap. */
export function boundText(build: Build, { body, largerMm, closedAt }: Temporary): string | null {
  if (body === undefined || largerMm === undefined || largerMm === 0 || closedAt !== undefined) return null
  const bodyOf = new Map(build.points.map((point) => [point.id, point.body]))
  const gaps = build.gaps.filter(({ point, obstacle }) => obstacle === body || bodyOf.get(point) === body)
  const by = formatLength(largerMm, build.units)
  return gaps.length === 0
    ? `It is ${by} larger than the real part on purpose.`
    : `It is ${by} larger than the real part on purpose: ${gaps.map(({ name }) => name).join(', ')} will have up to ${by} more.`
}

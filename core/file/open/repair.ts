import { READING_KIND_NAMES, wordsOf } from '../build/readingKinds'
import type { ReadingKind } from '../build/reading'

/** Names longer than this were let in by older versions. */
const MAX_NAME = 200

/**
 * A stored build that older versions let past their own checks, put right where that loses nothing: overlong names are cut,
 * a display side that cannot be is forgotten.
 *
 * @param raw - as stored; not changed
 * @returns a copy
 */
export function repaired(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return raw
  const build = { ...raw } as Record<string, unknown>
  if (typeof build.name === 'string') build.name = build.name.slice(0, MAX_NAME)
  for (const key of ['points', 'setups', 'tools', 'axes', 'lines', 'positions', 'axles', 'bodies'])
    build[key] = eachItem(build[key], (item) =>
      typeof item.name === 'string' && item.name.length > MAX_NAME
        ? { ...item, name: item.name.slice(0, MAX_NAME) }
        : item,
    )
  const across = new Set<unknown>()
  eachItem(build.axes, (axis) => {
    if (axis.lies === 'across') across.add(axis.id)
    return axis
  })
  build.readings = eachItem(build.readings, withoutImpossibleSide(across))
  return Object.fromEntries(Object.entries(build).filter(([, value]) => value !== undefined))
}

function eachItem(
  list: unknown,
  change: (item: Record<string, unknown>) => Record<string, unknown>,
): unknown {
  return Array.isArray(list)
    ? list.map((item: unknown) =>
        typeof item === 'object' && item !== null && !Array.isArray(item)
          ? change(item as Record<string, unknown>)
          : item,
      )
    : list
}

/** Sides a level's display can look to: across the vehicle when it is laid lengthwise, lengthwise when across. */
const displaySides = (kind: unknown, isAcross: boolean): readonly string[] =>
  READING_KIND_NAMES.some((one) => one === kind) ? wordsOf(kind as ReadingKind, 'display', isAcross) : []

const withoutImpossibleSide =
  (across: ReadonlySet<unknown>) =>
  (reading: Record<string, unknown>): Record<string, unknown> => {
    const { display, ...rest } = reading
    const sides = displaySides(reading.kind, across.has(reading.axis))
    return typeof display === 'string' && !sides.includes(display) ? rest : reading
  }

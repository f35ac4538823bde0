type Raw = Record<string, unknown>

const isObject = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Where the bodies of version 1 went in the one list of version 2: chassis and powertrain first, then the axles. */
export const FIRST_AXLE = 2

/** What is no object stays as it is, so that it is refused at its place. */
const asBody = (raw: unknown, head: Raw): unknown =>
  raw === undefined || isObject(raw) ? { ...head, ...(raw as Raw | undefined), ...head } : raw

const chassisBody = (sizes: unknown) => ({
  id: 'chassis',
  kind: 'chassis',
  name: 'chassis',
  sizes: sizes ?? {},
})
/** The powertrain of version 1 as a body. */
export const powertrainBody = (raw: unknown) =>
  asBody(raw, { id: 'powertrain', kind: 'powertrain', name: 'powertrain' })
/** An axle of version 1 as a body. */
export const axleBody = (raw: unknown) =>
  asBody(raw, isObject(raw) ? { id: raw.id, kind: 'axle', name: raw.name } : {})

/** A lever of version 1 moved the powertrain, or by a wedge its axle. */
export function leverOn(raw: unknown): unknown {
  if (!isObject(raw)) return raw
  if (raw.kind !== 'wedge') return { ...raw, body: 'powertrain' }
  const { axle, ...rest } = raw
  return axle === undefined ? rest : { ...rest, body: axle }
}

/** A list with each item changed; what is no list stays as it is. */
export const each = (list: unknown, change: (item: unknown) => unknown): unknown =>
  Array.isArray(list) ? list.map(change) : list

/** A build of version 1 as one of version 2: its chassis, powertrain and axles become bodies, its levers stand on them. */
export function fromVersion1(raw: Raw): Raw {
  const { chassis, powertrain, axles, ...rest } = raw
  const moved = axles === undefined || Array.isArray(axles)
  return {
    ...rest,
    // What is no list stays as it is, so that it is refused at its place.
    bodies: moved
      ? [chassisBody(chassis), powertrainBody(powertrain), ...(axles ?? []).map(axleBody)]
      : axles,
    ...('levers' in raw && { levers: each(raw.levers, leverOn) }),
  }
}

/** The place in a file of version 1 that became a place of version 2. */
export function placeInVersion1(place: string): string {
  const at = /^bodies\[(\d+)\](.*)$/.exec(place)
  if (at) {
    const [index, rest] = [Number(at[1]), at[2] ?? '']
    if (index === 0) return `chassis${rest.replace(/^\.sizes/, '')}`
    return index === 1 ? `powertrain${rest}` : `axles[${index - FIRST_AXLE}]${rest}`
  }
  if (place === 'bodies') return 'axles'
  return place.replace(/^(levers\[\d+\])\.body$/, '$1.axle')
}

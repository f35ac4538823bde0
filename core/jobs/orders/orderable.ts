import type { Build } from '../../file/build/build'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import type { Line } from '../../file/parts/lineSpec'

/** What can be ordered of a build by a sheet, with what an order of it begins with. */
export type Orderable = Pick<OrderEntry, 'name' | 'kind' | 'of' | 'shaft' | 'other'>

/** Everything of a build that a shop can make by a sheet. */
export const orderables = (build: Build): Orderable[] => [
  ...shafts(build),
  ...halfshaftPairs(build),
  ...(build.chains ?? []).map(({ id, name }): Orderable => ({ name, kind: 'chain', of: id })),
  ...(build.patterns ?? []).map(({ id, name }): Orderable => ({
    name: `${name} pattern`,
    kind: 'pattern',
    of: id,
  })),
  ...(build.axleCuts ?? []).map(({ id, name }): Orderable => ({ name, kind: 'live-axle', of: id })),
  ...(build.plates ?? []).flatMap(({ id, name }): Orderable[] => [
    { name, kind: 'plate', of: id },
    ...(build.mating ? [{ name: `${name} as an adapter`, kind: 'adapter' as const, of: id }] : []),
  ]),
]

const shafts = ({ lines }: Build): Orderable[] =>
  lines.flatMap(({ id, name, shafts: all }) =>
    all.flatMap((shaft, index): Orderable[] => {
      if (shaft.plunge) return []
      const own = shaft.name ?? (all.length > 1 ? `${name}, piece ${index + 1} of ${all.length}` : name)
      return [{ name: own, kind: 'propshaft', of: id, shaft: index }]
    }),
  )

/** Halfshafts of one axle go together. */
function halfshaftPairs(build: Build): Orderable[] {
  const all = build.lines.filter((line) => line.shafts.some(({ plunge }) => plunge !== undefined))
  const bodies = [...new Set(all.map((line) => drivenBy(build, line)))]
  return bodies.flatMap((body): Orderable[] => {
    const own = all.filter((line) => drivenBy(build, line) === body)
    const [first, second] = own
    if (!first) return []
    if (own.length > 2) return own.map(({ id, name }) => ({ name, kind: 'halfshafts', of: id }))
    return [
      {
        name: second ? 'halfshafts' : first.name,
        kind: 'halfshafts',
        of: first.id,
        ...(second && { other: second.id }),
      },
    ]
  })
}

/** The body that drives a line: halfshafts of one differential are a pair. */
const drivenBy = ({ axes }: Build, { driving }: Line): string | undefined =>
  axes.find(({ id }) => id === driving)?.body

/** The same thing of the build. */
export const isOrderOf = (order: Omit<Orderable, 'name'>, { kind, of, shaft }: Orderable): boolean =>
  order.kind === kind && order.of === of && (order.shaft ?? 0) === (shaft ?? 0)

import type { Outline } from '../file/parts/outline'
import { chassisOf } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import type { Gap } from '../file/parts/gap'
import type { Lever } from '../file/build/lever'

/** What goes up with the body or cab when it is set on spacers, and what the builder has to set it on. */
export interface BodySpacers {
  readonly name: string
  /** Names of the chassis' outlines that are sheet metal of the body. */
  readonly outlines: ReadonlySet<string>
  /** Gaps, now against the chassis, whose obstacle is such sheet metal. */
  readonly gaps: ReadonlySet<Gap['id']>
  readonly rangeMm: readonly [number, number]
  readonly stepMm: number
}

/** Gaps whose obstacle is on the chassis; the ground is nobody's. */
export const gapsOnChassis = (build: Build): Gap[] =>
  build.gaps.filter(
    ({ kind, obstacle }) =>
      kind !== 'ground' && (obstacle === undefined || obstacle === chassisOf(build)?.id),
  )

/** The names of the chassis' outlines, each once. */
export const chassisParts = (build: Build): string[] => [
  ...new Set(chassisOf(build)?.outlines?.flatMap(({ name }) => name ?? []) ?? []),
]

/** What is likely sheet metal: lines that do not close, and gaps that name them and carry no load. */
export function likelyBody(build: Build): Pick<BodySpacers, 'outlines' | 'gaps'> {
  const outlines = new Set(
    (chassisOf(build)?.outlines ?? []).flatMap(({ name, open }) => (open && name ? name : [])),
  )
  const words = [...outlines].map((name) => name.split(',')[0]?.toLowerCase() ?? name)
  const isNamed = ({ name, cutting }: Gap): boolean =>
    cutting?.structural !== true && words.some((word) => name.toLowerCase().includes(word))
  return {
    outlines,
    gaps: new Set(gapsOnChassis(build).flatMap((gap) => (isNamed(gap) ? gap.id : []))),
  }
}

/**
 * A build whose body or cab is a thing of its own on the frame, with a lever for the spacers under it: what was drawn of it and every gap
 * against it goes over from the chassis. Nothing that was read changes.
 *
 * @param ids - ids for the new body and its lever that no other has
 */
export function bodyOnSpacers(
  build: Build,
  { name, outlines, gaps, rangeMm, stepMm }: BodySpacers,
  ids: { readonly body: string; readonly lever: string },
): Build {
  const chassis = chassisOf(build)
  if (!chassis) return build
  const isTaken = ({ name: part }: Outline): boolean => part !== undefined && outlines.has(part)
  const own = chassis.outlines ?? []
  const lever: Lever = { id: ids.lever, kind: 'up', body: ids.body, range: rangeMm, step: stepMm, name }
  const isOn = new Set(gapsOnChassis(build).map(({ id }) => id))
  return {
    ...build,
    bodies: [
      ...build.bodies.map((body) =>
        body === chassis ? { ...chassis, outlines: own.filter((one) => !isTaken(one)) } : body,
      ),
      { id: ids.body, kind: 'item', name, outlines: own.filter(isTaken) },
    ],
    gaps: build.gaps.map((gap) =>
      gaps.has(gap.id) && isOn.has(gap.id) ? { ...gap, obstacle: ids.body } : gap,
    ),
    levers: [...build.levers, lever],
    ...(build.wayIn && {
      wayIn: {
        ...build.wayIn,
        off: build.wayIn.off.map((key) =>
          key.startsWith(`${chassis.id}/`) && outlines.has(key.slice(chassis.id.length + 1))
            ? `${ids.body}/${key.slice(chassis.id.length + 1)}`
            : key,
        ),
      },
    }),
  }
}

import { axisDirection } from '../base/frame/axis'
import { rockedGap, type Rock } from '../vehicle/gaps/rockedGap'
import { allKnown, mapKnown, unknown, type Known } from '../base/known'
import type { Evaluation } from '../model/evaluateBuild'
import { powertrainOf } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import { outputOf } from '../file/open/output'
import { axisOf, pointOf } from '../measure/geometry/geometry'
import { bearersOf } from './things'

/** What the rock of the powertrain takes from a gap. */
export interface RockedGap {
  readonly gap: Id
  readonly name: string
  /** As it stands, and at its least while the powertrain rocks, in mm. */
  readonly gapMm: number
  readonly leastMm: number
}

/**
 * Gaps between the powertrain (with what stands on it) and all else while it rocks on its mounts about the line of its output; the
 * least of what is left first.
 *
 * @param deg - how far it rocks either way
 * @returns unknown without an output and its axis; gaps that were not read are left out
 * @see docs/methods/gaps.md
 */
export function rockedGaps(
  build: Build,
  { placed, gaps }: Pick<Evaluation, 'placed' | 'gaps'>,
  deg: number,
): Known<RockedGap[]> {
  return mapKnown(rockOf(build, placed, deg), (rock) => {
    const powertrain = powertrainOf(build)?.id ?? ''
    const rocks = (body: Id | undefined) =>
      body !== undefined && (body === powertrain || bearersOf(build, body).includes(powertrain))
    const bodyOf = new Map(build.points.map(({ id, body }) => [id, body]))
    return gaps
      .flatMap(({ gap, ride }): RockedGap[] => {
        // Where both rock, or neither does, nothing changes between them; what has to come out does so at a standstill. A shaft rocks at one end alone.
        if (
          !ride.known ||
          gap.kind === 'service' ||
          gap.shaft ||
          rocks(bodyOf.get(gap.point)) === rocks(gap.obstacle)
        )
          return []
        const { gapMm, point, toward } = ride.value
        return [{ gap: gap.id, name: gap.name, gapMm, leastMm: rockedGap(gapMm, point, toward, rock) }]
      })
      .sort((a, b) => a.leastMm - b.leastMm)
  })
}

/** The line it rocks about: that of its output, where it stands. */
function rockOf(build: Build, placed: Evaluation['placed'], deg: number): Known<Rock> {
  const output = outputOf(build)
  if (!output) return unknown('the output of the powertrain')
  return mapKnown(
    allKnown([pointOf(placed, output.point), axisOf(placed, output.axis)] as const),
    ([point, lie]) => ({
      deg,
      point,
      axis: axisDirection(lie),
    }),
  )
}

import { cross, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import { powertrainOf } from '../../file/parts/bodies'
import { drivenIndex, type ChainLine } from '../../file/parts/chainLine'
import { pitchRadius } from '../../sprockets/sprocket'

/** The chain that a powertrain drives by a sprocket of its own; null where there is none. */
export function chainOf(build: Build): ChainLine | null {
  const body = powertrainOf(build)?.id
  const isOwn = (point: string | undefined) =>
    build.points.some((one) => one.id === point && one.body === body)
  return build.chains?.find(({ duty, sprockets }) => duty === 'drive' && isOwn(sprockets[0]?.point)) ?? null
}

/** Where a chain pulls at its first sprocket and which way, driving and held back. */
export interface ChainRuns {
  readonly driving: ChainRun
  readonly holding: ChainRun
}

export interface ChainRun {
  readonly at: Vec3
  readonly toward: Vec3
}

/**
 * The two runs between the sprocket that drives and the one that is driven: the one on the side from which the first turns away is taut.
 *
 * @param own - middle of the sprocket that drives, forward, left and up
 */
export function chainRuns(chain: ChainLine, own: Vec3, other: Vec3): ChainRuns {
  const [first, driven] = [chain.sprockets[0], chain.sprockets[drivenIndex(chain)]]
  const radius = pitchRadius(first?.teeth ?? NaN, chain.pitchMm)
  const far = (driven?.outside ? -1 : 1) * pitchRadius(driven?.teeth ?? NaN, chain.pitchMm)
  const way = sub(other, own)
  const flat: Vec3 = [way[0], 0, way[2]]
  const long = Math.hypot(flat[0], flat[2])
  const along = unit(flat)
  const up = cross(along, [0, along[0] > 0 ? 1 : -1, 0])
  const sine = (radius - far) / long
  const run = (sense: 1 | -1): ChainRun => {
    const aside = scale(up, sense * Math.sqrt(1 - sine * sine))
    const normal: Vec3 = [along[0] * sine + aside[0], 0, along[2] * sine + aside[2]]
    const from: Vec3 = [own[0] + radius * normal[0], own[1], own[2] + radius * normal[2]]
    const to: Vec3 = [other[0] + far * normal[0], other[1], other[2] + far * normal[2]]
    return { at: from, toward: unit(sub(to, from)) }
  }
  const isAbove = way[0] > 0 === (chain.turnsBackward === true)
  const [above, below] = [run(1), run(-1)]
  return isAbove ? { driving: above, holding: below } : { driving: below, holding: above }
}

import type { Build } from '../../file/build/build'
import type { ElasticMountEntry } from '../../file/kinds/mountKinds'
import { bodyById, powertrainOf } from '../../file/parts/bodies'
import { goesAlongWith } from '../../vehicle/bodies/bodyMoves'
import type { AxleBody, Body, PowertrainBody, TransferCaseBody } from '../../file/parts/body'

/** A body that can stand on mounts of its own: the powertrain, a transfer case apart from it, a differential that is bolted to the chassis. */
export type MountableBody = PowertrainBody | TransferCaseBody | AxleBody

/** A body with the mounts it stands on. */
export interface MountedBody {
  readonly body: MountableBody
  readonly mounts: readonly ElasticMountEntry[]
}

/** What is bolted to the powertrain goes along with it. */
function isApart(build: Build, body: Body | undefined): body is TransferCaseBody | AxleBody {
  const powertrain = powertrainOf(build)?.id ?? ''
  const isOther = body?.kind === 'transfer-case' || (body?.kind === 'axle' && body.suspension === 'fixed')
  return isOther && !goesAlongWith(build, body.id, powertrain)
}

/** All that can stand on mounts in a build, the powertrain first. */
export function mountableBodies(build: Build): MountableBody[] {
  const powertrain = powertrainOf(build)
  return [...(powertrain ? [powertrain] : []), ...build.bodies.filter((body) => isApart(build, body))]
}

/** What a mount holds: the body of its point, or the powertrain. */
export function heldBy(build: Build, { point }: ElasticMountEntry): MountableBody | undefined {
  const body = bodyById(build, build.points.find(({ id }) => id === point)?.body)
  return isApart(build, body) ? body : powertrainOf(build)
}

/** Every body of a build that stands on mounts, the powertrain first, each with its own in their order. */
export const mountedBodies = (build: Build): MountedBody[] =>
  mountableBodies(build).flatMap((body): MountedBody[] => {
    const mounts = (build.mounts ?? []).filter((mount) => heldBy(build, mount)?.id === body.id)
    return mounts.length > 0 ? [{ body, mounts }] : []
  })

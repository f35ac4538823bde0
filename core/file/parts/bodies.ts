import type {
  AxleBody,
  Body,
  BodyId,
  BodyKind,
  ChassisBody,
  HubBody,
  PowertrainBody,
  WheeledBody,
} from './body'

interface HasBodies {
  readonly bodies: readonly Body[]
}

/** The body of an id, or undefined. */
export const bodyById = ({ bodies }: HasBodies, id: BodyId | undefined): Body | undefined =>
  bodies.find((body) => body.id === id)

const isOf =
  <K extends BodyKind>(kind: K) =>
  (body: Body): body is Extract<Body, { kind: K }> =>
    body.kind === kind

const isAxle = isOf('axle')

/** All axles, in the order of the file. */
export const axlesOf = ({ bodies }: HasBodies): AxleBody[] => bodies.filter(isAxle)

const isHub = isOf('hub')

/** All hubs, in the order of the file. */
export const hubsOf = ({ bodies }: HasBodies): HubBody[] => bodies.filter(isHub)

/** The hub of an id; undefined for another kind of body as well. */
export const hubById = (build: HasBodies, id: BodyId | undefined): HubBody | undefined =>
  hubsOf(build).find((hub) => hub.id === id)

/** All that goes up and down with wheels, axles first: a differential bolted to the chassis does not. */
export const wheeledOf = (build: HasBodies): WheeledBody[] => [
  ...axlesOf(build).filter(({ suspension }) => suspension !== 'fixed'),
  ...hubsOf(build),
]

/** The axle of an id; undefined for another kind of body as well. */
export const axleById = (build: HasBodies, id: BodyId | undefined): AxleBody | undefined =>
  axlesOf(build).find((axle) => axle.id === id)

/** Engine and gearbox; undefined in a build without. */
export const powertrainOf = ({ bodies }: HasBodies): PowertrainBody | undefined =>
  bodies.find(isOf('powertrain'))

/** What all else is measured from. */
export const chassisOf = ({ bodies }: HasBodies): ChassisBody | undefined => bodies.find(isOf('chassis'))

/** True for a body that stands as the chassis does: points on it are datum points, and nothing moves them. */
export const isChassis = (build: HasBodies, id: BodyId): boolean => chassisOf(build)?.id === id

import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import { bodyById } from '../../file/parts/bodies'
import type { Body } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import { drivenIndex, type ChainLine, type ChainSprocket } from '../../file/parts/chainLine'
import { extremes } from './drivetrainFigures'
import { loadKg } from './lineTorque'
import { gripNm } from './shaftTorque'

/** What the first sprocket of a chain bears and how fast it turns, at the most. */
export interface ChainDutyFigures {
  /** In Nm, with the shock, no more than the tyres hold. */
  readonly torqueNm: number
  /** What the engine would give in its slowest gear, in Nm. */
  readonly grossNm: number
  readonly limitedBy: 'engine' | 'grip'
  readonly speedRpm: number
  readonly basis: string
}

type DutyBuild = Pick<Build, 'drivetrain' | 'bodies' | 'points' | 'lines' | 'axes' | 'weight' | 'chains'>

/** Turns of the engine for one of a shaft, in its fastest gear and its slowest, with words. */
interface Ahead {
  readonly fastest: number
  readonly slowest: number
  readonly words: readonly string[]
}

const bodyAt = (build: DutyBuild, { point }: ChainSprocket): Body | undefined =>
  bodyById(build, build.points.find(({ id }) => id === point)?.body)

/** Two sprockets sit on one shaft: they share its axis, or where none is named its body. */
const isOnOneShaft = (build: DutyBuild, one: ChainSprocket, other: ChainSprocket): boolean =>
  one.axis !== undefined || other.axis !== undefined
    ? one.axis === other.axis
    : bodyAt(build, one)?.id === bodyAt(build, other)?.id

/** Turns of its first sprocket for one of the driven one. */
export const chainRatio = (chain: Pick<ChainLine, 'sprockets'>): number =>
  (chain.sprockets[drivenIndex(chain)]?.teeth ?? NaN) / (chain.sprockets[0]?.teeth ?? NaN)

/**
 * Torque and speed of a chain's first sprocket: of the engine through its gears, or of a chain before it; the tyres let no more through than
 * they hold.
 *
 * @see docs/methods/chains.md
 */
export function chainDuty(build: DutyBuild, chain: ChainLine): Known<ChainDutyFigures> {
  const { redlineRpm, peakTorqueNm, converterRatio = 1, efficiency = 1, shock = 1 } = build.drivetrain
  const engine = allKnown([
    told(redlineRpm, 'redline', 'redlineRpm'),
    told(peakTorqueNm, 'torque of the engine', 'peakTorqueNm'),
    aheadOf(build, chain, []),
  ] as const)
  const held = heldByTyres(build, chain)
  return mapKnown(engine, ([rpm, peakNm, { fastest, slowest, words }]) => {
    const engineNm = peakNm * converterRatio * efficiency * slowest
    const limit = held.known ? held.value : Infinity
    return {
      torqueNm: Math.min(engineNm, limit) * shock,
      grossNm: engineNm,
      limitedBy: limit < engineNm ? 'grip' : 'engine',
      speedRpm: rpm / fastest,
      basis: [
        `engine ${peakNm} Nm and ${rpm} rev/min`,
        ...words,
        ...(held.known ? [] : [`the tyres are left out: ${held.missing.map(({ what }) => what).join('; ')}`]),
      ].join(', '),
    }
  })
}

const told = <T>(value: T | undefined, what: string, path: string): Known<T> =>
  value === undefined ? unknown(`${what} not entered`, `drivetrain.${path}`) : known(value)

/** What turns the first sprocket of a chain. */
function aheadOf(build: DutyBuild, chain: ChainLine, behind: readonly string[]): Known<Ahead> {
  const [first] = chain.sprockets
  if (!first || behind.includes(chain.id))
    return unknown(`${chain.name}: chains drive each other in a circle`)
  const before = build.chains?.find((other) => {
    const driven = other.sprockets[drivenIndex(other)]
    return other.id !== chain.id && driven !== undefined && isOnOneShaft(build, driven, first)
  })
  if (before)
    return mapKnown(aheadOf(build, before, [...behind, chain.id]), ({ fastest, slowest, words }): Ahead => ({
      fastest: fastest * chainRatio(before),
      slowest: slowest * chainRatio(before),
      words: [...words, `${before.name} ${ratioText(before)}`],
    }))
  if (bodyAt(build, first)?.kind !== 'powertrain')
    return unknown(`${chain.name}: nothing drives its first sprocket`)
  const gears = extremes(build.drivetrain.gears, 'gear')
  if (!gears) return unknown('gears not entered', 'drivetrain.gears')
  const output = build.drivetrain.outputs?.find(({ axis }) => axis === first.axis)?.ratio ?? 1
  return known({
    fastest: gears.least.ratio * output,
    slowest: gears.most.ratio * output,
    words: [`${gears.slow} and ${gears.fast}`],
  })
}

const ratioText = ({ sprockets }: ChainLine): string =>
  `${sprockets[0]?.teeth} to ${sprockets[drivenIndex({ sprockets })]?.teeth}`

/** Turns of the first sprocket for one of the wheels; unknown where it does not lead to them. */
export function chainToWheels(
  build: DutyBuild,
  chain: ChainLine,
  ahead: readonly string[] = [],
): Known<number> {
  const driven = chain.sprockets[drivenIndex(chain)]
  const body = driven && bodyAt(build, driven)
  if (!driven || !body || ahead.includes(chain.id)) return unknown(`${chain.name}: what it drives`)
  if (body.kind === 'live-axle') return known(chainRatio(chain))
  if (body.kind === 'axle') {
    // On the carrier of a differential there is no final drive behind the sprocket.
    const final = build.drivetrain.axleRatios?.find(({ axle }) => axle === body.id)?.ratio ?? 1
    return known(chainRatio(chain) * final)
  }
  const next = build.chains?.find(
    ({ id, sprockets: [first] }) =>
      id !== chain.id && first !== undefined && isOnOneShaft(build, driven, first),
  )
  return next
    ? mapKnown(chainToWheels(build, next, [...ahead, chain.id]), (ratio) => ratio * chainRatio(chain))
    : unknown(`${chain.name}: it leads to no wheels`)
}

/** Rolling radius of the tyres: of the drivetrain, or of the live axle that a chain drives. */
export function tyreRadiusOf(build: DutyBuild): Known<number> {
  const { tyreRadiusMm } = build.drivetrain
  if (tyreRadiusMm !== undefined) return known(tyreRadiusMm)
  const axle = build.bodies.find((body) => body.kind === 'live-axle' && body.tyreDiameterMm !== undefined)
  return axle?.kind === 'live-axle' && axle.tyreDiameterMm !== undefined
    ? known(axle.tyreDiameterMm / 2, ['the tyres are taken to roll on half their diameter'])
    : unknown('rolling radius of the tyres not entered', 'drivetrain.tyreRadiusMm')
}

function heldByTyres(build: DutyBuild, chain: ChainLine): Known<number> {
  const end = build.drivetrain.drive === 'front' ? 'front' : 'rear'
  return mapKnown(
    allKnown([chainToWheels(build, chain), tyreRadiusOf(build), loadKg(build, end)] as const),
    ([ratio, radius, kg]) => gripNm(build.drivetrain.grip?.mu ?? 1, kg, radius, ratio),
  )
}

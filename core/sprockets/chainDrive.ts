import { gcd, lcm } from '../base/numbers'
import { degrees } from '../base/units/angle'
import { CoreError } from '../base/errors'
import { bisected, chainLoop, type ChainLoop } from './chainLoop'
import { outsideDiameter, pitchRadius, requireSprocket } from './sprocket'

/** Two sprockets and a chain; the first drives. */
export interface ChainDrive {
  readonly teeth: readonly [number, number]
  readonly pitchMm: number
  readonly centreMm: number
}

/** A drive as it lies. */
export interface DriveLoop extends ChainLoop {
  readonly ratio: number
  readonly tangentMm: number
  /** Of the tangents to the line of centres; positive when the driven one is the larger. */
  readonly slopeDeg: number
  /** The tips of the teeth meet. */
  readonly clashes: boolean
}

/**
 * Two sprockets on their centres.
 *
 * @throws CoreError as `chainLoop` does
 * @see docs/methods/chains.md
 */
export function driveLoop({ teeth: [n1, n2], pitchMm, centreMm }: ChainDrive): DriveLoop {
  requireSprocket(n1, pitchMm)
  requireSprocket(n2, pitchMm)
  if (!Number.isFinite(centreMm))
    throw new CoreError('not-finite', 'centre', 'expected the way from shaft to shaft')
  if (!(centreMm > 0)) throw new CoreError('out-of-range', 'centre', 'the shafts must stand apart')
  const loop = chainLoop(
    [
      { x: 0, z: 0, teeth: n1, side: 'inside' },
      { x: -centreMm, z: 0, teeth: n2, side: 'inside' },
    ],
    pitchMm,
  )
  const apart = pitchRadius(n2, pitchMm) - pitchRadius(n1, pitchMm)
  return {
    ...loop,
    ratio: n2 / n1,
    tangentMm: loop.spans[0]?.lengthMm ?? NaN,
    slopeDeg: degrees(Math.asin(apart / centreMm)),
    clashes: (outsideDiameter(n1, pitchMm) + outsideDiameter(n2, pitchMm)) / 2 >= centreMm,
  }
}

/** Length of the chain at a centre, whatever else: shorter centres than the circles let are refused by the caller. */
function neededAt({ teeth: [n1, n2], pitchMm }: Omit<ChainDrive, 'centreMm'>, centreMm: number): number {
  const apart = pitchRadius(n2, pitchMm) - pitchRadius(n1, pitchMm)
  const slope = Math.asin(apart / centreMm)
  const wrapped = (n1 * (Math.PI - 2 * slope) + n2 * (Math.PI + 2 * slope)) / (2 * Math.PI)
  return 2 * Math.sqrt(centreMm * centreMm - apart * apart) + pitchMm * wrapped
}

/** A chain that is there: how many links, and how much longer each has worn, as a share. */
export interface Chain {
  readonly links: number
  readonly wear?: number
}

/**
 * Length of a chain, in mm: wear lengthens its pitch, not that of the sprockets.
 *
 * @throws CoreError `out-of-range` for links that are no whole number
 */
export function chainLength({ links, wear = 0 }: Chain, pitchMm: number): number {
  if (!Number.isInteger(links) || links < 1)
    throw new CoreError('out-of-range', 'links', 'a chain has whole links')
  return links * pitchMm * (1 + wear)
}

/**
 * The centre at which a chain is taut, in mm.
 *
 * @throws CoreError `out-of-range` for too few links: the sprockets would overlap
 */
export function centreFor(drive: Omit<ChainDrive, 'centreMm'>, chain: Chain): number {
  const { teeth, pitchMm } = drive
  teeth.forEach((count) => requireSprocket(count, pitchMm))
  const lengthMm = chainLength(chain, pitchMm)
  const least = pitchRadius(teeth[0], pitchMm) + pitchRadius(teeth[1], pitchMm)
  const excess = (centre: number) => neededAt(drive, centre) - lengthMm
  const atLeast = excess(least)
  if (atLeast > 0) throw new CoreError('out-of-range', 'links', 'too few links: the sprockets would overlap')
  return bisected(excess, least, lengthMm / 2 + least, atLeast === 0 ? -1 : atLeast)
}

/** After how many turns the same meets the same again. */
export interface Hunting {
  readonly sprocketTurns: number
  readonly chainLoops: number
  /** Every link meets every tooth before. */
  readonly isHunting: boolean
}

/** When the same link meets the same tooth of a sprocket again. */
export function hunting(teeth: number, links: number): Hunting {
  const all = lcm(teeth, links)
  return { sprocketTurns: all / teeth, chainLoops: all / links, isHunting: gcd(teeth, links) === 1 }
}

/** When link and both teeth are the same again: turns of both sprockets and of the chain, and turns of the first until the same two teeth. */
export function huntingOfAll([n1, n2]: readonly [number, number], links: number) {
  const all = lcm(lcm(n1, n2), links)
  return { turns: [all / n1, all / n2] as const, chainLoops: all / links, sameTeethTurns: lcm(n1, n2) / n1 }
}

/** What a drive bears. */
export interface DriveLoad {
  readonly rpm: number
  readonly torqueNm: number
  /** Least tensile strength of the chain. */
  readonly tensileN?: number
  readonly massKgPerM?: number
}

/** Speeds, pull and safety of a drive under a load. */
export function driveForces(
  { teeth: [n1, n2], pitchMm }: Pick<ChainDrive, 'teeth' | 'pitchMm'>,
  load: DriveLoad,
) {
  const { rpm, torqueNm, tensileN, massKgPerM = 0 } = load
  const radius = pitchRadius(n1, pitchMm) / 1000
  const chord = Math.cos(Math.PI / n1)
  const turning = (rpm * Math.PI) / 30
  const speed = (n1 * pitchMm * rpm) / 60_000
  // By the pitch radius, by the power, and where the chain lies nearest to the shaft.
  const pullN = {
    radius: torqueNm / radius,
    power: (2 * Math.PI * torqueNm) / ((n1 * pitchMm) / 1000),
    peak: torqueNm / (radius * chord),
  }
  const centrifugalN = massKgPerM * speed * speed
  const safety = (extra: number) =>
    tensileN === undefined
      ? null
      : {
          radius: tensileN / (pullN.radius + extra),
          power: tensileN / (pullN.power + extra),
          peak: tensileN / (pullN.peak + extra),
        }
  return {
    drivenRpm: (rpm * n1) / n2,
    drivenNm: (torqueNm * n2) / n1,
    speedMs: speed,
    mostMs: turning * radius,
    leastMs: turning * radius * chord,
    pullN,
    centrifugalN,
    staticSafety: safety(0),
    movingSafety: safety(centrifugalN),
  }
}

import { CoreError } from '../errors'
import { chainLength, driveLoop, type Chain } from './chainDrive'
import { bisected } from './chainLoop'
import { playOf } from './slack'

/** A swing arm seen from the right, x forward, z up, in mm; an angle is positive with the axle below the pivot. */
export interface SwingArm {
  readonly countershaft: readonly [number, number]
  readonly pivot: readonly [number, number]
  readonly armMm: number
  readonly teeth: readonly [number, number]
  readonly pitchMm: number
  readonly chain: Chain
  readonly bumpDeg: number
  readonly droopDeg: number
}

/** The chain at one angle of the arm. */
export interface ArmStand {
  readonly armDeg: number
  readonly axle: readonly [number, number]
  readonly centreMm: number
  readonly neededMm: number
  /** Of the chain's length beyond what it needs. */
  readonly slackMm: number
  readonly spanMm: number
  /** Total movement of one run at its middle, with all the slack in it; null where it is too tight. */
  readonly playMm: number | null
}

const degrees = (radians: number): number => (radians * 180) / Math.PI

/** The chain at an angle of the arm. @throws CoreError as `driveLoop` does */
export function armStand(arm: SwingArm, armDeg: number): ArmStand {
  const angle = (armDeg * Math.PI) / 180
  const axle = [
    arm.pivot[0] - arm.armMm * Math.cos(angle),
    arm.pivot[1] - arm.armMm * Math.sin(angle),
  ] as const
  const centreMm = Math.hypot(axle[0] - arm.countershaft[0], axle[1] - arm.countershaft[1])
  const loop = driveLoop({ teeth: arm.teeth, pitchMm: arm.pitchMm, centreMm })
  const slackMm = chainLength(arm.chain, arm.pitchMm) - loop.lengthMm
  const spanMm = loop.tangentMm
  return {
    armDeg,
    axle,
    centreMm,
    neededMm: loop.lengthMm,
    slackMm,
    spanMm,
    playMm: slackMm < 0 ? null : playOf({ spanMm }, slackMm),
  }
}

/** Angle at which countershaft, pivot and axle are in line, the pivot between, in degrees; null where pivot and countershaft are one. */
export function lineUpDeg({ countershaft, pivot }: Pick<SwingArm, 'countershaft' | 'pivot'>): number | null {
  const [x, z] = [pivot[0] - countershaft[0], pivot[1] - countershaft[1]]
  return x === 0 && z === 0 ? null : degrees(Math.atan2(0 - z, -x))
}

/** Where the chain is tightest within the travel. */
export interface ArmTravel {
  readonly tightest: ArmStand & { readonly where: 'inside' | 'bump' | 'droop' }
  readonly lineUpDeg: number | null
  /** Between the tightest and the slackest of the travel. */
  readonly swingMm: number
}

/**
 * The chain through the travel of its arm: it is tightest where the three centres line up, if that is within the travel, else at an end.
 *
 * @throws CoreError `out-of-range` for a travel that runs backwards
 * @see docs/methods/chains.md
 */
export function armTravel(arm: SwingArm): ArmTravel {
  const { bumpDeg, droopDeg } = arm
  if (!(bumpDeg <= droopDeg)) throw new CoreError('out-of-range', 'travel', 'bump must not lie below droop')
  const inLine = lineUpDeg(arm)
  const ends = [
    { ...armStand(arm, bumpDeg), where: 'bump' as const },
    { ...armStand(arm, droopDeg), where: 'droop' as const },
  ]
  const inside =
    inLine !== null && inLine >= bumpDeg && inLine <= droopDeg
      ? [{ ...armStand(arm, inLine), where: 'inside' as const }]
      : []
  // With the pivot at the end of the row, not between, the chain is slackest.
  const folded = inLine === null ? [] : [inLine - 180, inLine + 180]
  const slack = folded.filter((deg) => deg > bumpDeg && deg < droopDeg).map((deg) => armStand(arm, deg))
  const all = [...inside, ...ends]
  const tightest = all.reduce((most, one) => (one.centreMm > most.centreMm ? one : most))
  const most = Math.max(...[...all, ...slack].map(({ slackMm }) => slackMm))
  return { tightest, lineUpDeg: inLine, swingMm: most - tightest.slackMm }
}

/**
 * Slack to set with the arm at rest, so that so much is left at the tightest place, in mm of chain.
 *
 * @throws CoreError `out-of-range` for a rest outside the travel
 */
export function slackAtRest(arm: SwingArm, restDeg: number, leastMm: number): number {
  if (!(restDeg >= arm.bumpDeg && restDeg <= arm.droopDeg))
    throw new CoreError('out-of-range', 'rest', 'the arm rests outside its travel')
  return armTravel(arm).tightest.neededMm + leastMm - armStand(arm, restDeg).neededMm
}

/** Length of the arm, by its adjuster, at which so much slack is left at the tightest place, in mm; null where none does. */
export function armForSlack(arm: SwingArm, leastMm: number): number | null {
  const excess = (armMm: number): number => armTravel({ ...arm, armMm }).tightest.slackMm - leastMm
  const [short, long] = [arm.armMm * 0.8, arm.armMm * 1.2]
  const [a, b] = [excess(short), excess(long)]
  return a * b > 0 ? null : bisected(excess, short, long, a)
}

import type { AdjusterPlace } from '../../sprockets/adjuster'
import type { Known, Missing } from '../../base/known'
import type { ChainEvaluation } from '../../chain/chainEvaluation'
import type { ChainExtreme } from '../../chain/chainTravel'

/** A chain where it is tightest, or slackest, of its travel. */
export interface ChainExtremeJson {
  readonly neededMm: number
  /** Of the first wheels, from ride height. */
  readonly upMm: number
  readonly place: string
}

/** A chain at a position; its checks, with limits and ±, are among the checks as `chain/<id>/…`. */
export interface ChainJson {
  readonly id: string
  readonly name: string
  /** Null while a sprocket has no place, or where no loop closes: the reason is among what is missing. */
  readonly neededMm: number | null
  readonly linksToOrder: number | null
  /** From the first sprocket to the one it drives. */
  readonly centreMm: number | null
  readonly sprockets: readonly {
    readonly id: string
    readonly teeth: number
    readonly wrapDeg: number | null
    readonly teethInMesh: number | null
    /** Turns for one of the first, below nought for one that turns against it. */
    readonly speedRatio: number | null
    /** Against the first one, along the plane of the largest; the first has none. */
    readonly offsetMm: number | null
    readonly yawDeg: number | null
    readonly tiltDeg: number | null
  }[]
  readonly spansMm: readonly number[] | null
  readonly slack: {
    readonly excessMm: number
    /** Total movement at the middle of the slack run; null for a chain that is too short. */
    readonly playMm: number | null
    readonly wantedMm: readonly [number, number] | null
    readonly by: 'links' | 'reading'
  } | null
  /** Amounts of the lever that tightens it; null where it does not fit anywhere in the lever's range. */
  readonly adjuster: {
    readonly lever: string
    readonly rightMm: number | null
    readonly tautMm: number | null
    readonly freshMm: number | null
    readonly wornMm: number | null
    /** Room left in the range at the nearer end, from new to worn; below nought, how much is missing. */
    readonly leftMm: number | null
  } | null
  /** Through the travel of its wheels; null for a chain that does not go along. */
  readonly travel: Readonly<Record<'tightest' | 'slackest', ChainExtremeJson>> | null
  readonly missing: readonly Missing[]
}

const orNull = <T>(figure: Known<T>): T | null => (figure.known ? figure.value : null)

const finite = (figure: Known<number>): number | null =>
  figure.known && Number.isFinite(figure.value) ? figure.value : null

const extremeJson = ({ neededMm, upMm, place }: ChainExtreme): ChainExtremeJson => ({ neededMm, upMm, place })

/** A chain as it is published. */
export function chainJson(now: ChainEvaluation): ChainJson {
  const loop = orNull(now.loop)
  const slack = orNull(now.slack)
  const adjuster = now.adjuster && orNull(now.adjuster)
  const place = (at: AdjusterPlace): number | null => ('at' in at ? at.at : null)
  const perhaps = (at: Known<AdjusterPlace>): number | null => (at.known ? place(at.value) : null)
  return {
    id: now.chain.id,
    name: now.chain.name,
    neededMm: orNull(now.neededMm),
    linksToOrder: orNull(now.linksToOrder),
    centreMm: orNull(now.centreMm),
    sprockets: now.chain.sprockets.map(({ id, teeth }, i) => {
      const contact = loop?.contacts[i]
      const aligned = now.aligned.find(({ sprocket }) => sprocket.id === id)
      return {
        id,
        teeth,
        wrapDeg: contact?.wrapDeg ?? null,
        teethInMesh: contact?.teethInMesh ?? null,
        speedRatio: contact ? contact.rotation * contact.speedRatio : null,
        offsetMm: aligned?.offsetMm ?? null,
        yawDeg: aligned?.read.yaw ? aligned.yawDeg : null,
        tiltDeg: aligned?.read.tilt ? aligned.tiltDeg : null,
      }
    }),
    spansMm: loop && loop.spans.map(({ lengthMm }) => lengthMm),
    slack: slack && {
      excessMm: slack.excessMm,
      playMm: slack.playMm,
      wantedMm: slack.wantedMm,
      by: slack.by,
    },
    adjuster: adjuster && {
      lever: adjuster.lever.id,
      rightMm: place(adjuster.right),
      tautMm: place(adjuster.taut),
      freshMm: perhaps(adjuster.fresh),
      wornMm: perhaps(adjuster.worn),
      leftMm: finite(adjuster.leftMm),
    },
    travel: now.travel && {
      tightest: extremeJson(now.travel.tightest),
      slackest: extremeJson(now.travel.slackest),
    },
    missing: [
      ...(now.loop.known ? [] : now.loop.missing),
      ...(now.slack.known ? [] : now.slack.missing),
    ].filter((one, i, all) => all.findIndex(({ what }) => what === one.what) === i),
  }
}

import type { ChainEvaluation } from '../../chain/chainEvaluation'
import { bodyById } from '../../file/parts/bodies'
import type { Body } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import { leverFacts, type LeverKind } from '../../file/build/lever'
import { drivenIndex, sprocketName, type ChainSprocket } from '../../file/parts/chainLine'
import { adjusterText, slackText } from './chainText'
import { sentenceCase } from '../text/checkText'
import { leverName } from './leverText'

/** One step of setting a chain. */
export interface ChainStep {
  readonly key: 'fix' | 'line' | 'slack' | 'turn'
  readonly text: string
  readonly state: 'done' | 'open' | 'unknown'
}

/** Setting a chain, in the order in which it is done, and what is the wrong way round. */
export interface ChainOrder {
  readonly steps: readonly ChainStep[]
  /** The engine is fixed while what it drives can still be moved. */
  readonly wrongWayRound: string | null
}

const bodyOf = (build: Build, sprocket: ChainSprocket | undefined): Body | undefined =>
  bodyById(build, build.points.find(({ id }) => id === sprocket?.point)?.body)

/** Not so a spacer, the place of a mount, or a strap. */
const movesShaft = (kind: LeverKind): boolean =>
  kind !== 'strap' && (leverFacts(kind).names ?? 'holding') === 'holding'

/** Levers on a body that move its shaft, spacers aside: all locked, some free, or none at all. */
function heldBy({ levers }: Build, body: Body | undefined): 'locked' | 'free' | 'none' {
  const own = levers.filter(({ body: on, kind }) => on === body?.id && movesShaft(kind))
  return own.length === 0 ? 'none' : own.every(({ locked }) => locked) ? 'locked' : 'free'
}

/** What is done last, by what a chain does. */
const LAST_STEP = {
  drive:
    'Turn the wheel once round and feel the slack again: a chain does not wear evenly, and a sprocket may run out. Set it at the tightest place. Then measure the line again, for the slots may have turned the engine.',
  steering:
    'Turn the wheel from lock to lock: nothing may touch the chain, no link may climb, and the play is felt in both locks.',
  shift: 'Shift through all gears: nothing may touch the chain, and each gear must go in fully.',
} as const

/**
 * The order of work at a chain: what is driven is fixed first, for the engine's slots are set to it; then the line, then the slack.
 */
export function chainOrder(build: Build, now: ChainEvaluation): ChainOrder {
  const { chain, checks, adjuster } = now
  const [first] = chain.sprockets
  const driven = chain.sprockets[drivenIndex(chain)]
  const [engine, axle] = [bodyOf(build, first), bodyOf(build, driven)]
  const isFixed = heldBy(build, axle) !== 'free'
  const worst = (quantities: readonly string[]): ChainStep['state'] => {
    const ours = checks.filter(({ quantity }) => quantities.includes(quantity))
    if (ours.length === 0 || ours.some(({ verdict }) => verdict === 'unknown')) return 'unknown'
    return ours.every(({ verdict }) => verdict === 'holds' || verdict === 'tight') ? 'done' : 'open'
  }
  const to =
    adjuster?.known && 'at' in adjuster.value.right
      ? ` ${sentenceCase(leverName(build, adjuster.value.lever))}: ${adjusterText(adjuster.value, adjuster.value.right, build.units)}.`
      : ''
  const driving = first ? sprocketName(first) : 'first sprocket'
  return {
    steps: [
      // What is on the frame stands already.
      ...(axle && axle.kind !== 'chassis'
        ? [
            {
              key: 'fix' as const,
              text: `Fix the ${axle.name} first and lock its levers: all else is set to it.`,
              state: isFixed ? ('done' as const) : ('open' as const),
            },
          ]
        : []),
      {
        key: 'line',
        text: `Bring the ${driving} into line with the ${driven ? sprocketName(driven) : 'driven one'}, by spacers and by the slots.`,
        state: worst(['chain-offset', 'chain-angle']),
      },
      {
        key: 'slack',
        text: `Set the slack.${to} ${slackText(now, build.units)}`,
        state: worst(['chain-slack', 'chain-slack-upright']),
      },
      { key: 'turn', text: LAST_STEP[chain.duty], state: 'open' },
    ],
    wrongWayRound:
      engine !== axle && heldBy(build, engine) === 'locked' && !isFixed
        ? `${engine?.name ?? 'The engine'} is locked while ${axle?.name ?? 'what it drives'} can still be moved: fix ${axle?.name ?? 'that'} first, then set the engine to it.`
        : null,
  }
}

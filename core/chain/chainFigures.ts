import type { Column } from '../base/columns/graph'
import type { ChainEvaluation } from './chainEvaluation'
import type { ChainColumns, CompiledChain, SprocketColumns } from './compiledChain'

/** A figure of a chain, by its place under it in the published result. */
export interface ChainFigureColumn {
  readonly name: string
  readonly column: Column
  /** Whether it has an answer as the chain stands. */
  readonly stands: (now: ChainEvaluation) => boolean
}

type Stands = ChainFigureColumn['stands']
const closes: Stands = ({ loop }) => loop.known
const hangs: Stands = ({ slack }) => slack.known

/** The figures of a chain at ride height that are shown and published. */
export function chainFigures(compiled: CompiledChain): ChainFigureColumn[] {
  const ride = compiled.places.find(({ at }) => at === null)?.columns
  return [
    ...(ride?.known ? [...ofLoop(ride.value), ...ofSprockets(compiled, ride.value)] : []),
    ...ofSlack(compiled),
    ...ofAdjuster(compiled),
    ...ofTravel(compiled),
  ]
}

const ofTravel = ({ extremes }: CompiledChain): ChainFigureColumn[] =>
  extremes
    ? (['tightest', 'slackest'] as const).map((extreme) => ({
        name: `travel.${extreme}.neededMm`,
        column: extremes[extreme].neededMm,
        stands: ({ travel }) => travel !== null,
      }))
    : []

const ofLoop = ({ neededMm, centreMm, spansMm, wrapsDeg }: ChainColumns): ChainFigureColumn[] => [
  { name: 'neededMm', column: neededMm, stands: closes },
  { name: 'centreMm', column: centreMm, stands: closes },
  ...spansMm.map((column, i) => ({ name: `spansMm[${i}]`, column, stands: closes })),
  ...wrapsDeg.map((column, i) => ({ name: `sprockets[${i}].wrapDeg`, column, stands: closes })),
]

/** Each sprocket but the first against it. */
const ofSprockets = ({ chain }: CompiledChain, { aligned }: ChainColumns): ChainFigureColumn[] =>
  aligned.flatMap(({ offsetMm, yawDeg, tiltDeg }, i) => {
    const name = `sprockets[${i + 1}]`
    const found = ({ aligned: all }: ChainEvaluation) =>
      all.find(({ sprocket }) => sprocket.id === chain.sprockets[i + 1]?.id)
    return [
      { name: `${name}.offsetMm`, column: offsetMm, stands: (now) => found(now) !== undefined },
      { name: `${name}.yawDeg`, column: yawDeg, stands: (now) => found(now)?.read.yaw === true },
      { name: `${name}.tiltDeg`, column: tiltDeg, stands: (now) => found(now)?.read.tilt === true },
    ]
  })

function ofSlack({ slack }: CompiledChain): ChainFigureColumn[] {
  if (!slack.known) return []
  const { excessMm, playMm, wantedMm } = slack.value
  return [
    { name: 'slack.excessMm', column: excessMm, stands: hangs },
    {
      name: 'slack.playMm',
      column: playMm,
      stands: ({ slack: now }) => now.known && now.value.playMm !== null,
    },
    ...(wantedMm ?? []).map((column, i) => ({ name: `slack.wantedMm[${i}]`, column, stands: hangs })),
  ]
}

/** Places of its adjuster, where there is one in the range. */
function ofAdjuster({ adjuster }: CompiledChain): ChainFigureColumn[] {
  if (!adjuster?.known) return []
  const { right, taut, fresh, worn, leftMm } = adjuster.value
  const place = (name: 'right' | 'taut' | 'fresh' | 'worn', { at }: SprocketColumns): ChainFigureColumn => ({
    name: `adjuster.${name}Mm`,
    column: at,
    stands: ({ adjuster: now }) => {
      if (!now?.known) return false
      const found = now.value[name]
      return 'known' in found ? found.known && 'at' in found.value : 'at' in found
    },
  })
  return [
    place('right', right),
    place('taut', taut),
    ...(fresh.known ? [place('fresh', fresh.value)] : []),
    ...(worn.known ? [place('worn', worn.value)] : []),
    ...(leftMm.known
      ? [
          {
            name: 'adjuster.leftMm',
            column: leftMm.value,
            stands: ({ adjuster: now }: ChainEvaluation) =>
              now?.known === true && now.value.leftMm.known && !Number.isNaN(now.value.leftMm.value),
          },
        ]
      : []),
  ]
}

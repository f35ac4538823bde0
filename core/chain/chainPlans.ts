import {
  chainCheck,
  slackLimitsOfTravel,
  type ChainFigure,
  type PlannedChainCheck,
} from '../check/chainChecks'
import { BACKLASH_DEG, ROOM_BETWEEN } from '../sprockets/chainKernels'
import { outsideDiameter, pitchRadius } from '../sprockets/sprocket'
import { DIFFERENCE, TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../base/known'
import { chassisOf } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import { drivenIndex, sprocketName, type ChainLine } from '../file/parts/chainLine'
import type { Quantity } from '../file/build/limit'
import { chainRatio } from '../vehicle/strength/chainDuty'
import { hanging } from './chainSlack'
import {
  chainRun,
  slackQuantity,
  type ChainColumns,
  type CompiledChain,
  type CompiledChainPlace,
} from './compiledChain'

/** Every check of a chain at a place of the wheels. */
export function chainPlans(
  build: Build,
  graph: Graph,
  chain: Omit<CompiledChain, 'plans' | 'swept'>,
  { at, columns }: CompiledChainPlace,
): PlannedChainCheck[] {
  const { chain: spec, length, slackSpan, isTravelling, angles } = chain
  const { sprockets, pitchMm } = spec
  const limits = build.limits.entries
  const plan = (
    quantity: Quantity,
    value: Known<ChainFigure>,
    sprocket?: ChainLine['sprockets'][number],
    by = limits,
  ) => chainCheck({ chain: spec, quantity, at, sprocket }, value, by) ?? []
  const figure = (of: (columns: ChainColumns) => Column | undefined): Known<ChainFigure> => {
    const read = mapKnown(columns, of)
    return read.known && read.value !== undefined
      ? { ...read, value: { column: read.value } }
      : read.known
        ? unknown(`${spec.name}: the chain does not close`)
        : read
  }
  const hangs = slackQuantity(chain)
  const slack =
    at === null
      ? mapKnown(chain.slack, ({ percent }): ChainFigure => ({ column: percent }))
      : mapKnown(allKnown([columns, length] as const), ([stand, { lengthMm }]): ChainFigure => ({
          column: hanging(graph, spec, [lengthMm, stand.neededMm, chainRun(stand, slackSpan)]).percent,
        }))
  const radius = pitchRadius(sprockets[0]?.teeth ?? NaN, pitchMm)
  const play = mapKnown(allKnown([columns, length] as const), ([{ neededMm }, { lengthMm }]): ChainFigure => {
    const column = scalarStep(graph, BACKLASH_DEG, [lengthMm, neededMm], [radius])
    graph.name([column], `${spec.name}: play at its first sprocket`)
    return { column }
  })
  const working = sprockets.flatMap((sprocket, i) => (sprocket.idler ? [] : [{ sprocket, i }]))
  const inAll = [
    ...working.flatMap(({ sprocket, i }) =>
      plan(
        'chain-wrap',
        figure(({ wrapsDeg }) => wrapsDeg[i]),
        sprocket,
      ),
    ),
    plan(hangs, slack, undefined, isTravelling ? slackLimitsOfTravel(limits, hangs) : limits),
    ...sprockets.slice(1).flatMap((sprocket, i) => [
      plan(
        'chain-offset',
        figure(({ aligned }) => aligned[i]?.offsetPercent),
        sprocket,
      ),
      // How a guide wheel is turned is judged once it was read; nobody must.
      sprocket.idler && angles.get(sprocket.id)?.both.known !== true
        ? []
        : plan(
            'chain-angle',
            mapKnown(
              allKnown([
                figure(({ aligned }) => aligned[i]?.angleDeg),
                angles.get(sprocket.id)?.both ?? known(null),
              ] as const),
              ([angle]) => angle,
            ),
            sprocket,
          ),
    ]),
    ...sprockets
      .slice(1)
      .flatMap((sprocket, i) => plan('sprocket-room', roomBefore(graph, spec, columns, i + 1), sprocket)),
    spec.duty === 'drive' ? [] : plan('chain-backlash', play),
  ].flat()
  if (at !== null) return inAll
  const left = chain.adjuster && andThen(chain.adjuster, ({ leftMm }) => leftMm)
  const shafts = mapKnown(columns, ({ centreMm }): ChainFigure => {
    const column = scalarStep(graph, TIMES, [centreMm], [1 / pitchMm])
    graph.name([column], `${spec.name}: from shaft to shaft, in pitches`)
    return { column }
  })
  return [
    ...inAll,
    ...(spec.duty === 'drive'
      ? [
          ...working.flatMap(({ sprocket }) => plan('chain-teeth', known(sprocket.teeth), sprocket)),
          plan('chain-ratio', known(ratioSize(spec))),
          plan('chain-centre', shafts),
          plan('chain-safety', safetyOf(spec, chain.forces)),
          ...ground(build, graph, spec, columns).flatMap(({ value, sprocket }) =>
            plan('sprocket-ground', value, sprocket),
          ),
        ]
      : []),
    left === null
      ? []
      : plan(
          'adjuster-left',
          mapKnown(left, (column): ChainFigure => ({
            column,
            nowhere: `${spec.name}: it does not close anywhere along its adjuster`,
          })),
        ),
  ].flat()
}

/** How far the slower of two sprockets is geared, whichever drives. */
const ratioSize = (chain: ChainLine): number => Math.max(chainRatio(chain), 1 / chainRatio(chain))

/** Tensile strength over the pull, as the chain lies nearest to the shaft. */
function safetyOf({ name, tensileN }: ChainLine, forces: CompiledChain['forces']): Known<ChainFigure> {
  if (tensileN === undefined) return unknown(`${name}: least tensile strength of the chain`)
  return mapKnown(forces, ({ staticSafety }) => staticSafety?.peak ?? NaN)
}

/** Least room between the teeth of a sprocket and those of any before it. */
function roomBefore(
  graph: Graph,
  { name, sprockets, pitchMm }: ChainLine,
  columns: Known<ChainColumns>,
  index: number,
): Known<ChainFigure> {
  const tips = sprockets.map(({ teeth }) => outsideDiameter(teeth, pitchMm) / 2)
  return mapKnown(columns, ({ poses }): ChainFigure => {
    const points = [index, ...sprockets.keys()].slice(0, index + 1).flatMap((at) => poses[at]?.point ?? [])
    const reaches = tips.slice(0, index).map((tip) => tip + (tips[index] ?? NaN))
    const column = scalarStep(graph, ROOM_BETWEEN, points, reaches)
    graph.name(
      [column],
      `${name}: room between the teeth of ${sprocketName(sprockets[index] ?? { teeth: 0 })} and another`,
    )
    return { column }
  })
}

/** Height of the driven sprocket's lowest place over the ground at ride height, where the ground is told. */
function ground(build: Build, graph: Graph, chain: ChainLine, columns: Known<ChainColumns>) {
  const below = chassisOf(build)?.sizes?.groundBelowMm
  const at = drivenIndex(chain)
  const sprocket = chain.sprockets[at]
  if (below === undefined || !sprocket || !columns.known) return []
  const height = columns.value.poses[at]?.point[2]
  if (height === undefined) return []
  const lowest = graph.source(outsideDiameter(sprocket.teeth, chain.pitchMm) / 2 - below)
  const column = scalarStep(graph, DIFFERENCE, [height, lowest])
  graph.name([column], `${chain.name}: ${sprocketName(sprocket)} over the ground`)
  return [{ value: { ...columns, value: { column } } as Known<ChainFigure>, sprocket }]
}

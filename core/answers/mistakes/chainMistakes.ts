import { chainLength } from '../../sprockets/chainDrive'
import { chainPlane, inChainPlane, loopOf } from '../../sprockets/chainKernels'
import { excessOf } from '../../sprockets/slack'
import { CoreError } from '../../base/errors'
import { axisDirection } from '../../base/frame/axis'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import type { ChainLine } from '../../file/parts/chainLine'
import { measuredSlack, slackReading } from '../../measure/points/chainReadings'
import { geometryOf, measuredModel } from '../../measure/geometry/geometry'
import { fixed } from '../../base/units/format'
import type { Mistake } from './mistake'

/** A chain that was felt may be so much shorter than its links when new, in percent: what tape and hand are off by. */
const SHORTER_PERCENT = 0.7
/** A chain that has worn by more than this would have been thrown away. */
const LONGER_PERCENT = 4

/**
 * Chains whose slack, as felt, and whose links do not go together: shorter than new, or worn beyond all use. The links were miscounted, the pitch is
 * another, or a sprocket was read in the wrong place.
 */
export function chainLengths(build: Build): Mistake[] {
  return (build.chains ?? []).flatMap((chain): Mistake[] => {
    const placed = slackReading(build, chain.id)
    if (!placed || chain.links === undefined) return []
    const felt = feltLength(build, chain)
    if (felt === null) return []
    const wear = 100 * (felt / chainLength({ links: chain.links }, chain.pitchMm) - 1)
    if (wear > -SHORTER_PERCENT && wear < LONGER_PERCENT) return []
    const size = fixed(Math.abs(wear), 1)
    const fits = 2 * Math.round(felt / chain.pitchMm / 2)
    return [
      {
        kind: 'chain-length',
        readingIds: [placed.reading.id],
        sentence: `${chain.name}: by its slack it is ${size} % ${wear < 0 ? 'shorter' : 'longer'} than ${chain.links} new links. Count the links again${fits === chain.links ? '' : `: ${fits} would fit`}, or read the sprockets’ places again.`,
        corrections: [],
      },
    ]
  })
}

/** Length of a chain by its slack as felt, in mm, with nothing moved; null while its sprockets have no places. */
function feltLength(build: Build, chain: ChainLine): number | null {
  const model = measuredModel(build)
  const slack = measuredSlack(model.context, chain)
  if (!slack?.known || slack.value.trial !== null) return null
  const { points, axes } = geometryOf(model)
  const places = chain.sprockets.flatMap(({ point }): Vec3[] => {
    const place = points.get(point)
    return place?.known ? [place.value] : []
  })
  if (places.length < chain.sprockets.length) return null
  const axis = axes.get(chain.sprockets[0]?.axis ?? '')
  const direction: Vec3 = axis?.known ? axisDirection(axis.value) : [0, 1, 0]
  try {
    const loop = loopOf(
      {
        pitchMm: chain.pitchMm,
        sprockets: chain.sprockets.map(({ teeth, outside }) => ({
          teeth,
          side: outside ? 'outside' : 'inside',
        })),
      },
      inChainPlane(chainPlane(direction), places),
    )
    // The run hardly matters: what it hides is less than what a tape is off by.
    const spanMm = Math.max(...loop.spans.map(({ lengthMm }) => lengthMm))
    return loop.lengthMm + excessOf({ spanMm }, 'vee', Math.max(0, model.graph.at(slack.value.figure)) / 2)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}

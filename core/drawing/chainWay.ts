import { lieDeg, type ToldLoop } from '../sprockets/chainKernels'
import { deflectionOf } from '../sprockets/slack'
import type { ChainEvaluation } from '../chain/chainEvaluation'

/** A place of a picture in mm, to the right and up; the front of the vehicle is to the left. */
export type PicturePlace = readonly [number, number]

/** A stretch of the way round: a run, or the part of a sprocket that the chain lies on. */
type Stretch = { readonly lengthMm: number; readonly at: (share: number) => PicturePlace }

/** The way round a chain, run and sprocket by turns, in the plane of the chain. */
function wayRound(
  { chain, loop, slack, slackSpan }: ChainEvaluation,
  real: ToldLoop,
  middles: readonly PicturePlace[],
): Stretch[] {
  const excess = slack.known ? Math.max(0, slack.value.excessMm) : 0
  return loop.known
    ? chain.sprockets.flatMap((sprocket, i): Stretch[] => {
        const span = real.spans[i]
        const next = (i + 1) % chain.sprockets.length
        const contact = real.contacts[next]
        const middle = middles[next]
        if (!span || !contact || !middle) return []
        const hang = i === slackSpan ? hangOf(span, excess) : ([0, 0] as const)
        const run: Stretch = {
          lengthMm: span.lengthMm + (i === slackSpan ? excess : 0),
          at: (t) => [
            span.from[0] + (span.to[0] - span.from[0]) * t + 4 * hang[0] * t * (1 - t),
            span.from[1] + (span.to[1] - span.from[1]) * t + 4 * hang[1] * t * (1 - t),
          ],
        }
        const start = Math.atan2(span.to[1] - middle[1], span.to[0] - middle[0])
        const isOutside = chain.sprockets[next]?.outside === true
        const sense = (isOutside ? -1 : 1) * (real.isClockwise ? -1 : 1)
        const wrap = (contact.wrapDeg * Math.PI) / 180
        const teeth = chain.sprockets[next]?.teeth ?? 0
        const arc: Stretch = {
          lengthMm: (chain.pitchMm * teeth * contact.wrapDeg) / 360,
          at: (t) => [
            middle[0] + contact.radiusMm * Math.cos(start + sense * wrap * t),
            middle[1] + contact.radiusMm * Math.sin(start + sense * wrap * t),
          ],
        }
        return [run, arc]
      })
    : []
}

/** How far a run sags at its middle, square to itself and downward, with so much chain beyond its length; a way in its plane. */
function hangOf(run: ToldLoop['spans'][number], excessMm: number): PicturePlace {
  const inclineDeg = lieDeg(run)
  if (excessMm <= 0 || inclineDeg > STEEPEST_DEG) return [0, 0]
  const sag = deflectionOf({ spanMm: run.lengthMm, inclineDeg }, 'parabola', excessMm)
  const [dx, dz] = [(run.to[0] - run.from[0]) / run.lengthMm, (run.to[1] - run.from[1]) / run.lengthMm]
  return dx > 0 ? [sag * dz, -sag * dx] : [-sag * dz, sag * dx]
}

/** A run that stands steeper does not hang. */
const STEEPEST_DEG = 79

/** The pins of a chain all the way round, as many as it has links, in its plane. */
export function pinsOf(
  now: ChainEvaluation,
  real: ToldLoop,
  middles: readonly PicturePlace[],
): PicturePlace[] {
  const way = wayRound(now, real, middles)
  const whole = way.reduce((sum, { lengthMm }) => sum + lengthMm, 0)
  const links = now.chain.links ?? Math.round(whole / now.chain.pitchMm)
  if (!(whole > 0) || links < 1) return []
  const pins: PicturePlace[] = []
  let from = 0
  for (const { lengthMm, at } of way) {
    for (
      let s = (pins.length * whole) / links;
      s < from + lengthMm && pins.length < links;
      s += whole / links
    )
      pins.push(at((s - from) / lengthMm))
    from += lengthMm
  }
  return pins
}

import fc from 'fast-check'
import { chainBuild, type ToldSprocket } from '../testdata/chainBuild'
import type { Build } from '../file/build/build'
import type { ChainEvaluation } from '../chain/chainEvaluation'
import { evaluateBuild } from './evaluateBuild'

const PITCH = 15.875
const chainOf = (build: Build): ChainEvaluation => evaluateBuild(build, {}).chains[0]!
/** Figures of a chain that must not hang on how the vehicle is told. */
function told({ loop, neededMm, centreMm, slack, linksToOrder, checks }: ChainEvaluation) {
  if (!loop.known || !neededMm.known || !centreMm.known || !slack.known) throw new Error('not closed')
  const { excessMm, spanMm, playMm } = slack.value
  return {
    needed: neededMm.value,
    centre: centreMm.value,
    excess: excessMm,
    span: spanMm,
    play: playMm ?? -1,
    ...Object.fromEntries(
      checks
        .filter(({ quantity }) => quantity === 'chain-wrap' || quantity === 'chain-offset')
        .map(({ id, value }) => [id, value ?? NaN]),
    ),
    toOrder: linksToOrder.known ? linksToOrder.value : NaN,
  }
}
const close = (figures: Readonly<Record<string, number>>, digits = 6) =>
  Object.fromEntries(
    Object.entries(figures).map(([name, value]) => [name, expect.closeTo(value, digits) as number]),
  )

/** Two sprockets and a guide from inside or outside that touches the lower run. */
const machine = fc.record({
  front: fc.integer({ min: 13, max: 22 }),
  rear: fc.integer({ min: 30, max: 50 }),
  apart: fc.integer({ min: 450, max: 900 }),
  drop: fc.integer({ min: -60, max: 60 }),
  left: fc.integer({ min: -6, max: 6 }),
  guide: fc.constantFrom('none', 'inside', 'outside'),
  links: fc.integer({ min: 2, max: 6 }),
})
type Machine = typeof machine extends fc.Arbitrary<infer T> ? T : never

function sprocketsOf({ front, rear, apart, drop, left, guide }: Machine): ToldSprocket[] {
  const [r, big] = [front, rear].map((teeth) => PITCH / (2 * Math.sin(Math.PI / teeth))) as [number, number]
  const small = PITCH / (2 * Math.sin(Math.PI / 12))
  // Where the lower run passes halfway, roughly; a guide pushes it in from below or out from within.
  const run = (drop - r - big) / 2
  const at = guide === 'outside' ? run - small + 25 : run + small - 25
  return [
    { x: 0, z: 0, teeth: front },
    ...(guide === 'none'
      ? []
      : [{ x: -apart / 2, z: at, left: left / 2, teeth: 12, idler: true, outside: guide === 'outside' }]),
    { x: -apart, z: drop, left, teeth: rear },
  ]
}
/** The chain with some links to spare, so that it closes and hangs. */
function built(of: Machine, sprockets: readonly ToldSprocket[]): Build {
  const bare = chainOf(chainBuild(PITCH, sprockets)).linksToOrder
  if (!bare.known) throw new Error(JSON.stringify(bare.missing))
  return chainBuild(PITCH, sprockets, { chain: { links: bare.value + 2 * (of.links - 2) } })
}

describe('a chain is the same', () => {
  it('wherever the datum of its vehicle is', () => {
    const away = fc.record({
      x: fc.integer({ min: -900, max: 900 }),
      z: fc.integer({ min: -400, max: 400 }),
      left: fc.integer({ min: -300, max: 300 }),
    })
    fc.assert(
      fc.property(machine, away, (of, by) => {
        const sprockets = sprocketsOf(of)
        const moved = sprockets.map((one) => ({
          ...one,
          x: one.x + by.x,
          z: one.z + by.z,
          left: (one.left ?? 0) + by.left,
        }))
        const here = told(chainOf(built(of, sprockets)))
        expect(told(chainOf(built(of, moved)))).toEqual(close(here))
      }),
      { seed: 20261129, numRuns: 40 },
    )
  })

  it('on the other side of the vehicle, but for the sign of what is out of line', () => {
    fc.assert(
      fc.property(machine, (of) => {
        const sprockets = sprocketsOf(of)
        const mirrored = sprockets.map((one) => ({ ...one, left: -(one.left ?? 0) }))
        const [here, there] = [chainOf(built(of, sprockets)), chainOf(built(of, mirrored))]
        expect(told(there)).toEqual(close(told(here)))
        expect(there.aligned.map(({ offsetMm }) => offsetMm)).toEqual(
          here.aligned.map(({ offsetMm }) => expect.closeTo(-offsetMm, 9) as number),
        )
      }),
      { seed: 20261129, numRuns: 40 },
    )
  })

  it('at twice its size, with every length twice and every angle, share and count as it was', () => {
    fc.assert(
      fc.property(machine, (of) => {
        const sprockets = sprocketsOf(of)
        const twice = sprockets.map((one) => ({
          ...one,
          x: 2 * one.x,
          z: 2 * one.z,
          left: 2 * (one.left ?? 0),
        }))
        const here = chainOf(built(of, sprockets))
        const large = chainOf(chainBuild(2 * PITCH, twice, { chain: { links: here.chain.links! } }))
        const { needed, centre, excess, span, play, ...same } = told(here)
        expect(told(large)).toEqual({
          ...close({
            needed: 2 * needed,
            centre: 2 * centre,
            excess: 2 * excess,
            span: 2 * span,
            play: play < 0 ? play : 2 * play,
          }),
          ...close(same),
        })
      }),
      { seed: 20261129, numRuns: 40 },
    )
  })

  it('whether it is seen the one way or the other: from behind it goes round the other way', () => {
    fc.assert(
      fc.property(machine, (of) => {
        const sprockets = sprocketsOf({ ...of, left: 0 })
        // Front to rear: what went anticlockwise goes clockwise, so the order turns round and the first stays first.
        const [first, ...rest] = sprockets.map((one) => ({ ...one, x: -one.x }))
        const turned = [first!, ...rest.reverse()]
        const needed = (of: readonly ToldSprocket[]) => {
          const { neededMm } = chainOf(chainBuild(PITCH, of))
          return neededMm.known ? neededMm.value : NaN
        }
        expect(needed(turned)).toBeCloseTo(needed(sprockets), 6)
      }),
      { seed: 20261129, numRuns: 40 },
    )
  })
})

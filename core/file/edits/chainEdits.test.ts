import { evaluateBuild } from '../../model/evaluateBuild'
import { bareBuild } from './newBuild'
import { parseBuild } from '../open/parseBuild'
import { withoutLever } from './withoutLever'
import { demoFile } from '../../testdata/demoFile'
import type { Build } from '../build/build'
import { beginBuild } from './beginBuild'
import {
  withGuide,
  withNewChain,
  withOrderTurned,
  withoutChain,
  withoutSprocket,
  withSpacer,
  withSprocketMoved,
} from './chainEdits'

const WANTED = {
  id: 'new',
  name: 'New',
  units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
  profile: 'road',
  date: '2026-11-26',
} as const
const CART = demoFile('burdock-cart')
/** Every edit leaves a file that comes in again as it is. */
function sound(build: Build): Build {
  const parsed = parseBuild(JSON.parse(JSON.stringify(build)))
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return build
}

describe('a new chain', () => {
  it('begins a build with an engine on slots, a live axle in two bearings and nothing read', () => {
    const build = sound(beginBuild(WANTED, 'chain'))
    expect(build.lines).toEqual([])
    expect(build.bodies.map(({ kind }) => kind)).toEqual(['chassis', 'powertrain', 'live-axle'])
    const [chain] = build.chains!
    expect(chain).toMatchObject({ duty: 'drive', pitchMm: 15.875, adjuster: 'slots' })
    expect(evaluateBuild(build, {}).verdict).toBe('unknown')
    expect(evaluateBuild(build, {}).missing.map(({ what }) => what)).toContain(
      'gearbox sprocket, middle: station not read',
    )
  })

  it('brings its limits into a build that had none', () => {
    const bare = bareBuild(WANTED)
    const without = {
      ...bare,
      limits: {
        ...bare.limits,
        entries: bare.limits.entries.filter(({ quantity }) => !quantity.startsWith('chain')),
      },
    }
    const { build } = withNewChain(without, 'steering', 'steering chain')
    const ids = build.limits.entries.map(({ id }) => id)
    expect(ids).toEqual(expect.arrayContaining(['chain-wrap', 'chain-slack', 'chain-backlash']))
    expect(new Set(ids).size).toBe(ids.length)
  })

  it('drives the axle that is there, on the shaft it has', () => {
    const { build, id } = withNewChain(CART, 'drive', 'second chain')
    const chain = sound(build).chains!.find((one) => one.id === id)!
    expect(build.bodies).toHaveLength(CART.bodies.length)
    expect(chain.sprockets.map(({ axis }) => axis)).toEqual(['output', 'axle'])
  })
})

describe('taking chains and sprockets out', () => {
  it('takes readings, spacers and places along, and leaves the shafts of others', () => {
    const left = sound(withoutChain(CART, 'drive'))
    expect(left.chains!.map(({ id }) => id)).toEqual(['steering'])
    expect(left.levers.filter(({ kind }) => kind === 'spacer')).toEqual([])
    expect(left.readings.filter(({ kind }) => kind === 'sprocket-face')).toEqual([])
    expect(left.points.map(({ id }) => id)).not.toContain('engine-sprocket')
    // The axle still goes through its bearings.
    expect(left.axes.map(({ id }) => id)).toContain('axle')
    expect(sound(withoutChain(left, 'steering')).chains).toEqual([])
    expect(withoutChain(CART, 'none')).toBe(CART)
  })

  it('keeps one to drive and one to be driven', () => {
    expect(withoutSprocket(CART, 'drive', 'axle')).toBe(CART)
    const guided = sound(withGuide(CART, 'drive', true))
    const guide = guided.chains![0]!.sprockets[2]!
    expect(guide).toMatchObject({ teeth: 12, idler: true, outside: true })
    expect(guided.levers.map(({ body }) => body)).toContain('tensioner')
    expect(withoutSprocket(guided, 'drive', 'axle')).toBe(guided)
    const back = sound(withoutSprocket(guided, 'drive', guide.id))
    expect(back.chains).toEqual(CART.chains)
    expect(back.bodies).toEqual(CART.bodies)
    expect(back.levers).toEqual(CART.levers)
  })

  it('leaves no chain set by a lever that is gone', () => {
    expect(sound(withoutLever(CART, 'jack-bolt')).chains![0]).not.toHaveProperty('adjuster')
    expect(withoutLever(CART, 'jack-bolt').chains![1]!.adjuster).toBe('column-up')
  })
})

describe('the order of sprockets', () => {
  const guided = withGuide(withGuide(CART, 'drive', true), 'drive', false)
  const order = (build: Build) => build.chains![0]!.sprockets.map(({ id }) => id)

  it('is moved and turned round about the first', () => {
    const [first, axle, one, other] = order(guided)
    expect(order(sound(withSprocketMoved(guided, 'drive', other!, -1)))).toEqual([first, axle, other, one])
    expect(withSprocketMoved(guided, 'drive', axle!, -1).chains![0]).toBe(guided.chains![0])
    expect(order(sound(withOrderTurned(guided, 'drive')))).toEqual([first, other, one, axle])
  })
})

describe('a spacer', () => {
  it('is put in once', () => {
    const bare = withoutLever(CART, 'rear-spacer')
    const spaced = sound(withSpacer(bare, 'drive', 'axle'))
    expect(spaced.levers.at(-1)).toMatchObject({ kind: 'spacer', sprocket: 'axle', body: 'rear-axle' })
    expect(withSpacer(spaced, 'drive', 'axle')).toBe(spaced)
  })
})

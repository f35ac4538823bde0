import { evaluateBuild } from '../../model/evaluateBuild'
import { demoFile } from '../../testdata/demoFile'
import type { Build } from '../../file/build/build'
import { chainOrder } from './chainOrder'
import {
  adjusterText,
  linksText,
  offsetText,
  slackText,
  slotEndText,
  spacerText,
  tiltText,
  unreadText,
  yawText,
} from './chainText'
import { checkLabel } from '../text/checkText'
import { leverAmount, leverInstruction, leverName } from './leverText'
import { settingSheet } from './settingSheet'

const CART = demoFile('burdock-cart')
const BUGGY = demoFile('comfrey-buggy')
const { units } = CART
const chain = (build: Build, index = 0, settings = {}) => evaluateBuild(build, settings).chains[index]!

describe('words of a chain', () => {
  it('say which way a sprocket is off and how it is turned', () => {
    const flat = { isLengthwise: false }
    const read = { yaw: true, tilt: true, both: { known: true, value: null, assumptions: [] } } as const
    expect(offsetText(flat, { offsetMm: -1.44 }, units)).toBe('1.4 mm to the right')
    expect(offsetText(flat, { offsetMm: 0.04 }, units)).toBe('in line')
    expect(offsetText({ isLengthwise: true }, { offsetMm: 2 }, units)).toBe('2.0 mm to the rear')
    expect(yawText(flat, { yawDeg: 0.31, read }, units)).toBe('0.31°, front edge to the left')
    expect(tiltText(flat, { tiltDeg: -0.12, read }, units)).toBe('0.12°, top to the left')
    expect(tiltText(flat, { tiltDeg: 0, read: { ...read, tilt: false } }, units)).toBeNull()
    const [sprocket] = CART.chains![0]!.sprockets
    expect(spacerText(flat, { offsetMm: 1.4, sprocket: sprocket! }, units)).toBe(
      'Set the gearbox sprocket 1.4 mm further to the right: a spacer, or shift the whole shaft.',
    )
    expect(spacerText(flat, { offsetMm: 0.01, sprocket: sprocket! }, units)).toBeNull()
  })

  it('say that an angle is not known, never nought', () => {
    const [diff] = chain(BUGGY).aligned
    expect(unreadText(diff!)).toBe(
      'output sprocket: only one angle is read; read its face at the top and the bottom',
    )
    expect(tiltText(chain(BUGGY), diff!, units)).toBeNull()
    expect(unreadText(chain(CART).aligned[0]!)).toBeNull()
  })

  it('say where an adjuster stands, or that it does not reach', () => {
    const found = chain(CART).adjuster!
    if (!found.known) throw new Error('unknown')
    const { lever } = found.value
    expect(adjusterText({ lever }, { at: 6.98 }, units)).toBe('7.0 mm forward')
    expect(adjusterText({ lever }, { at: 0.01 }, units)).toBe('as measured')
    expect(adjusterText({ lever }, { never: 'too-long', lacksMm: 3.2 }, units)).toContain(
      'beyond its end by about 3.2 mm: fewer links',
    )
    expect(adjusterText({ lever }, { never: 'not-closed' }, units)).toBe('the chain does not close there')
    expect(slotEndText({ lever }, { at: 20 }, units)).toBe('4.0 mm from the front end')
    expect(slotEndText({ lever }, { never: 'not-closed' }, units)).toBeNull()
  })

  it('count links, and name the half one', () => {
    expect([linksText(86), linksText(87)]).toEqual(['86 links', '87 links with a half link'])
  })

  it('tell the slack against what is wanted', () => {
    expect(slackText(chain(CART), units)).toBe(
      '15.5 mm up and down in all, at the middle of the slack run; wanted 12.6 mm to 18.8 mm in all.',
    )
    expect(slackText(chain(CART, 0, { 'jack-bolt': 2 }), units)).toMatch(/^The chain is 3\.\d mm too short/)
  })

  it('name levers of sprockets and bearings', () => {
    const lever = (id: string) => CART.levers.find((one) => one.id === id)!
    expect(leverInstruction(CART, lever('rear-spacer'), 2)).toBe(
      'Set the axle sprocket 2.0 mm further left (2)',
    )
    expect(leverInstruction(CART, lever('block-fore'), -1.5)).toBe('Move the left bearing 1.5 mm rearward')
    expect(leverInstruction(CART, lever('block-up'), 1)).toBe(
      'Pack the shims under the left pillow block up 1.0 mm (1)',
    )
    expect(leverAmount(lever('rear-spacer'), -1, units)).toBe('1.0 mm right')
    expect(leverName(CART, { ...lever('rear-spacer'), name: undefined })).toBe('spacer behind axle sprocket')
  })

  it('leave the name of the chain out where it stands over the list', () => {
    const wrap = chain(CART).checks[0]!
    expect(checkLabel(wrap)).toBe('drive chain: wrap of gearbox sprocket')
    expect(checkLabel(wrap, 'within')).toBe('wrap of gearbox sprocket')
  })
})

describe('the order of work', () => {
  const locked = (ids: readonly string[]) =>
    demoFile('burdock-cart', (raw) => {
      for (const lever of raw.levers) if (ids.includes(lever.id)) lever.locked = true
    })

  it('fixes what is driven first, and flags the other way round', () => {
    const open = chainOrder(CART, chain(CART))
    expect(open.steps.map(({ key, state }) => [key, state])).toEqual([
      ['fix', 'open'],
      ['line', 'open'],
      ['slack', 'done'],
      ['turn', 'open'],
    ])
    expect(open.wrongWayRound).toBeNull()
    const engineFirst = locked(['jack-bolt', 'turn'])
    expect(chainOrder(engineFirst, chain(engineFirst)).wrongWayRound).toBe(
      'engine is locked while rear axle can still be moved: fix rear axle first, then set the engine to it.',
    )
    const axleFirst = locked(['block-fore', 'block-up'])
    const order = chainOrder(axleFirst, chain(axleFirst))
    expect([order.steps[0]?.state, order.wrongWayRound]).toEqual(['done', null])
  })

  it('of a steering chain ends at both locks', () => {
    const order = chainOrder(CART, chain(CART, 1))
    expect(order.steps.map(({ key }) => key)).toEqual(['line', 'slack', 'turn'])
    expect(order.steps.at(-1)?.text).toContain('from lock to lock')
  })
})

describe('the sheet', () => {
  it('says what each chain is made of and what to find', () => {
    const now = evaluateBuild(CART, { 'rear-spacer': 2 })
    const { chains } = settingSheet(CART, now, evaluateBuild(CART, {}))
    expect(chains.map(({ name }) => name)).toEqual(['Drive chain', 'Steering chain'])
    expect(chains[0]?.parts).toBe(
      'gearbox sprocket 15 teeth, axle sprocket 45 teeth, pitch 15.875 mm, 110 links',
    )
    expect(chains[0]?.checks.map(({ label }) => label)).toEqual([
      'Slack',
      'Offset of axle sprocket',
      'Angle of axle sprocket',
      'Room left in its adjuster',
    ])
    expect(chains[0]?.lines[0]).toMatch(/^Axle sprocket: 0\.\d mm to the right\.$/)
  })
})

import { measuringTour } from '~~/core/measure/tour/tour'
import { openedDemo } from '../../tests/support/opened'
import type { InstrumentListener } from '../instruments/instrument'
import { useInstrument } from './instrument'

/** The tool of the server, as the store sees it; null while no server answers. */
const server: {
  listener: InstrumentListener | null
  isThere: boolean
  held: boolean[]
  closed: number
  truth: number
} = {
  listener: null,
  isThere: true,
  held: [],
  closed: 0,
  truth: NaN,
}
jest.mock('../instruments/serverInstrument', () => ({
  serverInstrument: (kind: string) => ({
    kind,
    where: 'server',
    connect: async (truth: number, listener: InstrumentListener) => {
      if (!server.isThere) throw new Error('the tool does not answer')
      Object.assign(server, { listener, truth })
      return { setHeld: (held: boolean) => void server.held.push(held), close: () => void server.closed++ }
    },
  }),
}))
const reading = (value: number, unit: 'deg' | 'mm' = 'deg') =>
  ({ value, unit, decimals: unit === 'deg' ? 2 : 0, isSteady: true, isHeld: false, battery: 0.9 }) as never

async function connected(stepId: string) {
  const workbench = await openedDemo()
  const instrument = useInstrument()
  const step = measuringTour(workbench.build!, 'setup-1').find(({ id }) => id === stepId)!
  await instrument.connect(step)
  return instrument
}

beforeEach(() => Object.assign(server, { listener: null, isThere: true, held: [], closed: 0 }))

describe('useInstrument', () => {
  it('lies on what was read last, and gives its value as text with its unit', async () => {
    const level = await connected('axis-level-output')
    expect([level.kind, level.where, server.truth]).toEqual(['level', 'server', 3.4])
    expect(level.text).toBeNull()
    server.listener!.onReading(reading(3.456))
    expect(level.text).toBe('3.46')
    const laser = await connected('point-station-pinion-joint')
    expect([laser.kind, server.truth]).toEqual(['laser', 2317])
    server.listener!.onReading(reading(2316.6, 'mm'))
    expect(laser.text).toBe('2317 mm')
  })

  it('holds, and gives nothing to trust once the tool is lost', async () => {
    const level = await connected('axis-level-output')
    server.listener!.onReading(reading(3.4))
    level.hold()
    level.hold()
    expect(server.held).toEqual([true, false])
    server.listener!.onLost()
    expect([level.isLost, level.text]).toEqual([true, null])
    level.close()
    expect([level.isConnected, server.closed]).toEqual([false, 1])
  })

  it('is simulated here where no server answers', async () => {
    server.isThere = false
    const level = await connected('axis-level-output')
    expect(level.where).toBe('local')
    for (let tries = 0; tries < 200 && level.text === null; tries++)
      await new Promise((resolve) => setTimeout(resolve, 10))
    expect(Math.abs(Number(level.text) - 3.48)).toBeLessThan(0.3)
    level.close()
  })

  it('does not listen to a tool that was left for another', async () => {
    const level = await connected('axis-level-output')
    const old = server.listener!
    const step = measuringTour((await openedDemo()).build!, 'setup-1').find(
      ({ id }) => id === 'axis-level-pinion',
    )!
    await level.connect(step)
    old.onReading(reading(9.99))
    expect(level.text).toBeNull()
    server.listener!.onReading(reading(1.25))
    expect(level.text).toBe('1.25')
  })
})

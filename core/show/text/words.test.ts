import { liftWords, fallWords, offsetWords, planWords } from '../../base/frame/words'
import type { Lever, LeverKind } from '../../file/build/lever'
import { LEVER_KINDS } from '../../file/build/lever'
import { compareSetups } from '../../measure/geometry/compareSetups'
import { readingHistory } from '../../measure/targets/history'
import { changedDemo, demoBuild } from '../../testdata/builds'
import { figureText, parseFigure } from '../../base/units/parseFigure'
import type { UnitSettings } from '../../base/units/unitSettings'
import { intervalText, likelihoodText } from './checkText'
import { grouped } from '../../base/units/format'
import { comparedWords } from './compareText'
import { readingEcho } from '../told/echo'
import { leverAmount, leverInstruction, leverName, leverWays, changeBrief } from '../told/leverText'
import { repeatText } from './repeatText'
import { setupStand } from './setupText'

const MM: UnitSettings = { length: 'mm', inchFraction: 16, angle: 'decimal' }
const INCH: UnitSettings = { length: 'in', inchFraction: 16, angle: 'minutes' }
const build = demoBuild()
const lever = (kind: LeverKind): Lever => ({
  id: kind,
  kind,
  body: kind === 'wedge' ? 'rear-axle' : 'powertrain',
  range: [-50, 50],
  step: 1,
})

describe('angles and lengths in words', () => {
  it('never carry a bare sign', () => {
    expect([3.2, -3.2, 0.01].map((fall) => fallWords(fall, 'tail', MM))).toEqual([
      'tail down 3.2°',
      'tail up 3.2°',
      'level',
    ])
    expect([3, -3].map((fall) => fallWords(fall, 'nose-front', MM))).toEqual([
      'nose up 3.0°',
      'nose down 3.0°',
    ])
    expect([3, -3].map((fall) => fallWords(fall, 'nose-rear', MM))).toEqual([
      'nose down 3.0°',
      'nose up 3.0°',
    ])
    expect([0.4, -0.4, 0].map((plan) => planWords(plan, MM))).toEqual([
      'rear points left 0.4°',
      'rear points right 0.4°',
      'straight ahead',
    ])
    expect([12, -12, 0].map((offset) => offsetWords(offset, MM))).toEqual([
      '12.0 mm left',
      '12.0 mm right',
      'on the centreline',
    ])
    expect([9, -9, 0].map((lift) => liftWords(lift, MM))).toEqual([
      '9.0 mm up',
      '9.0 mm down',
      'as it stands',
    ])
  })

  it('follow the build’s units', () => {
    expect(offsetWords(25.4, INCH)).toContain('1"')
    expect(planWords(0.5, INCH)).toBe("rear points left 0° 30'")
  })

  it('group thousands and say likelihoods without false precision', () => {
    expect([999, 1000, 12345.6].map(grouped)).toEqual(['999', '1\u202f000', '12\u202f346'])
    expect([1, 0.999, 0.97, 0.5, 0.001].map(likelihoodText)).toEqual([
      'over 99 %',
      'over 99 %',
      '97 %',
      '50 %',
      'under 1 %',
    ])
    expect(intervalText([0, 0.42], (value) => `${value.toFixed(2)}°`)).toBe('0.00–0.42°')
    expect(intervalText([0, 1200], (value) => `${grouped(value)} rad/s²`)).toBe('0–1\u202f200 rad/s²')
  })
})

describe('levers in words', () => {
  it('have a name, two ways and an order each', () => {
    for (const kind of LEVER_KINDS) {
      const one = lever(kind)
      const [positive, negative] = leverWays(one)
      expect(leverName(build, one).length).toBeGreaterThan(3)
      expect(leverAmount(one, 4, MM)).toContain(positive)
      expect(leverAmount(one, -4, MM)).toContain(negative)
      expect(leverAmount(one, 0, MM)).toBe('as measured')
      expect(leverInstruction(build, one, 4)).not.toBe(leverInstruction(build, one, -4))
      expect(changeBrief(build, { lever: one, amount: 4, change: 4 })).not.toMatch(/[+−-]\d/)
    }
  })

  it('say which side and what to stack', () => {
    expect(leverInstruction(build, lever('front-left-up'), 6)).toBe('Pack the front left mount up 6.0 mm')
    expect(leverInstruction(build, lever('front-right-up'), -6)).toBe('Lower the front right mount 6.0 mm')
    expect(leverInstruction(build, lever('fore'), 12)).toBe('Move the powertrain 12.0 mm forward')
    expect(leverInstruction(build, lever('tail-sideways'), -3)).toBe('Move the tail 3.0 mm right')
    expect(leverInstruction(build, { ...lever('tail-up'), stock: [3, 6] }, 9)).toBe(
      'Pack the tail up 9.0 mm (6 + 3)',
    )
    expect(changeBrief(build, { lever: lever('wedge'), amount: -1.5, change: -1.5 })).toBe(
      '1.5° wedge, nose down',
    )
    expect(changeBrief(build, { lever: lever('wedge'), amount: 0, change: 2 })).toBe('wedge out')
  })
})

describe('figures of parts as typed', () => {
  it('come back as they went in, in every unit', () => {
    for (const units of [MM, INCH, { ...MM, length: 'cm' as const }]) {
      for (const value of [12.7, 101.6, 2540]) {
        const parsed = parseFigure(figureText(value, 'length', units), 'length', units, 0, 10_000)
        expect(parsed.ok && parsed.value).toBeCloseTo(value, 2)
      }
    }
  })

  it('are refused beyond their bounds, which are named in the unit typed', () => {
    expect(parseFigure('3', 'plain', MM, 5, 10)).toEqual({ ok: false, message: 'it must be at least 5' })
    expect(parseFigure('30"', 'length', INCH, 0, 254)).toEqual({
      ok: false,
      message: 'it must be at most 10',
    })
    expect(parseFigure('-2', 'plain', MM, -5, 5)).toEqual({ ok: true, value: -2 })
    expect(parseFigure('-2', 'plain', MM, 0, 5)).toMatchObject({ ok: false })
  })
})

describe('what repeats, setups and comparisons say', () => {
  it('tells mean and spread of repeats, and nothing of a single one', () => {
    expect(repeatText(build, build.readings[2]!)).toBe('mean 85.43°, apart 0.10°')
    expect(repeatText(build, build.readings[4]!)).toBe('')
    const long = changedDemo((raw) => (raw.readings[4].values = ['2316', '231.9 cm']))
    expect(repeatText(long, long.readings[4]!)).toBe('mean 2317.5 mm, apart 3.0 mm')
  })

  it('tells how the chassis stood, or what is missing for it', () => {
    expect(setupStand(build, build.setups[0]!).words).toBe('front low by 0.80°, left low by 0.40°')
    const unread = changedDemo((raw) => (raw.readings = raw.readings.slice(1)))
    expect(setupStand(unread, unread.setups[0]!).words).toBe(
      'On the floor, loaded: how the chassis falls was not read',
    )
    const level = changedDemo((raw) => {
      raw.readings = raw.readings.slice(2)
      raw.setups[0].datum = 'levelled'
    })
    expect(setupStand(level, level.setups[0]!).words).toBe('level fore and aft, level across')
  })

  it('names compared figures by their way', () => {
    const two = changedDemo((raw) => {
      raw.setups.push({ ...raw.setups[0], id: 'two', name: 'Ramp' })
      raw.readings.push({ id: 'f2', kind: 'chassis-fall', setup: 'two', values: ['1'], low: 'rear' })
    })
    const rows = compareSetups(two, two.setups[0]!, two.setups[1]!)
    const words = (quantity: string, target: string) => {
      const row = rows.find((one) => one.quantity === quantity && one.target === target)!
      return comparedWords(row, row.first, MM)
    }
    expect(words('fall', '')).toBe('front low 0.80°')
    expect(words('roll', '')).toBe('left low 0.40°')
    expect(words('axis', 'output')).toBe('rear down 4.20°')
    expect(words('station', 'crank-nose')).toBe('62.0 mm forward')
    expect(words('offset', 'pinion-joint')).toBe('22.0 mm left')
    expect(words('height', 'pinion-joint')).toBe('31.0 mm below')
    const fall = rows.find(({ quantity }) => quantity === 'fall')!
    expect([fall.second, fall.difference]).toEqual([1, expect.closeTo(1.8, 9)])
    expect(comparedWords(fall, null, MM)).toBe('')
  })

  it('echoes each kind of reading in the vehicle’s terms', () => {
    const echo = (id: string, part = {}) =>
      readingEcho(build, { ...build.readings.find((one) => one.id === id)!, ...part } as never)
    expect(echo('r1').text).toBe(
      'The chassis stands front low by 0.80°. Everything read in this setup is corrected for it.',
    )
    expect(echo('r1', { values: ['0'] }).text).toBe('The chassis stands level fore and aft.')
    expect(echo('r2').text).toContain('left side low by 0.40°')
    expect(echo('r3').text).toMatch(
      /^Pinion nose up 4\.57° as read; to the chassis nose up 5\.37° ± 0\.\d\d°\.$/,
    )
    expect(echo('r11').text).toContain('62.0 mm forward')
    expect(echo('r6', { values: ['twelve'] })).toMatchObject({ ok: false })
    expect(echo('r4', { setup: 'nowhere' }).text).toContain('unknown')
  })

  it('keeps the history of a quantity, oldest first, with what counts now', () => {
    const told = changedDemo((raw) => {
      raw.readings.push({ ...raw.readings[3], id: 'later', takenAt: '2026-11-02T10:00:00', values: ['3.6'] })
      raw.readingLog = [
        {
          id: 'log',
          at: '2026-10-20T09:00:00',
          what: 'repeated',
          reading: 'r4',
          before: { ...raw.readings[3], values: ['3.4'] },
          after: raw.readings[3],
        },
      ]
    })
    const history = readingHistory(told, told.readings[3]!)
    expect(history.map(({ what, inForce }) => [what, inForce])).toEqual([
      ['read', false],
      ['repeated', false],
      ['read', true],
    ])
    // The first is shown as it was taken, before the repeat.
    expect(history[0]!.after).toMatchObject({ values: ['3.4'] })
  })
})

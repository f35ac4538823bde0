import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import * as fc from 'fast-check'
import { readingsFromTable } from '../../measure/csv/readingsFromTable'
import { parseBuild } from '../../file/open/parseBuild'
import { compareSetups } from '../../measure/geometry/compareSetups'
import { readingHistory } from '../../measure/targets/history'
import { demoBuild } from '../../testdata/builds'
import { rawDemos } from '../../testdata/demos'
import { pathsOf, put } from '../../testdata/mutations'
import { registrationReport, centrelineReport } from '../../show/text/registrationText'
import { setupStand } from '../../show/text/setupText'
import { runMonteCarlo } from '../uncertainty/monteCarlo'
import { sampleModel } from '../uncertainty/sampleModel'
import { findMistakes, mistakesOf } from './findMistakes'

const text = readFileSync(join(__dirname, '../../../docs/examples/two-setups.lurvan.json'), 'utf8')
const PATHS = pathsOf(JSON.parse(text)).filter((path) => path.length > 1)
const SEED = 31

describe('a build broken in any one place', () => {
  it('is refused with that place, or measured without a crash', () => {
    let refusals = 0
    let measured = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...PATHS),
        fc.constantFrom<unknown>(undefined, null, '', 'x', '0', '91.2', '1e9', -1, 0, 1e300, true, [], {}),
        (path, value) => {
          const raw = JSON.parse(text)
          put(raw, path, value)
          const parsed = parseBuild(raw)
          if (!parsed.ok) {
            refusals++
            expect(parsed.problems[0]!.path).not.toBe('')
            return
          }
          measured++
          const build = parsed.value
          for (const mistake of findMistakes(build)) expect(mistake.sentence).not.toContain('undefined')
          for (const setup of build.setups) {
            setupStand(build, setup)
            registrationReport(build, setup)
            centrelineReport(build, setup)
          }
          const [first, second] = build.setups
          if (first && second) compareSetups(build, first, second)
          for (const reading of build.readings.slice(0, 3)) readingHistory(build, reading)
          const { figures } = runMonteCarlo(sampleModel(build, {}), { samples: 5, seed: 1 })
          for (const { plusMinus } of Object.values(figures)) expect(Number.isNaN(plusMinus)).toBe(false)
        },
      ),
      { numRuns: 200, seed: SEED },
    )
    expect(refusals).toBeGreaterThan(20)
    expect(measured).toBeGreaterThan(20)
  })
})

describe('a table of anything', () => {
  it('is refused with a line, or gives readings that the build takes', () => {
    const build = demoBuild()
    const cell = fc.oneof(
      fc.constantFrom(
        'setup-1',
        'axis-level',
        'point-offset',
        'pinion',
        'pinion end',
        'rear',
        'left',
        '4.1',
        '29 1/8',
        '',
        '=1+1',
      ),
      fc.string({ maxLength: 12 }),
    )
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('setup', 'kind', 'of', 'way', 'angle [deg]', 'length [mm]', 'note'), {
          maxLength: 8,
        }),
        fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 5 }),
        (header, rows) => {
          let next = 0
          const result = readingsFromTable(build, { header, rows }, () => `n${next++}`)
          if (!result.ok) {
            for (const problem of result.problems) expect(problem.line).toBeGreaterThanOrEqual(1)
            return
          }
          const proven = parseBuild({ ...build, readings: [...build.readings, ...result.readings] })
          expect(proven.ok || proven.problems).toBe(true)
        },
      ),
      { numRuns: 500, seed: SEED },
    )
  })
})

describe('mistakes of one reading', () => {
  it('are those of the whole build that speak of it, for the newest reading of any of the demos', () => {
    let compared = 0
    for (const { raw } of rawDemos()) {
      const base = parseBuild(raw)
      if (!base.ok) throw new Error('a demo cannot be read')
      const { value: build } = base
      for (const reading of build.readings)
        for (const values of [['89'], ['0.5'], ['25.4'], ['2', '2', '9']]) {
          if (!('values' in reading)) continue
          const draft = { ...reading, id: 'draft', values } as typeof reading
          const typed = { ...build, readings: [...build.readings, draft] }
          compared++
          expect(mistakesOf(typed, draft)).toEqual(
            findMistakes(typed).filter(({ readingIds }) => readingIds.includes('draft')),
          )
        }
    }
    expect(compared).toBeGreaterThan(500)
  })
})

import { checkTable } from '../../../cli/checkTable'
import { seededRandom } from '../../base/chance/random'
import { compile } from '../../model/compile'
import { chosenSettings } from '../../model/evaluateBuild'
import { parseBuild } from '../../file/open/parseBuild'
import type { LeverSettings } from '../../vehicle/moves/settings'
import { compareSetups } from '../../measure/geometry/compareSetups'
import { allSaid, notWords, saidAt, saidOf } from '../../testdata/allSaid'
import { bend, wildSettings } from '../../testdata/bend'
import { rawDemos } from '../../testdata/demos'
import { demoFile } from '../../testdata/demoFile'
import type { ResultJson } from './resultJson'
import { cases } from '../../../tests/support/cases'

const times = <T>(count: number, make: () => T): T[] => Array.from({ length: count }, make)

const DEMOS = rawDemos()
const SEED = 20261128
const MANY = cases(800)

describe('nothing that is no word', () => {
  it('is said of any demo, asked for all its origins', () => {
    for (const { id, raw } of DEMOS) {
      const parsed = parseBuild(structuredClone(raw))
      expect([id, parsed.ok && notWords(allSaid(parsed.value, chosenSettings(parsed.value)))]).toEqual([
        id,
        [],
      ])
    }
  })

  it(`is said of builds bent anywhere, their levers set anywhere: ${MANY} of both (seed ${SEED})`, () => {
    const random = seededRandom(SEED)
    let told = 0
    for (let run = 0; told < MANY; run++) {
      expect(run).toBeLessThan(MANY)
      const { id, raw } = DEMOS[run % DEMOS.length]!
      const bent = structuredClone(raw)
      for (let count = Math.floor(3 * random.uniform()); count >= 0; count--) bend(bent, random)
      const parsed = parseBuild(bent)
      if (!parsed.ok) continue
      const { value: build } = parsed
      const said = saidOf(build)
      const table = checkTable(said.result as ResultJson)
      expect([id, run, notWords([said, table])]).toEqual([id, run, []])
      const compiled = compile(build)
      const settings = [chosenSettings(build), ...times(4, () => wildSettings(build.levers, random))]
      for (const one of settings)
        expect([id, run, one, notWords(saidAt(compiled, one))]).toEqual([id, run, one, []])
      told += settings.length
    }
  })

  it('is said of readings without their side, or with levels at their ends', () => {
    let told = 0
    const look = (what: string, change: (reading: any, i: number) => void, id: string, raw: any) => {
      const changed = structuredClone(raw)
      changed.readings.forEach(change)
      const parsed = parseBuild(changed)
      if (!parsed.ok) return
      told++
      const { value: build } = parsed
      const compared = build.setups.map((one) => compareSetups(build, build.setups[0]!, one))
      expect([
        id,
        what,
        notWords([saidOf(build), saidAt(compile(build), chosenSettings(build)), compared]),
      ]).toEqual([id, what, []])
    }
    for (const { id, raw } of DEMOS) {
      for (const key of ['side', 'way', 'low', 'high', 'stands', 'lean', 'by', 'leftPoints', 'rearPoints']) {
        look(`without ${key}`, (reading) => Reflect.deleteProperty(reading, key), id, raw)
        look(`some without ${key}`, (reading, i) => i % 2 && Reflect.deleteProperty(reading, key), id, raw)
      }
      for (const shown of ['0', '45', '89.9', '90', '135', '180'])
        look(
          `levels at ${shown}`,
          (reading) => {
            if (/level|fall|roll|axis-face/.test(reading.kind)) reading.values = [shown]
          },
          id,
          raw,
        )
    }
    expect(told).toBeGreaterThan(150)
  })
})

describe('figures no builder has', () => {
  it('are answers: points of a face that coincide', () => {
    const build = demoFile('comfrey-buggy', (raw) => {
      const faces = raw.readings.filter(({ kind }: { kind: string }) => kind === 'sprocket-face')
      for (const face of faces) face.radius = '0.000001'
    })
    const told = allSaid(build, chosenSettings(build))
    expect(JSON.stringify(told)).toContain('the points where its face was read coincide')
    expect(notWords(told)).toEqual([])
  })

  it('are answers: levers sent where no run of the chain is left, and a strap of less than nothing', () => {
    const build = demoFile('comfrey-buggy')
    const settings: LeverSettings[] = [{ 'tensioner-up': 999.999, 'jack-bolt': 999.999 }, { strap: -1000 }]
    for (const one of settings) expect(notWords(saidAt(compile(build), one))).toEqual([])
  })
})

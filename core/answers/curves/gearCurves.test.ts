import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { peakAcceleration } from '../../line/uniformity'
import { evaluateBuild } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { parseBuildText } from '../../file/open/parseBuild'
import { gearCurves } from './gearCurves'

function demo(id: string, edit: (raw: any) => void = () => undefined): Build {
  const raw = JSON.parse(readFileSync(join(__dirname, `../../../demo/${id}.lurvan.json`), 'utf8'))
  edit(raw)
  const parsed = parseBuildText(JSON.stringify(raw))
  if (!parsed.ok) throw new Error('damaged')
  return parsed.value
}

describe('acceleration gear by gear', () => {
  const hauler = demo('sorrel-hauler')
  const line = evaluateBuild(hauler, {}).lines[0]!
  const curves = gearCurves(hauler, line)
  if (!curves.known || !line.ride.known) throw new Error('not known')
  const { whole } = line.ride.value

  it('has one curve for each gear in each range, up to the redline', () => {
    expect(curves.value.gears).toHaveLength(12)
    const [slowest] = curves.value.gears.filter(({ gear }) => gear === 'low, 1')
    // 4200 rev/min through 4.2 · 2.3 · 3.9 on 376 mm tyres.
    const [kmh, acceleration] = slowest!.points.at(-1)!
    expect(kmh).toBeCloseTo(((4200 / (4.2 * 2.3 * 3.9)) * 60 * 2 * Math.PI * 0.376) / 1000, 6)
    expect(acceleration).toBeCloseTo(peakAcceleration(whole, 4200 / (4.2 * 2.3)), 6)
  })

  it('goes with the square of the speed, and carries the limits of the build', () => {
    const { points } = curves.value.gears[4]!
    const [first, last] = [points[0]!, points.at(-1)!]
    expect(last[1] / first[1]).toBeCloseTo((last[0] / first[0]) ** 2, 6)
    expect([curves.value.warn, curves.value.fail]).toEqual([500, 700])
  })

  it('says what is missing', () => {
    const bare = demo('fen-tender')
    const found = gearCurves(bare, evaluateBuild(bare, {}).lines[0]!)
    expect(found.known ? [] : found.missing.map(({ what }) => what)).toEqual([
      'rolling radius of the tyres not entered',
    ])
  })
})

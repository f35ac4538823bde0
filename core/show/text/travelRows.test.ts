import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { evaluateBuild } from '../../model/evaluateBuild'
import { parseBuildText } from '../../file/open/parseBuild'
import { demoBuild } from '../../testdata/builds'
import { travelRows } from './travelRows'

function rowsOf(edit: (raw: any) => void = () => undefined) {
  const raw = JSON.parse(readFileSync(join(__dirname, '../../../demo/tansy-wagon.lurvan.json'), 'utf8'))
  edit(raw)
  const parsed = parseBuildText(JSON.stringify(raw))
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return travelRows(parsed.value, evaluateBuild(parsed.value, {}))
}

describe('the travel on the sheet', () => {
  it('has every place with its angles and what is left of the slip', () => {
    const rows = rowsOf()
    expect(rows.slice(0, 5).map(({ place, wheels }) => [place, wheels])).toEqual([
      ['ride height', ''],
      ['full droop', '−130 mm'],
      ['full bump', '80 mm'],
      ['left up, right down', '80 mm / −130 mm'],
      ['right up, left down', '−130 mm / 80 mm'],
    ])
    expect(rows[0]).toMatchObject({ left: '24.0 mm', engaged: '58.0 mm' })
    expect(rows[1]).toMatchObject({ angles: '4.3° · 2.6°', left: '13.4 mm', engaged: '68.6 mm' })
    // Where the spline is engaged the least, between the named places.
    expect(rows.slice(5).map(({ place }) => place)).toEqual(rows.slice(5).map(() => 'between'))
    expect(rows.slice(5).some(({ wheels }) => /^\d+\.\d mm up$/.test(wheels))).toBe(true)
  })

  it('says why a place is not reached, and leaves a spline that nobody told', () => {
    const rows = rowsOf((raw) => {
      raw.bodies[2].travel.droopMm = 700
      delete raw.lines[0].shafts[0].slip.engagedMm
    })
    expect(rows[1]!.angles).toContain('the links cannot reach −700 mm, at full droop')
    expect(rows[0]!.engaged).toBe('')
  })

  it('follows a slip yoke on its spline', () => {
    const rows = rowsOf((raw) => {
      const [shaft] = raw.lines[0].shafts
      delete shaft.slip
      shaft.drivingEnd = { kind: 'slip-yoke', setInMm: 24, engagedMm: 58 }
    })
    expect(rows[0]).toMatchObject({ left: '24.0 mm', engaged: '58.0 mm' })
    // It slides as far as the distance of the joints shrinks, and a trace more as it stands at an angle.
    expect(rows[1]!.left).toBe('13.4 mm')
  })

  it('is none where nobody has told how far the wheels go', () => {
    const build = demoBuild()
    expect(travelRows(build, evaluateBuild(build, {}))).toEqual([])
  })
})

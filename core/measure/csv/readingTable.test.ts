import { changedDemo, demoBuild } from '../../testdata/builds'
import { readingsFromTable } from './readingsFromTable'
import { readingTable } from './readingTable'
import { COLUMNS, CSV_KINDS, textColumns } from './readingColumns'

const build = demoBuild()
let next = 0
const id = () => `new-${++next}`
const HEADER = ['setup', 'kind', 'of', 'way', 'angle [deg]', 'length [mm]']
const from = (rows: string[][], header = HEADER) => readingsFromTable(build, { header, rows }, id)
const problemsOf = (rows: string[][], header = HEADER) => {
  const result = from(rows, header)
  return result.ok ? [] : result.problems.map(({ line, message }) => `${line}: ${message}`)
}

describe('readingTable and readingsFromTable', () => {
  it('give back every reading as it was typed', () => {
    const result = readingsFromTable(build, readingTable(build), id)
    if (!result.ok) throw new Error(JSON.stringify(result.problems))
    const strip = (one: object) => ({ ...one, id: '' })
    expect(result.readings.map(strip)).toEqual(build.readings.map(strip))
  })

  it('give back plumb drops, and texts that nobody can read, as the build has them', () => {
    const odd = changedDemo((raw) => {
      Object.assign(
        raw.readings.find((one: any) => one.id === 'r6'),
        { by: 'plumb', aboveCentreline: '31', aboveCentrelineWay: 'below', values: ['about 22', '=1+1'] },
      )
    })
    const { header, rows } = readingTable(odd)
    // A spreadsheet must not run a cell, so it is written behind an apostrophe.
    const guarded = rows.map((row) => row.map((cell) => (/^[=+\-@]/.test(cell) ? `'${cell}` : cell)))
    const result = readingsFromTable(odd, { header, rows: guarded }, id)
    if (!result.ok) throw new Error(JSON.stringify(result.problems))
    const strip = (one: object) => ({ ...one, id: '' })
    expect(result.readings.map(strip)).toEqual(odd.readings.map(strip))
    // A text that is new here is still refused with its line.
    const fresh = rows.map((row) => row.map((cell) => (cell === 'about 22' ? 'about 23' : cell)))
    expect(readingsFromTable(odd, { header, rows: fresh }, id)).toMatchObject({ ok: false })
  })

  it('refuse a display side that cannot be', () => {
    const header = [...HEADER, 'display']
    expect(problemsOf([['setup-1', 'chassis-fall', '', 'front', '0.8', '', 'front']], header)).toEqual([
      '2: display "front" is not one of: left, right',
    ])
    expect(problemsOf([['setup-1', 'chassis-roll', '', 'left', '0.8', '', 'front']], header)).toEqual([])
  })

  it('keep fractions, decimal commas and units as typed, and join repeats', () => {
    const header = ['reading', 'setup', 'kind', 'of', 'way', 'from', 'angle [°]', 'length [in]']
    const result = from(
      [
        ['1', 'setup-1', 'axis-face', 'PINION', 'rear', '', '86,4', ''],
        ['1', 'setup-1', 'axis-face', 'PINION', 'rear', '', '86,5', ''],
        ['', 'setup-1', 'point-height', 'pinion end', 'below', '', '', '1 1/4'],
      ],
      header,
    )
    if (!result.ok) throw new Error(JSON.stringify(result.problems))
    expect(result.readings).toMatchObject([
      { kind: 'axis-face', axis: 'pinion', from: 'level', lean: 'rear', values: ['86,4', '86,5'] },
      { kind: 'point-height', unit: 'in', values: ['1 1/4'] },
    ])
  })

  it('has a column for every text that a kind has beside its figure', () => {
    const columns = CSV_KINDS.flatMap((kind) => textColumns(kind).map(([, column]) => column))
    expect(columns).toEqual(['above centreline', 'radius'])
    expect(COLUMNS).toEqual(expect.arrayContaining(columns))
  })

  it('name the line of everything that is wrong, and take in nothing', () => {
    expect(
      problemsOf([
        ['nowhere', 'axis-level', 'pinion', 'rear', '4', ''],
        ['setup-1', 'guess', 'pinion', 'rear', '4', ''],
        ['setup-1', 'axis-level', 'pinion', 'up', '4', ''],
        ['setup-1', 'axis-level', 'pinion', 'rear', '-4', ''],
        ['setup-1', 'point-station', 'moon', 'rearward', '', '100'],
        ['setup-1', 'point-station', 'pinion end', 'rearward', '', ''],
        ['setup-1', 'chassis-fall', '', 'front', '0.8', ''],
      ]),
    ).toEqual([
      '2: there is no setup "nowhere"',
      '3: kind "guess" is not one of: chassis-fall, chassis-roll, axis-level, axis-face, point-station, point-offset, point-height, shaft-level, gap, sprocket-face, chain-slack, shift-gate, cable-string',
      '4: way "up" is not one of: front, rear',
      '5: angle: "-4" has a sign; type the figure and say which end is lower',
      '6: there is no point "moon"',
      '7: length: nothing was typed',
    ])
  })

  it('refuse a header without units, with a strange unit, or with a column twice', () => {
    expect(problemsOf([['a']], ['setup', 'kind', 'of', 'length'])).toEqual([
      '1: a column with its unit is missing, such as "angle [deg]" or "length [mm]"',
    ])
    expect(problemsOf([['a']], ['setup', 'kind', 'length [ell]'])).toEqual([
      '1: "ell" is not a unit of length; use mm, cm, m, in, ft',
    ])
    expect(problemsOf([['a']], ['setup', 'kind', 'kind'])).toEqual(['1: the column "kind" is there twice'])
    expect(problemsOf([], HEADER)).toEqual(['1: there are no rows under the header'])
  })
})

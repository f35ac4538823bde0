import { leverMap } from './leverMap'
import { demoBuild } from '../../testdata/builds'
import { leverMapCsv } from './leverMapCsv'

it('a map goes out as a table, a row a cell with its amounts, state and worst check', () => {
  const map = leverMap(demoBuild(), {}, 'tail', 'wedge', 3)!
  const rows = leverMapCsv(map, ['tail, mm', 'wedge, °']).trim().split('\r\n')
  expect(rows).toHaveLength(10)
  expect(rows[0]).toBe('"tail, mm","wedge, °",state,"room to the worst limit, share of it",worst check')
  expect(rows[1]).toMatch(/^-40,-6,out,-\d+\.\d{1,4},rear\/\w+/)
  expect(rows[9]).toMatch(/^60,6,/)
  // A lever may be called what a spreadsheet would run.
  expect(leverMapCsv(map, ['=HYPERLINK("x")', 'wedge'])).toContain(`"'=HYPERLINK(""x"")",wedge`)
})

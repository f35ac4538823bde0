import parseCalendar from 'cal-parser'
import { csvText } from '../../measure/csv/csvText'
import { bought, ownTask, planOf, workBuild } from '../../testdata/workBuild'
import { tasksOf } from '../tasks/buildTasks'
import { calendarText, planDays } from './planCalendar'
import { planTable } from './planTable'

const build = workBuild([
  ownTask('exhaust', 30, { cost: 12.5, isHot: true, name: '=run, "it"; past' }),
  bought('shaft', 10),
  ownTask('fit', 3, { after: ['shaft'], hands: undefined }),
  ownTask('old', 1, { doneAt: '2026-11-01' }),
])
const plan = planOf(build)

describe('the plan as a table', () => {
  const { header, rows } = planTable(tasksOf(build, 0), plan)
  const cell = (row: number, column: string) => rows[row]![header.indexOf(column)]
  it('says of each task its hours, days and slack', () => {
    expect(rows).toHaveLength(4)
    expect(['hours likely', 'begins', 'ends', 'cost', 'hot work'].map((one) => cell(0, one))).toEqual([
      ...['30.00', '2026-11-30', '2026-12-15', '12.50', 'yes'],
    ])
    expect([cell(1, 'order by'), cell(1, 'days on its way')]).toEqual(['2026-12-05', '10'])
    expect([cell(3, 'done'), cell(3, 'begins')]).toEqual(['yes', ''])
  })
  it('runs in no spreadsheet, and stands without a plan too', () => {
    expect(csvText({ header, rows })).toContain('"\'=run, ""it""; past"')
    const bare = planTable(tasksOf(build, 0), null)
    expect(bare.rows.map((row) => row[header.indexOf('begins')])).toEqual(['', '', '', ''])
  })
})

describe('the plan as a calendar', () => {
  it('is read by another program: last days to order, arrivals, when it drives, as whole days', () => {
    const named = {
      id: 'b',
      name: 'Wagon; a, b\\c\nand a name that is longer than seventy-five letters, so that its line is folded',
    }
    const text = calendarText(planDays(plan), named, '2026-11-30T20:57:00Z')
    const { events } = parseCalendar.parseString(text)
    const told = events.map(({ summary, dtstart, dtend, uid }) => [
      summary.value.replace(/.*folded: /s, ''),
      dtstart.value.toISOString().slice(0, 10),
      dtend.value.toISOString().slice(0, 10),
      uid.value,
    ])
    expect(told).toEqual([
      ['last day to order: task shaft', '2026-12-05', '2026-12-06', 'b-shaft-order'],
      ['comes: task shaft', expect.stringMatching(/^2026-12-1\d$/), expect.any(String), 'b-shaft-here'],
      ['it drives, by the plan', '2026-12-16', '2026-12-17', 'b-drives'],
    ])
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
  })
})

import { fixed } from '../../base/units/format'
import { part, type RecordPart, type RecordSite } from './recordPart'

/** What a build costs, by what it went for. */
export function costs({ money, build }: RecordSite): RecordPart {
  const { bySort, ownHours, logged, all } = money
  const unit = build.crew?.money ?? ''
  const rows = [
    ['bought', bySort.buy],
    ['made', bySort.fabricate],
    ['fitted', bySort.fit],
    ['by the log', logged],
    ...(ownHours ? [['own hours', ownHours] as const] : []),
    ['all', all],
  ] as const
  const sum = (value: number) => `${fixed(value, 0)} ${unit}`.trim()
  return part('Money', {
    rows: rows
      .filter(([, { spent, ordered: on, toCome }]) => spent + on + toCome > 0)
      .map(([name, { spent, ordered: on, toCome }]) => [
        name,
        `spent ${sum(spent)}`,
        `ordered ${sum(on)}`,
        `to come ${sum(toCome)}`,
      ]),
  })
}

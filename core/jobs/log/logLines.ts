import type { Build } from '../../file/build/build'
import type { ReadingChange } from '../../file/build/readingChange'
import type { LogEntry } from '../../file/kinds/logKinds'
import { bodyName } from '../../measure/targets/target'

/** A line of the log: an entry, or what the build itself knows of a day. */
export interface LogLine {
  readonly key: string
  /** Such as 2026-11-29; empty where nobody said when. */
  readonly day: string
  readonly what: string
  /** Figures before and after, who, why. */
  readonly detail: string
  readonly photos: readonly string[]
  /** Null for what the build keeps elsewhere. */
  readonly entry: LogEntry | null
}

/** All that happened, newest first: entries, readings that were changed, setups, lift-ins, steps that were ticked. */
export function logLines(build: Build): LogLine[] {
  const plain = (key: string, at: string | undefined, what: string, detail = ''): LogLine => ({
    key,
    day: (at ?? '').slice(0, 10),
    what,
    detail,
    photos: (build.photos ?? []).flatMap(({ id, shows }) => (shows === key.split('/')[1] ? [id] : [])),
    entry: null,
  })
  const lines = [
    ...(build.log ?? []).map((entry): LogLine => ({
      key: `log/${entry.id}`,
      day: entry.at,
      what: entry.name,
      detail: [entry.who ?? '', entry.note ?? ''].filter(Boolean).join(': '),
      photos: entry.photos ?? [],
      entry,
    })),
    ...(build.readingLog ?? []).map((one) =>
      plain(`reading/${one.id}`, one.at, `${readingOf(build, one)} ${WHAT[one.what]}`, changeText(one)),
    ),
    ...build.setups.map(({ id, date, name, by }) =>
      plain(`setup/${id}`, date, `measured: ${name}`, by ?? ''),
    ),
    ...build.trials.flatMap(({ id, date, name, note }) =>
      date ? [plain(`trial/${id}`, date, `lift-in: ${name}`, note ?? '')] : [],
    ),
    ...(build.answers ?? []).flatMap(({ id, at, name, text, who }) =>
      text ? [plain(`answer/${id}`, at, name, [text, who ?? ''].filter(Boolean).join(', '))] : [],
    ),
    ...(build.ticks ?? []).map(({ id, name, at }) => plain(`tick/${id}`, at, `step done: ${name}`)),
  ]
  // Of one day the last that was written down stands first.
  return lines
    .map((line, i) => ({ line, i }))
    .sort((a, b) => (a.line.day === b.line.day ? b.i - a.i : a.line.day < b.line.day ? 1 : -1))
    .map(({ line }) => line)
}

const WHAT: Readonly<Record<ReadingChange['what'], string>> = {
  repeated: 'read again',
  'repeat-removed': 'one repeat taken out',
  corrected: 'corrected',
  removed: 'removed',
}

function readingOf(build: Build, { reading, before, after }: ReadingChange): string {
  const one = after ?? before ?? build.readings.find(({ id }) => id === reading)
  return one ? `${bodyName(build, one)}, ${one.kind.replaceAll('-', ' ')}` : 'a reading'
}

const valuesOf = (reading: ReadingChange['before']): string =>
  reading && 'values' in reading ? reading.values.join(', ') : ''

/** "86.4 → 86.4, 86.5; the rear was the low end". */
function changeText({ before, after, why, by }: ReadingChange): string {
  const values = [before, after].map(valuesOf).filter(Boolean).join(' → ')
  return [values, why ?? '', by ?? ''].filter(Boolean).join('; ')
}

/** Lines that hold every word that is looked for, wherever it stands. */
export function foundLines(lines: readonly LogLine[], search: string): LogLine[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  return lines.filter(({ day, what, detail }) => {
    const text = `${day} ${what} ${detail}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
}

/** Entries that say that something is not right yet. */
export const openDefects = ({ log = [] }: Pick<Build, 'log'>): LogEntry[] =>
  log.filter(({ defect }) => defect === 'open')

/** What a mistake cost, by its family, dearest first. */
export interface MistakeCost {
  readonly mistake: NonNullable<LogEntry['mistake']>
  readonly count: number
  readonly hours: number
  readonly cost: number
}

export function mistakeCosts({ log = [] }: Pick<Build, 'log'>): MistakeCost[] {
  const costs = new Map<MistakeCost['mistake'], MistakeCost>()
  for (const { mistake, hours = 0, cost = 0 } of log) {
    if (mistake === undefined) continue
    const was = costs.get(mistake) ?? { mistake, count: 0, hours: 0, cost: 0 }
    costs.set(mistake, { mistake, count: was.count + 1, hours: was.hours + hours, cost: was.cost + cost })
  }
  return [...costs.values()].sort((a, b) => b.cost - a.cost || b.hours - a.hours)
}

import { fixed } from '../../base/units/format'
import type { Build } from '../../file/build/build'
import type { Evaluation } from '../../model/evaluateBuild'
import { chosenPosition } from '../../model/evaluateBuild'
import { logLines, mistakeCosts, openDefects } from '../../jobs/log/logLines'
import type { Money } from '../../jobs/money/money'
import { GATE_NAMES } from '../text/gateText'
import { checkLabel, checkValueText, marginText, plusMinusText } from '../text/checkText'
import { lineFacts } from '../text/lineFacts'
import { setupsUsed } from '../text/setupsUsed'
import { leverInstruction } from '../told/leverText'
import { MISTAKE_NAMES } from './mistakeNames'

/** A part of the record: sentences, a table, pictures by their ids. */
export interface RecordPart {
  readonly title: string
  readonly lines: readonly string[]
  readonly rows: readonly (readonly string[])[]
  readonly photos: readonly { readonly id: string; readonly caption: string }[]
}

/** A whole build as something to read: words, figures, pictures, no layout. */
export interface BuildRecord {
  readonly title: string
  readonly about: string
  readonly parts: readonly RecordPart[]
}

/** What the record is made from. */
export interface RecordSite {
  readonly build: Build
  readonly evaluation: Evaluation
  readonly money: Money
  /** The state of the whole, in one sentence. */
  readonly sentence: string
}

/** The record of a build: how it stands, what was made, ordered and passed, what it cost, what happened on each day. */
export function buildRecord(site: RecordSite, today: string): BuildRecord {
  const { build } = site
  const parts = [
    stands(site),
    lengths(site),
    made(site),
    ordered(site),
    passed(site),
    costs(site),
    open(site),
    measured(site),
    ...days(site),
  ]
  return {
    title: build.name,
    about: [build.vehicle ?? '', `as of ${today}`].filter(Boolean).join(', '),
    parts: parts.filter(({ lines, rows, photos }) => lines.length + rows.length + photos.length > 0),
  }
}

const part = (title: string, more: Partial<Omit<RecordPart, 'title'>>): RecordPart => ({
  title,
  lines: [],
  rows: [],
  photos: [],
  ...more,
})

function stands({ build, evaluation, sentence }: RecordSite): RecordPart {
  const many = build.lines.length > 1
  const position = chosenPosition(build)
  const levers = build.levers.flatMap((lever) => {
    const amount = position?.settings[lever.id] ?? 0
    return amount === 0 ? [] : [leverInstruction(build, lever, amount)]
  })
  return part('How it stands', {
    lines: [
      sentence,
      ...(position ? [`Position: ${position.name}`] : []),
      ...levers,
      ...(build.note ? [build.note] : []),
    ].filter(Boolean),
    rows: evaluation.checks.map((check) => [
      checkLabel(check, many),
      [checkValueText(check, check.value, build.units), plusMinusText(check, build.units)].join(' ').trim(),
      check.verdict,
      marginText(check, build.units),
    ]),
  })
}

const lengths = ({ build, evaluation }: RecordSite): RecordPart =>
  part('Shafts', {
    rows: evaluation.lines.flatMap((line) =>
      lineFacts(build, line)
        .filter(({ about }) => about === 'shaft')
        .flatMap(({ title, facts }) =>
          facts.map(({ name, value, remark }) => [
            `${line.line.name}, ${title.toLowerCase()}: ${name}`,
            value,
            remark ?? '',
          ]),
        ),
    ),
  })

const made = ({ build }: RecordSite): RecordPart =>
  part('Made', {
    rows: [
      ...(build.crossmembers ?? []),
      ...(build.plates ?? []),
      ...(build.copedTubes ?? []),
      ...(build.pieces ?? []),
    ].map(({ name, state, asBuilt }) => [
      name,
      state ?? 'idea',
      [asBuilt?.section, asBuilt?.grade, asBuilt?.filler].filter(Boolean).join(', '),
    ]),
  })

const ordered = ({ build }: RecordSite): RecordPart =>
  part('Ordered', {
    rows: (build.orders ?? []).map(({ name, supplier, sent, arrived }) => [
      name,
      supplier ?? '',
      sent ? `ordered ${sent.at}` : 'not ordered',
      arrived?.verdict ? `${arrived.verdict} ${arrived.at}` : '',
    ]),
  })

const passed = ({ build }: RecordSite): RecordPart =>
  part('Gates passed', {
    rows: (build.gates ?? []).map(({ gate, passedAt, who, note, over = [] }) => [
      GATE_NAMES[gate],
      passedAt,
      who ?? '',
      [note ?? '', ...over.map(({ reason }) => `over something temporary: ${reason}`)]
        .filter(Boolean)
        .join('; '),
    ]),
  })

function costs({ money, build }: RecordSite): RecordPart {
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

const open = ({ build }: RecordSite): RecordPart =>
  part('Open, and learnt', {
    lines: [
      ...openDefects(build).map(({ name, at }) => `Not right yet, since ${at}: ${name}`),
      ...(build.temporaries ?? []).flatMap(({ name, closedAt }) =>
        closedAt ? [] : [`Still temporary: ${name}`],
      ),
      ...mistakeCosts(build).map(
        ({ mistake, count, hours, cost }) =>
          `${MISTAKE_NAMES[mistake]}: ${count} ×, ${fixed(hours, 1)} h, ${fixed(cost, 0)}`,
      ),
    ],
  })

const measured = ({ build }: RecordSite): RecordPart =>
  part('Measured', {
    rows: setupsUsed(build).map(({ name, date, by, tools }) => [name, date, by, tools]),
  })

/** A part for each day, oldest first. */
function days({ build }: RecordSite): RecordPart[] {
  const lines = logLines(build).toReversed()
  const all = [...new Set(lines.map(({ day }) => day))]
  return all.map((day) => {
    const own = lines.filter((line) => line.day === day)
    return part(day === '' ? 'Without a day' : day, {
      lines: own.map(({ what, detail, entry }) =>
        [
          detail ? `${what} (${detail})` : what,
          entry?.hours === undefined ? '' : `${fixed(entry.hours, 1)} h`,
          entry?.cost === undefined ? '' : `cost ${fixed(entry.cost, 0)}`,
          entry?.isReversible === undefined
            ? ''
            : entry.isReversible
              ? 'can be put back'
              : 'cannot be put back',
          entry?.defect === undefined ? '' : entry.defect === 'open' ? 'not right yet' : 'mended since',
        ]
          .filter(Boolean)
          .join('; '),
      ),
      photos: own.flatMap(({ photos, what }) => photos.map((id) => ({ id, caption: what }))),
    })
  })
}

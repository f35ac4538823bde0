import { fixed } from '../../base/units/format'
import { chosenPosition } from '../../model/evaluateBuild'
import { MADE_LISTS } from '../../file/kinds/madePart'
import { mistakeCosts, openDefects } from '../../jobs/log/logLines'
import { GATE_NAMES } from '../text/gateText'
import { checkLabel, checkValueText, marginText, plusMinusText } from '../text/checkText'
import { lineFacts } from '../text/lineFacts'
import { setupsUsed } from '../text/setupsUsed'
import { leverInstruction } from '../told/leverText'
import { MISTAKE_NAMES } from './mistakeNames'
import { costs } from './recordCosts'
import { days } from './recordDays'
import { part, type BuildRecord, type RecordPart, type RecordSite } from './recordPart'

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
    rows: MADE_LISTS.flatMap((list) => [...(build[list] ?? [])]).map(({ name, state, asBuilt }) => [
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

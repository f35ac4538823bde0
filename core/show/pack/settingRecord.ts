import type { SettingSheet } from '../told/settingSheet'
import { part, type BuildRecord, type RecordPart } from '../log/recordPart'

/** The setting sheet as something to read: what to set, what to find then, which lengths follow. */
export function settingRecord(title: string, about: string, sheet: SettingSheet): BuildRecord {
  const told = (name: string, rows: RecordPart['rows'], lines: readonly string[] = []): RecordPart =>
    part(name, { rows, lines })
  const parts = [
    told('Still missing', [], sheet.missing),
    told('Set', [], [...sheet.instructions, ...sheet.goals]),
    told(
      'Joints',
      sheet.joints.map(({ name, measured, set, drive, coast, verdict }) => [
        name,
        `measured ${measured}`,
        `set ${set}`,
        drive === '?' ? '' : `drive ${drive}`,
        coast === '?' ? '' : `overrun ${coast}`,
        verdict,
      ]),
    ),
    told(
      'Checks',
      sheet.checks.map(({ label, value, margin, verdict }) => [label, value, margin, verdict]),
    ),
    ...sheet.chains.map(({ name, parts: made, slack, lines, checks }) =>
      told(
        name,
        checks.map(({ label, value, margin, verdict }) => [label, value, margin, verdict]),
        [made, slack, ...lines],
      ),
    ),
    told(
      'Gaps',
      sheet.gaps.map(({ name, set, keep, verdict }) => [
        name,
        set,
        keep === '' ? '' : `keep ${keep}`,
        verdict,
      ]),
    ),
    told('To be cut', [], sheet.cuts),
    ...sheet.shafts.map(({ title: name, facts }) =>
      told(
        name,
        facts.map(({ name: what, value, plusMinus = '', remark = '' }) => [what, value, plusMinus, remark]),
      ),
    ),
    told(
      'Measured',
      sheet.setups.map(({ name, date, tools, by }) => [name, date, tools, by]),
    ),
    told('Taken for granted', [], sheet.assumptions),
  ]
  return { title, about, parts: parts.filter(({ lines, rows }) => lines.length + rows.length > 0) }
}

import type { SettingSheet } from '../told/settingSheet'
import type { BuildRecord, RecordPart } from '../log/record'

/** The setting sheet as something to read: what to set, what to find then, which lengths follow. */
export function settingRecord(title: string, about: string, sheet: SettingSheet): BuildRecord {
  const part = (
    name: string,
    rows: readonly (readonly string[])[],
    lines: readonly string[] = [],
  ): RecordPart => ({ title: name, lines, rows, photos: [] })
  const parts = [
    part('Still missing', [], sheet.missing),
    part('Set', [], [...sheet.instructions, ...sheet.goals]),
    part(
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
    part(
      'Checks',
      sheet.checks.map(({ label, value, margin, verdict }) => [label, value, margin, verdict]),
    ),
    ...sheet.chains.map(({ name, parts: made, slack, lines, checks }) =>
      part(
        name,
        checks.map(({ label, value, margin, verdict }) => [label, value, margin, verdict]),
        [made, slack, ...lines],
      ),
    ),
    part(
      'Gaps',
      sheet.gaps.map(({ name, set, keep, verdict }) => [
        name,
        set,
        keep === '' ? '' : `keep ${keep}`,
        verdict,
      ]),
    ),
    part('To be cut', [], sheet.cuts),
    ...sheet.shafts.map(({ title: name, facts }) =>
      part(
        name,
        facts.map(({ name: what, value, plusMinus = '', remark = '' }) => [what, value, plusMinus, remark]),
      ),
    ),
    part(
      'Measured',
      sheet.setups.map(({ name, date, tools, by }) => [name, date, tools, by]),
    ),
    part('Taken for granted', [], sheet.assumptions),
  ]
  return { title, about, parts: parts.filter(({ lines, rows }) => lines.length + rows.length > 0) }
}

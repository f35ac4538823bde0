import type { ResultJson } from '../core/show/result/resultJson'

const MARKS = { holds: '●', tight: '◆', out: '□', unknown: '◌' } as const

/** The checks of a result as a table to read in a terminal. */
export function checkTable(result: ResultJson): string {
  const rows = result.checks.map((check) => [
    MARKS[check.verdict],
    check.label,
    check.value === null ? '?' : figure(check.value, check.unit),
    doubt(check),
    check.probability === null ? '' : `${(check.probability * 100).toFixed(0)} %`,
    windowText(check.window, check.unit),
    check.marginText,
  ])
  const header = ['', 'check', 'value', '±', 'likely', 'allowed', 'verdict']
  const widths = header.map((title, i) => Math.max(title.length, ...rows.map((row) => (row[i] ?? '').length)))
  const line = (row: readonly string[]) =>
    row
      .map((cell, i) => cell.padEnd(widths[i] ?? 0))
      .join('  ')
      .trimEnd()
  const position = result.position.name ? `, position ${result.position.name}` : ''
  const notes = [
    ...result.missing.map((one) => `  missing: ${one.what}${one.path ? ` (${one.path})` : ''}`),
    ...result.mistakes.map((one) => `  look again: ${one.sentence} (${one.readings.join(', ')})`),
    ...result.registrations.flatMap(({ faults }) => faults.map((fault) => `  datum points: ${fault}`)),
    ...result.assumptions.map((one) => `  taken for granted: ${one}`),
    ...(result.uncertainty?.measureAgain ?? []).map((one) => `  ${one.sentence}`),
  ]
  return [
    `${result.build.name}${position}`,
    result.sentence,
    '',
    line(header),
    ...rows.map(line),
    ...notes,
    '',
  ].join('\n')
}

const DECIMALS: Readonly<Record<string, number>> = { deg: 2, mm: 1, 'rad/s2': 0, '1': 2 }
const SYMBOLS: Readonly<Record<string, string>> = { deg: '°', mm: ' mm', 'rad/s2': ' rad/s²', '1': '' }

const figure = (value: number, unit: string): string =>
  `${value.toFixed(DECIMALS[unit] ?? 2)}${SYMBOLS[unit] ?? ''}`

/** "± 0.14°", or "0.00–0.42°" where the value may as well be nought; nothing for an exact one. */
function doubt({ plusMinus, interval, unit }: ResultJson['checks'][number]): string {
  if (interval) return `${interval[0].toFixed(DECIMALS[unit] ?? 2)}–${figure(interval[1], unit)}`
  return plusMinus === null || plusMinus === 0 ? '' : `± ${figure(plusMinus, unit)}`
}

function windowText(window: ResultJson['checks'][number]['window'], unit: string): string {
  const from = window.warnLow ?? window.failLow
  const to = window.warnHigh ?? window.failHigh
  if (from !== null && to !== null) return `${figure(from, unit)} to ${figure(to, unit)}`
  if (to !== null) return `up to ${figure(to, unit)}`
  return from !== null ? `from ${figure(from, unit)}` : ''
}

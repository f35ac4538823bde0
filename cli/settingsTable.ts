import type { SettingJson, SettingsJson } from '../core/result/settingsJson'
import { likelihoodText } from '../core/text/checkText'
import { grouped } from '../core/units/format'

/** Settings that were found, one a line, for a terminal. */
export function settingsTable({ build, settings, nearest, looked }: SettingsJson): string {
  const line = ({ instruction, effort, likelihood }: SettingJson) =>
    `effort ${effort.toFixed(1).padStart(5)}  ${instruction || 'leave everything as it stands'}${likelihood === null ? '' : `, ${likelihoodText(likelihood)} likely`}`
  const head = `${build.name}: ${grouped(looked)} settings looked at or ruled out`
  if (settings.length > 0) return `${[head, ...settings.map(line)].join('\n')}\n`
  const least = nearest
    ? `the least bad: ${line(nearest)}; still not right: ${nearest.leaves.join(', ')}`
    : 'the levers cannot be moved'
  return `${head}\nno setting of the free levers holds with its ±\n${least}\n`
}

import type { SettingJson, SettingsJson } from '../core/show/result/settingsJson'
import { likelihoodText } from '../core/show/text/checkText'
import { grouped } from '../core/base/units/format'

/** Settings that were found, one a line, for a terminal. */
export function settingsTable({ build, settings, nearest, looked, ...proof }: SettingsJson): string {
  const line = ({ instruction, effort, likelihood }: SettingJson) =>
    `effort ${effort.toFixed(1).padStart(5)}  ${instruction || 'leave everything as it stands'}${likelihood === null ? '' : `, ${likelihoodText(likelihood)} likely`}`
  const head = `${build.name}: ${grouped(looked)} settings looked at or ruled out`
  const bounds = boundsText(proof)
  if (settings.length > 0) return `${[head, ...bounds, ...settings.map(line)].join('\n')}\n`
  const least = nearest
    ? `the least bad: ${line(nearest)}; still not right: ${nearest.leaves.join(', ')}`
    : 'the levers cannot be moved'
  const none = proof.isWhole
    ? 'no setting of the free levers holds with its ±'
    : 'none was found that holds with its ±'
  return `${[head, ...bounds, none, least].join('\n')}\n`
}

/** What is proved of a search that did not go to its end. */
function boundsText({ lookedTo, mostRoom }: Pick<SettingsJson, 'lookedTo' | 'mostRoom'>): string[] {
  return [
    ...(lookedTo === null
      ? []
      : [`left off; every setting up to effort ${lookedTo.toFixed(2)} was looked at`]),
    ...(mostRoom === null
      ? []
      : [
          `the best so far; no setting misses its worst limit by less than ${(-100 * mostRoom).toFixed(0)} % of it`,
        ]),
  ]
}

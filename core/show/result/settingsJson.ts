import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'
import { settingsAfter } from '../../answers/solver/cure'
import type { FoundSetting, FoundSettings } from '../../answers/solver/differentSettings'
import { checkLabel } from '../text/checkText'
import { cureInstruction } from '../told/stateSentence'

/** One setting that was found. */
export interface SettingJson {
  /** Lever amounts by id, in mm or degrees. */
  readonly settings: Readonly<Record<string, number>>
  readonly instruction: string
  readonly effort: number
  /** Least room to any limit, as a share of that limit. */
  readonly room: number
  /** Share of the likely truths in which every limit is kept; null without a proof. */
  readonly likelihood: number | null
  /** Checks that do not hold there. */
  readonly leaves: readonly string[]
}

/** The settings found for a build, as the command line gives them. */
export interface SettingsJson {
  readonly format: 'lurvan-settings'
  readonly version: 1
  readonly build: { readonly id: string; readonly name: string }
  readonly settings: readonly SettingJson[]
  /** Without any: the least bad one. */
  readonly nearest: SettingJson | null
  /** Settings looked at or ruled out. */
  readonly looked: number
  /** Whether that was every one there is: then no other levers can do it. */
  readonly isWhole: boolean
  /** Every setting of less effort was looked at; null where all were. */
  readonly lookedTo: number | null
  /** No setting has more room than this; null where `nearest` is proved to have the most. */
  readonly mostRoom: number | null
}

/** Settings that were found from where the levers stand. */
export function settingsJson(build: Build, stands: LeverSettings, found: FoundSettings): SettingsJson {
  const one = ({ cure, effort, room }: FoundSetting): SettingJson => ({
    settings: settingsAfter(stands, cure),
    instruction: cureInstruction(build, cure),
    effort,
    room,
    likelihood: cure.likelihood,
    leaves: cure.leaves.map((check) => checkLabel(check, build.lines.length > 1)),
  })
  return {
    format: 'lurvan-settings',
    version: 1,
    build: { id: build.id, name: build.name },
    settings: found.settings.map(one),
    nearest: found.nearest && one(found.nearest),
    looked: found.looked,
    isWhole: found.isWhole,
    lookedTo: found.lookedTo,
    mostRoom: found.mostRoom,
  }
}

import { worstCheck } from './stateSentence'
import { checkLabel, checkValueText, marginText, plusMinusText } from './checkText'
import { axisRole } from './echo'
import { leverInstruction } from './leverText'
import { lineFacts, linePlusMinus, type FactGroup } from './lineFacts'
import type { Evaluation } from '../check/evaluateBuild'
import { fallWords, planWords } from '../frame/words'
import type { Build } from '../project/build'
import type { Sureness } from '../uncertainty/monteCarlo'
import type { Verdict } from '../limits/limit'
import { degrees } from '../units/angle'
import { formatAngle } from '../units/format'
import { axisOf } from '../readings/geometry'

/** One joint on the sheet, before, after, and under drive where that is judged. */
export interface SheetJoint {
  readonly name: string
  readonly measured: string
  readonly set: string
  readonly drive: string
  readonly verdict: Verdict
}

/** What the printed page says; words and figures, no layout. */
export interface SettingSheet {
  /** What to do at each lever that stands elsewhere than measured. */
  readonly instructions: readonly string[]
  /** What the level has to show afterwards, in the chassis frame. */
  readonly goals: readonly string[]
  readonly hasDrive: boolean
  readonly joints: readonly SheetJoint[]
  /** Checks on the line as a whole: name, value, margin. */
  readonly checks: readonly {
    readonly label: string
    readonly value: string
    readonly margin: string
    readonly verdict: Verdict
  }[]
  readonly shafts: readonly FactGroup[]
  readonly setups: readonly {
    readonly name: string
    readonly date: string
    readonly tools: string
    readonly by: string
  }[]
  readonly assumptions: readonly string[]
  readonly isWelded: boolean
}

/** Gathers the sheet of a build at the setting on screen, beside the measured one. */
export function settingSheet(
  build: Build,
  now: Evaluation,
  measured: Evaluation,
  sureness: Sureness | null = null,
): SettingSheet {
  const many = build.lines.length > 1
  return {
    instructions: build.levers.flatMap((lever) => {
      const amount = now.settings[lever.id] ?? 0
      return amount === 0 ? [] : [leverInstruction(build, lever, amount)]
    }),
    goals: build.axes.flatMap((axis) => {
      const place = axisOf(now.placed, axis.id)
      if (!place.known) return []
      const fall = fallWords(degrees(place.value.fall), axisRole(build, axis), build.units, 2)
      return [`${axis.name}: ${fall}, ${planWords(degrees(place.value.plan), build.units, 2)}`]
    }),
    hasDrive: now.lines.some((line) => line.drive?.known),
    joints: now.lines.flatMap((line, lineIndex) => {
      const before = measured.lines[lineIndex]
      return line.line.joints.map((joint, index) => ({
        name: `${many ? `${line.line.name}, ` : ''}${joint.name ?? `joint ${index + 1}`}`,
        measured: angleText(before?.ride.known ? before.ride.value.anglesDeg[index] : undefined, build),
        set: [
          angleText(line.ride.known ? line.ride.value.anglesDeg[index] : undefined, build),
          spreadText(linePlusMinus(sureness, line.line.id)('ride', `joints[${index}].angleDeg`), build),
        ]
          .join(' ')
          .trim(),
        drive: angleText(line.drive?.known ? line.drive.value.anglesDeg[index] : undefined, build),
        verdict:
          worstCheck(line.checks.filter(({ subject }) => subject.of === 'joint' && subject.index === index))
            ?.verdict ?? 'unknown',
      }))
    }),
    checks: now.checks
      .filter((check) => check.subject.of !== 'joint')
      .map((check) => ({
        label: checkLabel(check, many),
        value: [checkValueText(check, check.value, build.units), plusMinusText(check, build.units)]
          .join(' ')
          .trim(),
        margin: marginText(check, build.units),
        verdict: check.verdict,
      })),
    shafts: now.lines.flatMap((line) =>
      lineFacts(build, line, sureness).filter((group) => group.title.startsWith('Shaft')),
    ),
    setups: usedSetups(build),
    assumptions: now.assumptions,
    isWelded: build.levers.some((lever) => lever.kind === 'wedge' && (now.settings[lever.id] ?? 0) !== 0),
  }
}

const spreadText = (size: number | null, build: Build): string =>
  size ? `± ${formatAngle(size, build.units, 2)}` : ''

const angleText = (angleDeg: number | undefined, build: Build): string =>
  angleDeg === undefined ? '?' : formatAngle(angleDeg, build.units, 2)

function usedSetups(build: Build): SettingSheet['setups'] {
  return build.setups.flatMap((setup) => {
    const readings = build.readings.filter((reading) => 'setup' in reading && reading.setup === setup.id)
    if (readings.length === 0) return []
    const tools = new Set(
      readings.flatMap((reading) => ('tool' in reading && reading.tool ? [reading.tool] : [])),
    )
    const names = build.tools.filter((tool) => tools.has(tool.id)).map((tool) => tool.name)
    const by = [...new Set(readings.flatMap((reading) => (reading.takenBy ? [reading.takenBy] : [])))]
    const state = setup.loaded ? 'ride height, loaded' : 'not loaded'
    return [
      { name: `${setup.name}, ${state}`, date: setup.date ?? '', tools: names.join(', '), by: by.join(', ') },
    ]
  })
}

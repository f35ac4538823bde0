import { factsOf } from '../../file/build/quantities'
import { linksText, offsetText, slackText } from './chainText'
import { cutRows } from '../text/cutText'
import { worstOf } from '../../file/limits/worst'
import { checkLabel, checkValueText, marginText, plusMinusText, sentenceCase } from '../text/checkText'
import { lieWords } from '../text/axisText'
import { setupsUsed, type UsedSetup } from '../text/setupsUsed'
import { leverInstruction } from './leverText'
import { lineFacts, lineSpread, spreadText, type FactGroup } from '../text/lineFacts'
import type { Check, CheckState } from '../../check/check'
import type { ChainEvaluation } from '../../chain/chainEvaluation'
import type { Evaluation } from '../../model/evaluateBuild'
import type { LineEvaluation } from '../../model/lineEvaluation'
import type { Build } from '../../file/build/build'
import { sprocketName } from '../../file/parts/chainLine'
import type { Sureness } from '../../answers/uncertainty/monteCarlo'
import type { Verdict } from '../../file/build/limit'
import { formatAngle, formatLength } from '../../base/units/format'
import { axisOf } from '../../measure/geometry/geometry'

/** One joint on the sheet, before, after, and under drive where that is judged. */
export interface SheetJoint {
  readonly name: string
  readonly measured: string
  readonly set: string
  readonly drive: string
  readonly coast: string
  readonly verdict: Verdict
}

/** One gap on the sheet: what to find when it is set, and the least it must keep. */
export interface SheetGap {
  readonly name: string
  readonly measured: string
  readonly set: string
  /** The warning limit, else the failing one: "15.0 mm"; empty where nothing limits it. */
  readonly keep: string
  readonly verdict: Verdict
}

/** One chain on the sheet. */
export interface SheetChain {
  readonly name: string
  readonly parts: string
  readonly slack: string
  /** How its sprockets stand to each other. */
  readonly lines: readonly string[]
  readonly checks: SettingSheet['checks']
}

/** What the printed page says; words and figures, no layout. */
export interface SettingSheet {
  /** What to do at each lever that stands elsewhere than measured. */
  readonly instructions: readonly string[]
  /** What the level has to show afterwards, in the chassis frame. */
  readonly goals: readonly string[]
  readonly hasDrive: boolean
  readonly isOut: boolean
  /** What is still to be read or entered before anybody may set by this sheet; empty when it stands. */
  readonly missing: readonly string[]
  readonly joints: readonly SheetJoint[]
  /** Checks on the line as a whole: name, value, margin. */
  readonly checks: readonly {
    readonly label: string
    readonly value: string
    readonly margin: string
    readonly verdict: Verdict
  }[]
  /** Gaps to check when it is set, tightest first. */
  readonly gaps: readonly SheetGap[]
  /** What each chain is made of, how it is set, and what to find then. */
  readonly chains: readonly SheetChain[]
  /** What has to be cut or dented, and how deep. */
  readonly cuts: readonly string[]
  readonly shafts: readonly FactGroup[]
  readonly setups: readonly UsedSetup[]
  readonly assumptions: readonly string[]
  readonly isWelded: boolean
}

/** Gathers the sheet of a build at the setting on screen, beside the measured one. */
export function settingSheet(
  build: Build,
  now: Evaluation,
  measured: Evaluation,
  sureness: Sureness | null = null,
  measuredSureness: Sureness | null = null,
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
      const figure = axis.lies === 'across' ? 'riseDeg' : 'fallDeg'
      const doubt = spreadText(sureness?.figures[`axis/${axis.id}/${figure}`] ?? null, (size) =>
        formatAngle(size, build.units, 2),
      )
      const [slope, inPlan] = lieWords(build, axis, place.value)
      return [`${axis.name}: ${slope}${doubt ? ` ${doubt}` : ''}, ${inPlan}`]
    }),
    hasDrive: now.lines.some((line) => line.drive?.known),
    isOut: now.verdict === 'out',
    missing:
      now.checks.length === 0
        ? ['a line of shafts, with its joints, or a chain']
        : now.missing.map(({ what }) => what),
    joints: now.lines.flatMap((line, lineIndex) => {
      const before = measured.lines[lineIndex]
      return line.line.joints.map((joint, index) => ({
        name: `${many ? `${line.line.name}, ` : ''}${joint.name ?? `joint ${index + 1}`}`,
        measured: jointText(build, before, 'ride', index, measuredSureness),
        set: jointText(build, line, 'ride', index, sureness),
        drive: jointText(build, line, 'drive', index, sureness),
        coast: jointText(build, line, 'coast', index, sureness),
        verdict:
          worstOf(line.checks.filter(({ subject }) => subject.of === 'joint' && subject.index === index))
            ?.verdict ?? 'unknown',
      }))
    }),
    checks: now.checks
      .filter(({ subject }) => subject.of !== 'joint' && subject.of !== 'gap' && subject.of !== 'chain')
      .map((check) => ({
        label: checkLabel(check, many),
        value: [checkValueText(check, check.value, build.units), plusMinusText(check, build.units)]
          .join(' ')
          .trim(),
        margin: marginText(check, build.units),
        verdict: check.verdict,
      })),
    gaps: sheetGaps(build, now, measured),
    chains: now.chains.map((chain) => sheetChain(build, chain)),
    cuts: cutRows(now, build.units).map(
      ({ name, depth, where, toKeep, isStructural }) =>
        `${name}: ${depth} deep at ${where}; ${toKeep}${isStructural ? '; structural' : ''}`,
    ),
    shafts: now.lines.flatMap((line) =>
      lineFacts(build, line, sureness).filter(({ about }) => about === 'shaft'),
    ),
    setups: setupsUsed(build),
    assumptions: now.assumptions,
    isWelded: build.levers.some((lever) => lever.kind === 'wedge' && (now.settings[lever.id] ?? 0) !== 0),
  }
}

/** Felt or measured when a chain is set; teeth and ratio stand among its parts. */
const isSetByHand = ({ quantity }: Check): boolean =>
  quantity !== 'centring-pilot' && factsOf(quantity).isSetByHand === true

function sheetChain(build: Build, now: ChainEvaluation): SheetChain {
  const { chain, aligned, checks } = now
  const { units } = build
  const links = chain.links ?? (now.linksToOrder.known ? now.linksToOrder.value : null)
  return {
    name: sentenceCase(chain.name),
    parts: [
      ...chain.sprockets.map((sprocket) => `${sprocketName(sprocket)} ${sprocket.teeth} teeth`),
      `pitch ${Number(chain.pitchMm.toFixed(3))} mm`,
      ...(links === null ? [] : [linksText(links)]),
    ].join(', '),
    slack: slackText(now, units),
    lines: aligned.map(
      (one) => `${sentenceCase(sprocketName(one.sprocket))}: ${offsetText(now, one, units)}.`,
    ),
    checks: checks.filter(isSetByHand).map((check) => ({
      label: sentenceCase(checkLabel(check, 'within')),
      value: [checkValueText(check, check.value, units), plusMinusText(check, units)].join(' ').trim(),
      margin: marginText(check, units),
      verdict: check.verdict,
    })),
  }
}

function sheetGaps(build: Build, now: Evaluation, measured: Evaluation): SheetGap[] {
  const { units } = build
  return [...now.gaps]
    .sort((a, b) => (a.check.margin ?? Infinity) - (b.check.margin ?? Infinity))
    .map(({ gap, check }) => {
      const before = measured.gaps.find((one) => one.gap.id === gap.id)?.check ?? null
      const keep = check.window.warnLow ?? check.window.failLow
      return {
        name: gap.name,
        measured: before ? checkValueText(before, before.value, units) : '?',
        set: [checkValueText(check, check.value, units), plusMinusText(check, units)].join(' ').trim(),
        keep: keep === null ? '' : formatLength(keep, units),
        verdict: check.verdict,
      }
    })
}

/** A joint's angle in one state with its ±: "1.37° ± 0.21°". */
function jointText(
  build: Build,
  found: LineEvaluation | undefined,
  state: CheckState,
  index: number,
  sureness: Sureness | null,
): string {
  const figures = found?.[state]
  const angle = figures?.known ? figures.value.anglesDeg[index] : undefined
  if (!found || angle === undefined) return '?'
  const show = (size: number) => formatAngle(size, build.units, 2)
  const doubt = spreadText(lineSpread(sureness, found.line.id)(state, `joints[${index}].angleDeg`), show)
  return [show(angle), doubt ?? ''].join(' ').trim()
}

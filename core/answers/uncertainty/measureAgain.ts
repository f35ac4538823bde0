import type { Check } from '../../check/check'
import type { Build } from '../../file/build/build'
import type { Tool } from '../../file/parts/tool'
import type { Input } from '../../measure/figures/inputs'
import { USUAL_FIGURES } from '../../measure/figures/usualTool'
import type { Sureness } from './monteCarlo'
import { checkFigureId } from './sampleModel'
import { scatterVariance, toolVariance } from '../../base/chance/spread'
import { isUndecided, roomToFail } from './sureness'

/** Something to measure that makes a check surer. */
export interface MeasureAgain {
  readonly check: Check
  /** The reading that brings the most doubt into the check. */
  readonly input: Input
  /** Share of the check's variance that this reading brings. */
  readonly share: number
  readonly action:
    | { readonly kind: 'repeat'; readonly count: number }
    | { readonly kind: 'flip-test'; readonly tool: Tool }
    | { readonly kind: 'say-side'; readonly tool: Tool }
    | { readonly kind: 'read' }
    | { readonly kind: 'finer-tool'; readonly halfWidth: number }
  /** ± of the check now and as predicted after, in its unit. */
  readonly from: number
  readonly to: number
  /** The verdict would then stand clear of the limit. */
  readonly settles: boolean
}

/** What a usual level leaves of a thing that was taken for granted, once it is read. */
const A_READING = {
  halfWidth: USUAL_FIGURES.level.accuracy,
  scatter: USUAL_FIGURES.level.handScatter,
  count: 1,
}
/** More repeats than this nobody takes. */
const MOST_REPEATS = 3
/** An action that takes away less than this share of the ± is not worth the way under the vehicle. */
const WORTH = 0.05

/**
 * What to measure again, for each check whose ± reaches across its limit.
 *
 * Repeats shrink a reading's scatter by √n and leave its tool's error; saying which way a level's display looked keeps its
 * zero error from counting both ways; a flip test takes it out of all its readings; a finer tool halves what the tool leaves. Of those that settle the check the least work is named, else the
 * one that helps most.
 *
 * @returns the check nearest to its limit first
 * @see docs/methods/uncertainty.md
 */
export function measureAgain(build: Build, checks: readonly Check[], sureness: Sureness): MeasureAgain[] {
  return checks
    .filter(isUndecided)
    .sort((a, b) => closeness(a) - closeness(b))
    .flatMap((check) => bestAction(build, check, sureness) ?? [])
}

/** Room to the limit in units of the ±. */
const closeness = (check: Check): number =>
  Math.abs(roomToFail(check.value ?? 0, check.window) ?? Infinity) / (check.plusMinus ?? 1)

function bestAction(build: Build, check: Check, sureness: Sureness): MeasureAgain | null {
  const { shares = [], widening = 1 } = sureness.figures[checkFigureId(check)] ?? {}
  const from = check.plusMinus ?? 0
  const room = Math.abs(roomToFail(check.value ?? 0, check.window) ?? 0)
  const candidates = [...shares.entries()]
    .sort(([, a], [, b]) => b - a)
    .slice(0, 3)
    .flatMap(([index, share]) => {
      const input = sureness.inputs[index]
      if (!input || share <= 0) return []
      const actions = [
        ...sayingSide(build, input, widening),
        ...actionsFor(build, input, sureness, shares, index),
      ]
      return actions.map(({ action, left }) => {
        const to = from * Math.sqrt(Math.max(0, left))
        return { check, input, share, action, from, to, settles: to < room }
      })
    })
    .filter(({ to }) => to < from * (1 - WORTH))
  return (
    candidates.find(({ settles }) => settles) ??
    candidates.reduce<MeasureAgain | null>(
      (best, one) => (best === null || one.to < best.to ? one : best),
      null,
    )
  )
}

/** What is left when every reading of a level says which way its display looked: nobody need go under the vehicle for it. */
function sayingSide(build: Build, input: Input, widening: number) {
  const tool = input.zeroOf === undefined || widening === 1 ? undefined : toolOf(build, input)
  return tool ? [{ action: { kind: 'say-side' as const, tool }, left: 1 / widening ** 2 }] : []
}

/** Actions on one reading, least work first, each with the share of the check's variance it leaves. */
function actionsFor(
  build: Build,
  input: Input,
  { inputs }: Sureness,
  shares: readonly number[],
  index: number,
): { action: MeasureAgain['action']; left: number }[] {
  const share = shares[index] ?? 0
  const left = (after: Pick<Input, 'halfWidth' | 'scatter' | 'count'>) =>
    1 - share + share * ratio(input, after)
  if (input.source === 'assumed')
    return [{ action: { kind: 'read' as const }, left: 1 - share + share * ratio(input, A_READING) }]
  const isRead = input.source === undefined
  const repeats =
    !isRead && input.source !== 'misfit'
      ? []
      : Array.from({ length: MOST_REPEATS }, (_, i) => ({
          action: { kind: 'repeat' as const, count: i + 1 },
          left: left({ ...input, count: input.count + i + 1 }),
        }))
  const tool = toolOf(build, input)
  const flip =
    tool?.kind === 'level' && (tool.flipTests ?? []).length === 0 && input.unit === 'deg'
      ? [{ action: { kind: 'flip-test' as const, tool }, left: leftAfterFlip(build, tool, inputs, shares) }]
      : []
  const finer = {
    action: { kind: 'finer-tool' as const, halfWidth: input.halfWidth / 2 },
    left: left({ ...input, halfWidth: input.halfWidth / 2 }),
  }
  return [...repeats, ...flip, ...(input.halfWidth > 0 && isRead ? [finer] : [])]
}

const variance = (input: Pick<Input, 'halfWidth' | 'scatter' | 'count'>): number =>
  toolVariance(input) + scatterVariance(input)

const ratio = (before: Input, after: Pick<Input, 'halfWidth' | 'scatter' | 'count'>): number =>
  variance(before) === 0 ? 1 : variance(after) / variance(before)

/** A flip test serves every reading of its level. */
function leftAfterFlip(
  build: Build,
  tool: Tool,
  inputs: readonly Input[],
  shares: readonly number[],
): number {
  return inputs.reduce((sum, input, i) => {
    if (input.unit !== 'deg' || toolOf(build, input)?.id !== tool.id) return sum
    const halfWidth = Math.min(input.halfWidth, tool.resolution ?? input.halfWidth / 2)
    return sum - (shares[i] ?? 0) * (1 - ratio(input, { ...input, halfWidth }))
  }, 1)
}

function toolOf(build: Build, { readingId, source }: Input): Tool | undefined {
  if (source === 'tool') return build.tools.find((one) => one.id === readingId)
  const reading = build.readings.find((one) => one.id === readingId)
  return reading && 'tool' in reading ? build.tools.find((one) => one.id === reading.tool) : undefined
}

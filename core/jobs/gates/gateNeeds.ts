import type { Check } from '../../check/check'
import type { Build } from '../../file/build/build'
import type { Gate } from '../../file/kinds/gateKinds'
import { weldChange } from '../../making/welds/shrink'
import { openDefects } from '../log/logLines'
import { partsBelow } from '../made/partsBelow'
import type { Task } from '../tasks/task'
import { taskName } from '../tasks/taskName'

/** What a gate asks for, and what of it is not there yet. */
export interface GateNeed {
  readonly kind: NeedKind
  /** Names of what it still waits for; none when it is met. */
  readonly open: readonly string[]
}
export const NEED_KINDS = [
  ...(['position', 'out', 'unknown', 'unsure', 'guesses', 'tacked', 'welds-read'] as const),
  ...(['welded', 'welds-again', 'welds-drawn', 'fitted', 'tasks', 'defects'] as const),
] as const
export type NeedKind = (typeof NEED_KINDS)[number]

/** What is looked at for a gate. */
export interface GateSite {
  readonly build: Build
  readonly checks: readonly Check[]
  readonly tasks: readonly Task[]
}

/** A check is sure enough when it holds in so many of the likely truths. */
export const SURE = 0.95

const NEEDS: Readonly<Record<NeedKind, (site: GateSite) => readonly string[]>> = {
  position: ({ build }) => (build.positions.some(({ id }) => id === build.chosen) ? [] : [build.chosen]),
  out: ({ checks }) => checksThat(checks, ({ verdict }) => verdict === 'out'),
  unknown: ({ checks }) => checksThat(checks, ({ verdict }) => verdict === 'unknown'),
  unsure: ({ checks }) =>
    checksThat(
      checks,
      ({ verdict, probability }) => verdict !== 'out' && probability !== null && probability < SURE,
    ),
  guesses: ({ tasks }) => tasks.filter(({ made }) => made?.by === 'again').map(taskName),
  tacked: ({ build }) => partsBelow(build, 'tacked'),
  'welds-read': ({ build }) =>
    weldsThat(build, ({ readings }) => readings.some(({ before }) => before === undefined)),
  welded: ({ build }) => partsBelow(build, 'welded'),
  'welds-again': ({ build }) =>
    weldsThat(build, ({ readings }) => readings.some(({ after }) => after === undefined)),
  'welds-drawn': ({ build }) =>
    weldsThat(build, ({ readings }) => readings.some((one) => weldChange(one)?.isWithin === false)),
  fitted: ({ build }) => partsBelow(build, 'fitted'),
  defects: ({ build }) => openDefects(build).map(({ name }) => name),
  tasks: ({ tasks }) => tasks.filter(({ isDone }) => !isDone).map(taskName),
}

/** What each gate asks for. */
const NEEDS_OF: Readonly<Record<Gate, readonly NeedKind[]>> = {
  position: ['position'],
  checks: ['out', 'unknown', 'unsure'],
  tacked: ['tacked', 'welds-read'],
  bolted: ['out', 'unknown', 'unsure'],
  welded: ['welded', 'welds-again', 'welds-drawn', 'guesses'],
  torqued: ['fitted'],
  road: ['out', 'unknown', 'tasks', 'defects'],
}

/** What a gate asks for as a build stands. */
export const gateNeeds = (gate: Gate, site: GateSite): GateNeed[] =>
  NEEDS_OF[gate].map((kind) => ({ kind, open: NEEDS[kind](site) }))

const checksThat = (checks: readonly Check[], is: (check: Check) => boolean): string[] =>
  checks.filter(is).map(({ id }) => id)

const weldsThat = ({ welds = [] }: Build, is: (weld: (typeof welds)[number]) => boolean): string[] =>
  welds.filter(is).map(({ name }) => name)

import type { GateDuty, ShiftGateEntry } from '../../file/parts/shiftLinkage'

/** What is tried in a gate. */
export const LOCK_TRIALS = ['starts', 'lamp', 'knocked', 'loaded'] as const
export type LockTrial = (typeof LOCK_TRIALS)[number]

type Answer = 'yes' | 'no'

/** What each gate is to answer; the engine starts in park and neutral alone, the lamp burns in reverse alone. */
const WANTED: Readonly<Record<GateDuty, Readonly<Partial<Record<LockTrial, Answer>>>>> = {
  park: { starts: 'yes', lamp: 'no', knocked: 'no', loaded: 'no' },
  reverse: { starts: 'no', lamp: 'yes', knocked: 'no' },
  neutral: { starts: 'yes', lamp: 'no' },
  drive: { starts: 'no', lamp: 'no' },
}

/** What is asked of a gate; nothing where nobody said what it is. */
export const trialsOf = ({ is }: Pick<ShiftGateEntry, 'is'>): LockTrial[] =>
  is === undefined ? [] : LOCK_TRIALS.filter((trial) => WANTED[is][trial] !== undefined)

/** What came out otherwise than it is to, and what nobody tried yet. */
export interface LockState {
  readonly wrong: readonly (LockTrial | 'filed')[]
  readonly untried: readonly LockTrial[]
}

export function lockState(gate: ShiftGateEntry): LockState {
  const { is } = gate
  const trials = trialsOf(gate)
  const wrong = trials.filter(
    (trial) => is !== undefined && gate[trial] !== undefined && gate[trial] !== WANTED[is][trial],
  )
  return {
    wrong: [...wrong, ...(gate.lock === 'filed' ? ['filed' as const] : [])],
    untried: trials.filter((trial) => gate[trial] === undefined),
  }
}

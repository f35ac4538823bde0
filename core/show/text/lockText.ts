import type { Shift, ShiftGateEntry } from '../../file/parts/shiftLinkage'
import { lockState, type LockState, type LockTrial } from '../../shift/rod/locks'

type Fault = LockState['wrong'][number]

/** What is wrong with a lock, said of the gate. */
const FAULTS: Readonly<Record<Fault, (gate: ShiftGateEntry) => string>> = {
  starts: ({ starts }) =>
    starts === 'yes' ? 'the engine starts in it, and must not' : 'the engine does not start in it',
  lamp: ({ lamp }) =>
    lamp === 'yes' ? 'the reverse lamp burns in it, and must not' : 'the reverse lamp does not burn in it',
  knocked: () => 'it can be knocked in or out',
  loaded: () => 'something besides its pawl holds the load: adjust the rod until it is free in park',
  filed: () => 'its lock is filed away: nothing locks it until something new does',
}
const TRIALS: Readonly<Record<LockTrial, string>> = {
  starts: 'whether the engine starts',
  lamp: 'the reverse lamp',
  knocked: 'a knock at the lever',
  loaded: 'what holds the load in park',
}

/** Everything that is wrong with the locks of a linkage, or was not tried; empty where all keep. */
export const lockTexts = ({ gates }: Shift): string[] =>
  gates.flatMap((gate) => {
    const { wrong, untried } = lockState(gate)
    return [
      ...wrong.map((fault) => `${gate.name}: ${FAULTS[fault](gate)}.`),
      ...(untried.length > 0
        ? [`${gate.name}: not tried yet: ${untried.map((one) => TRIALS[one]).join(', ')}.`]
        : []),
    ]
  })

import type { GateState } from '~~/core/jobs/gates/gateStates'
import type { Gate } from '~~/core/file/kinds/gateKinds'

/** Phrases of the gates. */
export const gates = {
  title: 'Gates',
  lead: 'Seven gates, one after the other. A gate that was passed falls back by itself when something under it changes.',
  row: 'The gates in their order',
  states: { passed: 'passed', fallen: 'fallen back', ready: 'ready', waiting: 'waits' } satisfies Record<
    GateState['state'],
    string
  >,
  needs: 'What it asks for',
  changed: 'Changed since it was passed',
  more: (count: number) => `and ${count} more`,
  readings: (count: number) => (count === 1 ? '1 reading under it' : `${count} readings under it`),
  readingColumns: { name: 'Reading', value: 'As it was read', taken: 'When, and by whom' },
  guess: 'a guess',
  temporary: 'Temporary now',
  temporaryLead: 'Each is made good, or the gate says why it is passed all the same.',
  reason: (name: string) => `Why it may stay: ${name}`,
  open: 'Open the register',
  over: 'Passed over',
  who: 'Who looked',
  pass: 'Pass this gate',
  passAgain: 'Pass it again',
  takeBack: 'Take it back',
  note: 'Note',
  cautions: {
    tacked: 'A tack holds nothing that hangs: the part is carried until it is welded.',
    welded:
      'Structural, brake, steering and torque-carrying welds follow local rules and a licensed engineer’s approval. Lurvan advises; it approves nothing.',
    torqued: 'Every bolt by its figure and marked; again after 50 to 100 km.',
    road: 'First drive: brakes, leaks, then short and slow. Hoops under long shafts, guards over chains.',
  } satisfies Partial<Record<Gate, string>> as Partial<Record<Gate, string>>,
}

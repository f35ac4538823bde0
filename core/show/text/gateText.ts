import type { Build } from '../../file/build/build'
import { LIST_KEYS } from '../../file/build/lists'
import type { Check } from '../../check/check'
import type { Reading } from '../../file/build/reading'
import type { Gate } from '../../file/kinds/gateKinds'
import { bodyName } from '../../measure/targets/target'
import type { Changed, GateState } from '../../jobs/gates/gateStates'
import type { GateNeed, NeedKind } from '../../jobs/gates/gateNeeds'
import { checkLabel } from './checkText'
import { dayText } from './dayText'

/** What each gate is called, and what is said of it. */
export const GATE_NAMES: Readonly<Record<Gate, string>> = {
  position: 'position chosen',
  checks: 'checks hold',
  tacked: 'tacked',
  bolted: 'checked with everything bolted on',
  welded: 'welded',
  torqued: 'bolts by torque',
  road: 'released to drive',
}

const NEED_WORDS: Readonly<Record<NeedKind, readonly [met: string, open: string]>> = {
  position: ['a position is chosen', 'choose a position'],
  out: ['no check is out', 'out'],
  unknown: ['every check is known', 'not known yet'],
  unsure: ['every check holds with its ±', 'not sure enough with its ±'],
  guesses: ['nothing rests on a guess', 'still to do'],
  tacked: ['every part is tacked', 'not tacked yet'],
  'welds-read': ['every weld is read before it', 'readings before it are missing'],
  welded: ['every part is welded', 'not welded yet'],
  'welds-again': ['every weld is read again, cold', 'not read again yet'],
  'welds-drawn': ['no weld drew more than it may', 'drew more than it may'],
  fitted: ['every part is fitted', 'not fitted yet'],
  tasks: ['nothing is left to do', 'still to do'],
  defects: ['no defect is open in the log', 'not right yet'],
}
const MOST_NAMES = 3

/** What a gate asks for: that it is there, or what of it is not. */
export function needText({ kind, open }: GateNeed, checks: readonly Check[], hasManyLines: boolean): string {
  const [met, missing] = NEED_WORDS[kind]
  if (open.length === 0) return met
  const labels = open.map((one) => {
    const check = checks.find(({ id }) => id === one)
    return check ? checkLabel(check, hasManyLines) : one
  })
  const more = labels.length > MOST_NAMES ? ` and ${labels.length - MOST_NAMES} more` : ''
  return `${missing}: ${labels.slice(0, MOST_NAMES).join(', ')}${more}`
}

const HOW: Readonly<Record<Changed['how'], string>> = {
  new: 'is new',
  other: 'is otherwise',
  gone: 'is gone',
}
/** Parts of a build that are one thing, or whose things have no name that says what they are. */
const PART_NAMES: Readonly<Record<string, string>> = {
  chosen: 'the position that is chosen',
  countedFrom: 'the lift-in that levers count from',
  limits: 'limits',
  drivetrain: 'engine, gearbox and tyres',
  weight: 'weights',
}

/** What is otherwise since a gate was passed: "pinion: level is otherwise". */
export function changedText(build: Build, { part, id, how }: Changed): string {
  return `${nameOf(build, part, id)} ${HOW[how]}`
}

function nameOf(build: Build, part: string, id: string): string {
  const told = PART_NAMES[part]
  if (told !== undefined) return told
  if (part === 'readings') {
    const reading = build.readings.find((one) => one.id === id)
    return reading ? readingName(build, reading) : 'a reading'
  }
  const things: unknown = build[part as keyof Build]
  const name = Array.isArray(things)
    ? (things as { readonly id: string; readonly name?: string }[]).find((one) => one.id === id)?.name
    : undefined
  return name ?? `something of ${(LIST_KEYS as readonly string[]).includes(part) ? part : 'the build'}`
}

/** What a reading is of: "pinion: level". */
export const readingName = (build: Build, reading: Reading): string =>
  `${bodyName(build, reading)}: ${reading.kind.replace(/^.*-/, '')}`

/** Where a gate stands, in one sentence. */
export function gateSentence(
  { gate, state, entry, before, changed, needs }: GateState,
  today: string,
): string {
  const name = GATE_NAMES[gate]
  const on = entry ? dayText(entry.passedAt, today) : ''
  if (state === 'passed') return `Passed on ${on}${entry?.who ? ` by ${entry.who}` : ''}.`
  if (state === 'ready') return `Ready: all that “${name}” asks for is there.`
  if (state === 'waiting')
    return before === null
      ? 'It waits for what is open below.'
      : `It waits for the gate “${GATE_NAMES[before]}”.`
  const open = needs.filter((need) => need.open.length > 0).length
  const why = [
    ...(changed.length > 0
      ? [changed.length === 1 ? 'one thing under it changed' : `${changed.length} things under it changed`]
      : []),
    ...(open > 0 ? ['what it asks for is no longer there'] : []),
    ...(changed.length === 0 && open === 0 && before !== null
      ? [`“${GATE_NAMES[before]}” no longer stands`]
      : []),
  ]
  return `Passed on ${on}, fallen back since: ${why.join(', ')}.`
}

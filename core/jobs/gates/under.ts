import { markOf } from '../../base/mark'
import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import { GATES, type Gate } from '../../file/kinds/gateKinds'
import { MADE_LISTS } from '../../file/kinds/madePart'
import { isOfFirstTrial } from '../../measure/targets/trial'

type Part = keyof Build
/** Fields that say how far a thing is: work that goes on as it should makes no gate fall. */
const MAKING = ['state', 'asBuilt', 'made']
const PROGRESS: Readonly<Partial<Record<Part, readonly string[]>>> = {
  crossmembers: MAKING,
  plates: MAKING,
  copedTubes: MAKING,
  pieces: MAKING,
  welds: ['hotAt', 'tacked'],
  temporaries: ['closedAt'],
}

const MEASURED: readonly Part[] = [
  ...(['tools', 'setups', 'points', 'axes', 'readings', 'centrePairs', 'countedFrom'] as const),
]
const JUDGED: readonly Part[] = [
  ...([
    'bodies',
    'lines',
    'gaps',
    'chains',
    'shifts',
    'mounts',
    'states',
    'limits',
    'drivetrain',
    'weight',
  ] as const),
]

/** What each gate rests on besides what the gates before it rest on. */
const OWN_PARTS: Readonly<Record<Gate, readonly Part[]>> = {
  position: ['chosen', 'levers'],
  checks: [...MEASURED, ...JUDGED],
  tacked: MADE_LISTS,
  bolted: ['temporaries'],
  welded: ['welds'],
  torqued: ['bolts'],
  road: ['humps', 'releases'],
}

/** All parts of a build that a gate rests on. */
export const partsUnder = (gate: Gate): readonly Part[] =>
  GATES.slice(0, GATES.indexOf(gate) + 1).flatMap((one) => OWN_PARTS[one])

/** A thing that a gate rests on, with a mark of how it is. */
export interface Mark {
  readonly part: Part
  /** Of the thing; empty where the part is one. */
  readonly id: string
  readonly mark: string
}

/** How everything is that a gate rests on. */
export const marksUnder = (build: Build, gate: Gate): Mark[] =>
  partsUnder(gate).flatMap((part) => marksOf(build, part))

function marksOf(build: Build, part: Part): Mark[] {
  if (part === 'chosen') {
    const position = build.positions.find(({ id }) => id === build.chosen)
    return [{ part, id: '', mark: markOf([build.chosen, position?.settings ?? {}]) }]
  }
  if (part === 'readings')
    return build.readings
      .filter((reading) => counts(build, reading))
      .map((reading) => ({ part, id: reading.id, mark: markOf(reading) }))
  const value: unknown = build[part]
  if (value === undefined) return []
  const gone = PROGRESS[part] ?? []
  if (!Array.isArray(value)) return [{ part, id: '', mark: markOf(value) }]
  return (value as { readonly id: string }[]).map((thing) => ({
    part,
    id: thing.id,
    mark: markOf(less(thing, gone)),
  }))
}

/** The readings that a gate rests on, in the order of the build. */
export const readingsUnderGate = (build: Build, gate: Gate): Reading[] =>
  partsUnder(gate).includes('readings') ? build.readings.filter((reading) => counts(build, reading)) : []

/** What is read in a later lift-in tells how that one stood, unless levers count from it. */
const counts = (build: Build, reading: Reading): boolean =>
  isOfFirstTrial(build, reading) || ('trial' in reading && reading.trial === build.countedFrom)

const less = (thing: object, fields: readonly string[]): object =>
  Object.fromEntries(Object.entries(thing).filter(([key]) => !fields.includes(key)))

const SLASH = '/'
export const markText = ({ part, id, mark }: Mark): string => [part, id, mark].join(SLASH)
export function markFrom(text: string): Mark {
  const [part = '', id = '', mark = ''] = text.split(SLASH)
  return { part: part as Part, id, mark }
}

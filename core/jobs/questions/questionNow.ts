import type { Build } from '../../file/build/build'
import type { Gate } from '../../file/kinds/gateKinds'
import { MAKING_STATES, type MakingState } from '../../file/kinds/madePart'
import { QUESTIONS, type Question } from '../../file/kinds/questionKinds'
import type { Task } from '../tasks/task'

/** A question whose moment it is. */
export interface Asked {
  readonly question: Question
  /** The thing that it is asked of; null for one of the whole build. */
  readonly of: string | null
  readonly thing: string | null
}

/** What a moment is told by. */
interface Moment {
  readonly build: Build
  /** What can be begun now. */
  readonly now: readonly Task[]
}

interface Thing {
  readonly of: string
  readonly thing: string
}

const WHOLE: Thing[] = [{ of: '', thing: '' }]
const hasPassed = ({ gates = [] }: Build, gate: Gate): boolean => gates.some((one) => one.gate === gate)
const isBefore = (state: MakingState | undefined, limit: MakingState): boolean =>
  MAKING_STATES.indexOf(state ?? 'idea') < MAKING_STATES.indexOf(limit)
const things = (list: string, all: readonly { readonly id: string; readonly name: string }[]): Thing[] =>
  all.map(({ id, name }) => ({ of: `${list}/${id}`, thing: name }))

/** The moment of each question: the things that it is to be asked of now. */
const MOMENTS: Readonly<Record<Question, (moment: Moment) => readonly Thing[]>> = {
  // Before a place is chosen for the powertrain, and before anything is made to it.
  brackets: ({ build }) => (build.readings.length > 0 && !hasPassed(build, 'position') ? WHOLE : []),
  fixed: ({ build }) => (build.levers.length > 1 && !hasPassed(build, 'position') ? WHOLE : []),
  final: ({ build }) => (build.readings.length > 0 && !hasPassed(build, 'tacked') ? WHOLE : []),
  // Before what centres a part is cut away.
  centres: ({ build }) =>
    things(
      'plates',
      (build.plates ?? []).filter(({ state }) => isBefore(state, 'cut')),
    ),
  behind: ({ build, now }) =>
    things(
      'cutouts',
      (build.cutouts ?? []).filter(({ id }) =>
        now.some(({ made }) => made?.by === 'cutout' && made.thing?.id === id),
      ),
    ),
  // Before a part that holds the powertrain is welded.
  again: ({ build }) =>
    things(
      'crossmembers',
      (build.crossmembers ?? []).filter(({ state }) => isBefore(state, 'welded') && !isBefore(state, 'cut')),
    ),
  tested: ({ build }) =>
    things(
      'orders',
      (build.orders ?? []).filter(({ arrived }) => arrived?.verdict === 'accepted'),
    ),
  with: ({ now }) => (now.some(({ isHot, hands }) => isHot || hands === 2) ? WHOLE : []),
}

/** The one question whose moment it is and that was not answered; null when there is none: never a wall of them. */
export function questionNow(moment: Moment): Asked | null {
  const answered = new Set((moment.build.answers ?? []).map(({ question, of = '' }) => `${question}|${of}`))
  for (const question of QUESTIONS)
    for (const { of, thing } of MOMENTS[question](moment))
      if (!answered.has(`${question}|${of}`)) return { question, of: of || null, thing: thing || null }
  return null
}

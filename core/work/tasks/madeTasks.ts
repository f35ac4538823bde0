import type { Build } from '../../file/build/build'
import { MAKING_STATES, type MakingState } from '../../file/kinds/madePart'
import { measuringTour } from '../../measure/tour/tour'
import type { MadeBy } from './task'

/** A task of the build, before what the builder says of it. */
export interface MadeTask extends MadeBy {
  readonly isDone: boolean
}

const isAtLeast = (state: MakingState | undefined, least: MakingState): boolean =>
  state !== undefined && MAKING_STATES.indexOf(state) >= MAKING_STATES.indexOf(least)

/** Parts that are made and stay in the vehicle. */
const fittedParts = ({ crossmembers = [], plates = [], copedTubes = [], pieces = [] }: Build) => [
  ...crossmembers,
  ...plates,
  ...copedTubes,
  ...pieces.filter(({ kind }) => kind === 'gusset'),
]
/** All that is made; what one drills and saws by stays at the bench. */
const madeParts = (build: Build) => [
  ...fittedParts(build),
  ...(build.pieces ?? []).filter(({ kind }) => kind !== 'gusset'),
]

/**
 * The tasks that a build makes by what it is: readings to take, guesses to read again, checks to put right, parts to make and fit, openings to
 * cut, welds, what is temporary.
 *
 * @param outCount - checks that are out as the build stands
 */
export function madeTasks(build: Build, outCount: number): MadeTask[] {
  const steps = build.setups.slice(-1).flatMap(({ id }) => measuringTour(build, id))
  const open = steps.filter(({ isRead, optional }) => !isRead && !optional).length
  const guesses = new Set(steps.flatMap(({ id, reading }) => (reading?.provisional === true ? [id] : [])))
    .size
  const counted = (by: MadeBy['by'], count: number): MadeTask[] =>
    count > 0 ? [{ by, thing: null, count, isDone: false }] : []
  const one = (by: MadeBy['by'], { id, name }: { id: string; name: string }, isDone: boolean): MadeTask => ({
    by,
    thing: { id, name },
    count: 1,
    isDone,
  })
  return [
    ...counted('measure', open),
    ...counted('again', guesses),
    ...counted('cure', outCount),
    ...madeParts(build).map((part) => one('make', part, isAtLeast(part.state, 'welded'))),
    ...(build.cutouts ?? []).map((cutout) => one('cutout', cutout, false)),
    ...(build.welds ?? []).map((weld) =>
      one('weld', weld, weld.readings.length > 0 && weld.readings.every(({ after }) => after !== undefined)),
    ),
    ...fittedParts(build).map((part) => one('fit', part, isAtLeast(part.state, 'fitted'))),
    ...(build.temporaries ?? []).map((entry) => one('temporary', entry, entry.closedAt !== undefined)),
  ]
}

/** By which a task of the build is named: what makes it, and the thing. */
export const madeKey = ({ by, thing }: MadeBy): string => (thing ? `${by}/${thing.id}` : by)

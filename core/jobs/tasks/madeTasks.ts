import type { Build } from '../../file/build/build'
import type { Day } from '../../base/days'
import type { OrderEntry, OrderWhen } from '../../file/kinds/orderKinds'
import { whenOf } from '../orders/orderWhen'
import type { WeldEntry } from '../../file/kinds/weldKinds'
import { MAKING_STATES, type MakingState } from '../../file/kinds/madePart'
import { measuringTour } from '../../measure/tour/tour'
import type { MadeBy, MakingList } from './task'

/** A task of the build, before what the builder says of it. */
export interface MadeTask extends MadeBy {
  readonly isDone: boolean
  /** When it was ordered, and what it waits for until then; absent for what is not ordered by a sheet. */
  readonly ordering?: { readonly at: Day | null; readonly when: OrderWhen }
}

const isAtLeast = (state: MakingState | undefined, least: MakingState): boolean =>
  state !== undefined && MAKING_STATES.indexOf(state) >= MAKING_STATES.indexOf(least)

interface MadeThing {
  readonly list: MakingList
  readonly id: string
  readonly name: string
  readonly state?: MakingState | undefined
}
const inList = (list: MakingList, all: readonly Omit<MadeThing, 'list'>[] = []): MadeThing[] =>
  all.map(({ id, name, state }) => ({ list, id, name, state }))

/** Parts that are made and stay in the vehicle. */
const fittedParts = ({ crossmembers, plates, copedTubes, pieces = [] }: Build): MadeThing[] => [
  ...inList('crossmembers', crossmembers),
  ...inList('plates', plates),
  ...inList('copedTubes', copedTubes),
  ...inList(
    'pieces',
    pieces.filter(({ kind }) => kind === 'gusset'),
  ),
]
/** All that is made; what one drills and saws by stays at the bench. */
const madeParts = (build: Build): MadeThing[] => [
  ...fittedParts(build),
  ...inList(
    'pieces',
    build.pieces?.filter(({ kind }) => kind !== 'gusset'),
  ),
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
  const one = (by: MadeBy['by'], { list, id, name }: MadeThing, isDone: boolean): MadeTask => ({
    by,
    thing: { list, id, name },
    count: 1,
    isDone,
  })
  const isWelded = ({ readings }: WeldEntry) =>
    readings.length > 0 && readings.every(({ after }) => after !== undefined)
  return [
    ...counted('measure', open),
    ...counted('again', guesses),
    ...counted('cure', outCount),
    ...madeParts(build).map((part) => one('make', part, isAtLeast(part.state, 'welded'))),
    ...(build.cutouts ?? []).map(({ id, name }) => one('cutout', { list: 'cutouts', id, name }, false)),
    ...(build.welds ?? []).map((weld) =>
      one('weld', { list: 'welds', id: weld.id, name: weld.name }, isWelded(weld)),
    ),
    ...fittedParts(build).map((part) => one('fit', part, isAtLeast(part.state, 'fitted'))),
    ...(build.orders ?? []).flatMap((order) => ofOrder(order)),
    ...(build.temporaries ?? []).map(({ id, name, closedAt }) =>
      one('temporary', { list: 'temporaries', id, name }, closedAt !== undefined),
    ),
  ]
}

/** What is ordered is fitted once it came and was accepted; a pattern goes to the machinist and is never fitted. */
function ofOrder(order: OrderEntry): MadeTask[] {
  const { id, name, kind, sent, arrived } = order
  const thing = { list: 'orders' as const, id, name }
  const isHere = arrived?.verdict === 'accepted'
  return [
    { by: 'order', thing, count: 1, isDone: isHere, ordering: { at: sent?.at ?? null, when: whenOf(order) } },
    ...(kind === 'pattern' ? [] : [{ by: 'install' as const, thing, count: 1, isDone: false }]),
  ]
}

/** By which a task of the build is named: what makes it, and the thing. */
export const madeKey = ({ by, thing }: MadeBy): string => (thing ? `${by}/${thing.id}` : by)

import type { Check, WheelPlace } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import type { Column, FigureOf, Graph } from '../base/columns/graph'
import type { Known } from '../base/known'
import type { FigureColumn } from '../line/figureColumns'
import type { RigidMove } from '../base/linalg/mat3'
import type { BodyMove, LeverColumns } from '../vehicle/moves/bodyMove'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { BodyId, WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { MeasuredModel } from '../measure/geometry/geometry'
import type { SparePlace } from '../stand/compiledTravel'
import type { PlacedState } from '../stand/placedState'
import type { Places } from '../stand/places'
import type { PlacesAt } from '../stand/placesAt'
import type { Sweep } from '../stand/sweep'
import type { SetPlace } from '../stand/travel'

/** What subjects are compiled on. */
export interface Ground {
  readonly build: Build
  readonly graph: Graph
  readonly measured: MeasuredModel
  readonly places: Places
  readonly levers: LeverColumns
  /** Null where nobody has told how far the wheels go. */
  readonly travel: TravelGround | null
}

/** What it takes to look through the travel of a build's wheels. */
export interface TravelGround {
  readonly axles: readonly WheeledBody[]
  /** The bodies that go along with an axle or a hub. */
  readonly moving: ReadonlySet<BodyId>
  /** Places between the named ones, called by nothing until something stands worse there. */
  readonly between: readonly WheelPlace[]
  /** The place that goes through the travel. */
  readonly through: WheelPlace
  /** A place that a subject asked for. */
  readonly spare: (id: Id) => SparePlace | undefined
}

/** A figure that is shown and published: its one column, under its one name. */
export interface SubjectFigure<Found> extends FigureColumn {
  /** Under which its ± is kept. */
  readonly id: string
  /** Its place in the published result, such as `lines[0].ride.joints[1].angleDeg`; null for what has none there. */
  readonly place: string | null
  /** Whether it has an answer as the build stands. */
  stands(found: readonly Found[]): boolean
}

/** What has to be kept whether or not a limit says so, such as a joint that turns. */
export interface MustKeep {
  readonly id: string
  readonly subject: Check['subject']['of']
  readonly column: Column
  readonly most: number
}

/** The travel of the wheels as the levers stand. */
export interface Swept {
  readonly build: Build
  readonly sweep: Sweep
  readonly settings: LeverSettings
}

/** How a build is looked at as its levers stand. */
export interface Stand {
  readonly settings: LeverSettings
  readonly figure: FigureOf
  readonly placesAt: (placed: PlacedState) => PlacesAt
  /** Whether a body can go where the levers send it. */
  readonly reaches: (moves: readonly BodyMove[]) => Known<RigidMove>
  /** A place of the wheels as it is called now; undefined for a spare one that nothing stands at. */
  readonly calledNow: (at: WheelPlace | null) => WheelPlace | null | undefined
}

/** A subject where the levers stand: places of the wheels to be set for it, and what is found once they are. */
export interface Looked<Found> {
  readonly set: readonly SetPlace[]
  found(stand: Stand): readonly Found[]
}

/** Things of one sort with everything decided that levers do not change. */
export interface CompiledSubject<Thing = unknown, Found = unknown> {
  readonly key: string
  readonly things: readonly Thing[]
  /** Every check in every state it is made in, but those that are certain. */
  readonly plans: readonly PlannedCheck[]
  readonly mustKeep: readonly MustKeep[]
  /** Every column that is read to tell it. */
  readonly wants: readonly Column[]
  /** The checks and the columns that are looked at all along the travel. */
  readonly swept: { readonly plans: readonly PlannedCheck[]; readonly wants: readonly Column[] }
  /** Places of the wheels that are set anew for each setting of the levers. */
  readonly spares: readonly SparePlace[]
  readonly figures: readonly SubjectFigure<Found>[]
  /** @param swept - null for a build whose wheels do not go up and down */
  look(swept: Swept | null): Looked<Found>
}

/** Things of one sort that a build is told and judged by: its lines, its gaps. `SUBJECTS` lists them all. */
export interface Subject<Thing = unknown, Found = unknown> {
  readonly key: string
  /** Places of the wheels that it asks for. */
  spares?(build: Build, graph: Graph, axles: readonly WheeledBody[]): readonly SparePlace[]
  /** @param before - the subjects that come before it in the list */
  compile(ground: Ground, before: readonly CompiledSubject[]): CompiledSubject<Thing, Found>
  checksOf(found: readonly Found[]): readonly Check[]
  /** Its part of the published result, under its key; its figures then stand where `place` says. */
  json?(found: readonly Found[]): readonly unknown[]
  /** The same with its checks judged anew. */
  rejudged(found: readonly Found[], change: (check: Check) => Check): readonly Found[]
}

/** What was found of one subject. */
export interface FoundSubject {
  readonly key: string
  readonly found: readonly unknown[]
}

/** What was compiled of a subject. */
export const compiledThings = <Thing>(
  compiled: readonly CompiledSubject[],
  { key }: Subject<Thing>,
): readonly Thing[] => (compiled.find((one) => one.key === key)?.things ?? []) as readonly Thing[]

/** What was found of a subject. */
export const foundOf = <Found>(
  found: readonly FoundSubject[],
  { key }: Subject<unknown, Found>,
): readonly Found[] => (found.find((one) => one.key === key)?.found ?? []) as readonly Found[]

/** Columns of planned checks that are worked out. */
export const plannedColumns = (plans: readonly PlannedCheck[]): Column[] =>
  plans.flatMap(({ value }) => (value === null || typeof value === 'number' ? [] : [value.column]))

import type { Check } from '../../check/check'
import type { Column } from '../../base/columns/graph'
import type { SheetDrawing } from '../../drawing/paper/sheetDrawing'
import type { Build } from '../../file/build/build'
import type { AskedWord, OrderEntry, OrderKind } from '../../file/kinds/orderKinds'
import type { CompiledBuild } from '../../model/compile'
import type { Evaluation } from '../../model/evaluateBuild'
import type { Sureness } from '../../answers/uncertainty/monteCarlo'
import type { Fact } from '../text/lineFacts'

/** What an order is looked at with. */
export interface OrderSite {
  readonly build: Build
  readonly compiled: CompiledBuild
  readonly evaluation: Evaluation
  readonly sureness: Sureness | null
}

export interface SheetSection {
  readonly title: string
  readonly rows: readonly (Fact & { readonly isMain?: boolean })[]
}

/** What is measured again when it comes. */
export interface ArrivalFigure {
  readonly key: string
  readonly name: string
  readonly unit: 'mm' | 'deg' | 'links'
  /** As ordered. */
  readonly asked: number
  /** What of the build it becomes; null for a figure that the build has no place for. */
  readonly becomes: string | null
}

/** What a sheet says of the thing itself. */
export interface OrderBody {
  /** Names of what has to be known first. */
  readonly missing: readonly string[]
  /** Across the sheet, such as that it is a pattern only. */
  readonly stamp?: string
  readonly drawing: SheetDrawing | null
  readonly sections: readonly SheetSection[]
  readonly cautions: readonly string[]
  /** Of what it turns or runs with: none may be out when it goes out. */
  readonly checks: readonly Check[]
  /** Why it is not to be made as it stands. */
  readonly alerts?: readonly string[]
  /** Columns of the figures that are ordered. */
  readonly columns: readonly Column[]
  readonly arrival: readonly ArrivalFigure[]
}

/** What a sheet is made by, and what it is while something is missing. */
export type BodyOf = (site: OrderSite, order: OrderEntry) => OrderBody
export const waitsFor = (missing: readonly string[]): OrderBody => ({
  missing,
  drawing: null,
  sections: [],
  cautions: [],
  checks: [],
  columns: [],
  arrival: [],
})

export const ASKED_NAMES: Readonly<Record<AskedWord, string>> = {
  series: 'series; caps × span of joints',
  spline: 'spline: count × diameter × length',
  pilot: 'pilot: diameter × depth',
  boltCircle: 'bolt circle: holes × diameter',
  thread: 'thread',
  grade: 'material and grade',
  keep: 'must not be changed',
  note: 'remark',
}

/** What each kind of order says in words. */
export const ASKED_OF: Readonly<Record<OrderKind, readonly AskedWord[]>> = {
  propshaft: ['series', 'spline', 'pilot', 'boltCircle', 'thread', 'keep'],
  halfshafts: ['series', 'spline', 'thread', 'keep'],
  chain: ['series', 'boltCircle', 'pilot', 'spline', 'keep', 'note'],
  pattern: ['series', 'spline', 'thread', 'keep'],
  'live-axle': ['grade', 'spline', 'keep', 'note'],
  adapter: ['grade', 'pilot', 'spline', 'boltCircle', 'thread', 'keep', 'note'],
  plate: ['grade', 'thread', 'keep', 'note'],
}

/** What the shop is told in words; what was not said is asked for on the sheet. */
export const askedRows = (order: OrderEntry): Fact[] =>
  ASKED_OF[order.kind].map((key) => ({ name: ASKED_NAMES[key], value: order.asks?.[key] || TO_BE_AGREED }))
export const TO_BE_AGREED = 'to be agreed'

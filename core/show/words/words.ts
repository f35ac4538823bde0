import type { Build } from '../../file/build/build'
import type { LeverKind } from '../../file/build/lever'
import type { MeasuredReading, ReadingOf, TourQuantity } from '../../file/build/reading'
import { merged } from '../../file/parts/merged'
import { BAR_WORDS } from './barWords'
import { BOLT_WORDS } from './boltWords'
import { CUTOUT_WORDS } from './cutoutWords'
import { CABLE_WORDS } from './cableWords'
import { CHAIN_WORDS } from './chainWords'
import { GAP_WORDS } from './gapWords'
import { GATE_WORDS } from './gateWords'
import { HUMP_WORDS } from './humpWords'
import { LINE_WORDS } from './lineWords'
import { LOG_WORDS } from './logWords'
import { MEMBER_WORDS } from './memberWords'
import { MOUNT_WORDS } from './mountWords'
import { ORDER_WORDS } from './orderWords'
import { PIECE_WORDS } from './pieceWords'
import { PLATE_WORDS } from './plateWords'
import type { Echo, LeverWords, StepRow } from './subjectWords'
import { QUESTION_WORDS } from './questionWords'
import { CONTROL_WORDS } from './controlWords'
import { COPED_TUBE_WORDS } from './copedTubeWords'
import { RELEASE_WORDS } from './releaseWords'
import { SHIFT_WORDS } from './shiftWords'
import { TASK_WORDS } from './taskWords'
import { TEMPORARY_WORDS } from './temporaryWords'
import { TICK_WORDS } from './tickWords'
import { VEHICLE_WORDS } from './vehicleWords'
import { WELD_WORDS } from './weldWords'

/** The words of what subjects add to a build, each its own. One line a subject. */
export const WORDS = [
  VEHICLE_WORDS,
  LINE_WORDS,
  GAP_WORDS,
  CHAIN_WORDS,
  MEMBER_WORDS,
  PLATE_WORDS,
  MOUNT_WORDS,
  COPED_TUBE_WORDS,
  HUMP_WORDS,
  RELEASE_WORDS,
  WELD_WORDS,
  TICK_WORDS,
  TEMPORARY_WORDS,
  BOLT_WORDS,
  CUTOUT_WORDS,
  PIECE_WORDS,
  TASK_WORDS,
  BAR_WORDS,
  GATE_WORDS,
  ORDER_WORDS,
  LOG_WORDS,
  QUESTION_WORDS,
  SHIFT_WORDS,
  CABLE_WORDS,
  CONTROL_WORDS,
] as const

/** What each quantity is asked with. */
export const STEP_WORDS: { readonly [Q in TourQuantity]: StepRow<Q> } = merged(WORDS, 'steps')

/** How each kind of reading is said back. */
export const ECHOES: {
  readonly [K in MeasuredReading['kind']]: (build: Build, reading: ReadingOf<K>) => Echo
} = merged(WORDS, 'echoes')

/** What each kind of lever is called, and how a change of it is told. */
export const LEVER_WORDS: Readonly<Record<LeverKind, LeverWords>> = merged(WORDS, 'levers')

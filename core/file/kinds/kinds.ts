import { KINDS_OF_BARS, type BarTypes } from './barKinds'
import { KINDS_OF_BOLTS, type BoltTypes } from './boltKinds'
import { KINDS_OF_CABLES, type CableTypes } from './cableKinds'
import { KINDS_OF_CHAINS, type ChainTypes } from './chainKinds'
import { KINDS_OF_CONTROLS, type ControlTypes } from './controlKinds'
import { KINDS_OF_CUTOUTS, type CutoutTypes } from './cutoutKinds'
import { KINDS_OF_GAPS, type GapTypes } from './gapKinds'
import { KINDS_OF_GATES, type GateTypes } from './gateKinds'
import { KINDS_OF_HUMPS, type HumpTypes } from './humpKinds'
import { KINDS_OF_LINES, type LineTypes } from './lineKinds'
import { KINDS_OF_LOGS, type LogTypes } from './logKinds'
import { KINDS_OF_MEMBERS, type MemberTypes } from './memberKinds'
import { KINDS_OF_MOUNTS, type MountTypes } from './mountKinds'
import { KINDS_OF_ORDERS, type OrderTypes } from './orderKinds'
import { KINDS_OF_PIECES, type PieceTypes } from './pieceKinds'
import { KINDS_OF_PLATES, type PlateTypes } from './plateKinds'
import { KINDS_OF_QUESTIONS, type QuestionTypes } from './questionKinds'
import { KINDS_OF_COPED_TUBES, type CopedTubeTypes } from './copedTubeKinds'
import { KINDS_OF_RELEASES, type ReleaseTypes } from './releaseKinds'
import { KINDS_OF_SHIFTS, type ShiftTypes } from './shiftKinds'
import { KINDS_OF_TASKS, type TaskTypes } from './taskKinds'
import { KINDS_OF_TEMPORARIES, type TemporaryTypes } from './temporaryKinds'
import { KINDS_OF_TICKS, type TickTypes } from './tickKinds'
import { KINDS_OF_VEHICLE } from './vehicleKinds'
import type { VehicleTypes } from './vehicleReadings'
import { KINDS_OF_WELDS, type WeldTypes } from './weldKinds'

/** What subjects add to a build, each its own: kinds of readings, of quantities, of levers. Two lines a subject. */
export const KINDS = [
  KINDS_OF_VEHICLE,
  KINDS_OF_LINES,
  KINDS_OF_GAPS,
  KINDS_OF_CHAINS,
  KINDS_OF_MEMBERS,
  KINDS_OF_PLATES,
  KINDS_OF_MOUNTS,
  KINDS_OF_COPED_TUBES,
  KINDS_OF_HUMPS,
  KINDS_OF_RELEASES,
  KINDS_OF_WELDS,
  KINDS_OF_TICKS,
  KINDS_OF_TEMPORARIES,
  KINDS_OF_BOLTS,
  KINDS_OF_PIECES,
  KINDS_OF_CUTOUTS,
  KINDS_OF_TASKS,
  KINDS_OF_BARS,
  KINDS_OF_GATES,
  KINDS_OF_ORDERS,
  KINDS_OF_LOGS,
  KINDS_OF_QUESTIONS,
  KINDS_OF_SHIFTS,
  KINDS_OF_CABLES,
  KINDS_OF_CONTROLS,
] as const

/** Their types. */
export type Kinds = VehicleTypes &
  LineTypes &
  GapTypes &
  ChainTypes &
  MemberTypes &
  PlateTypes &
  MountTypes &
  CopedTubeTypes &
  HumpTypes &
  ReleaseTypes &
  WeldTypes &
  TickTypes &
  TemporaryTypes &
  BoltTypes &
  PieceTypes &
  CutoutTypes &
  TaskTypes &
  BarTypes &
  GateTypes &
  OrderTypes &
  LogTypes &
  QuestionTypes &
  ShiftTypes &
  CableTypes &
  ControlTypes

import type { BodyKind } from '../parts/body'
import { GIVEN_READINGS, GIVEN_SHAPES } from './givenReadings'
import { PACKED, type LeverKindFacts } from './leverRow'
import type { SubjectKinds } from './subjectKinds'
import { VEHICLE_READINGS, VEHICLE_SHAPES, type VehicleTypes } from './vehicleReadings'

/** Of what lets a vehicle stand higher or lower. */
const RAISED = [-60, 100, 5] as const

const MOUNTED: readonly BodyKind[] = ['powertrain', 'transfer-case']
const SHIFTED: readonly BodyKind[] = ['bearing-bracket', 'hub', 'item']

/**
 * Levers of bodies. Positive amounts are up, forward, left, nose up, a longer adapter, shackle or link; a lift takes the chassis up, a block
 * the axle, a strap takes so much of the droop; fore sets an axle forward in the slots of its arms.
 *
 * A body on three mounts is moved by them, an axle by turning it about its centre, a live axle by its two bearings, anything else is shifted as it is.
 */
const LEVERS = {
  'tail-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  'front-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  'front-left-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  'front-right-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  fore: { unit: 'mm', on: [...MOUNTED, ...SHIFTED, 'live-axle', 'axle'], usual: PACKED, picture: 'slots' },
  sideways: { unit: 'mm', on: [...MOUNTED, ...SHIFTED, 'live-axle'], usual: PACKED, picture: 'slots' },
  'tail-sideways': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'slots' },
  up: { unit: 'mm', on: [...SHIFTED, 'live-axle'], usual: PACKED, picture: 'stack' },
  adapter: { unit: 'mm', on: ['powertrain'], usual: PACKED, picture: 'adapter', isLasting: true },
  wedge: { unit: 'deg', on: ['axle'], usual: [-6, 6, 0.5], picture: 'wedge', isLasting: true },
  lift: { unit: 'mm', on: ['axle', 'hub'], usual: RAISED, picture: 'stack', movesRide: true },
  block: { unit: 'mm', on: ['axle'], usual: RAISED, picture: 'stack' },
  strap: { unit: 'mm', on: ['axle', 'hub'], usual: [0, 100, 5], picture: 'strap' },
  shackle: { unit: 'mm', on: ['axle'], usual: [-50, 80, 5], picture: 'stack', movesRide: true },
  'link-length': { unit: 'mm', on: ['axle'], usual: PACKED, picture: 'link', names: 'holding' },
  'left-fore': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  'right-fore': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  'left-up': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  'right-up': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
} as const satisfies Readonly<Record<string, LeverKindFacts>>

/** The chassis, the bodies on it, their axes and points. */
export const KINDS_OF_VEHICLE = {
  readings: { ...VEHICLE_READINGS, ...GIVEN_READINGS },
  shapes: { ...VEHICLE_SHAPES, ...GIVEN_SHAPES },
  targets: {
    chassis: { keys: [], word: 'chassis', things: () => [], body: () => 'chassis' },
    axis: {
      keys: ['axis'],
      word: 'axis',
      things: ({ axes }) => axes,
      body: ({ axes }, { axis }) => axes.find(({ id }) => id === axis)?.body,
      isAcross: ({ axes }, { axis }) => axes.some(({ id, lies }) => id === axis && lies === 'across'),
    },
    point: {
      keys: ['point'],
      word: 'point',
      things: ({ points }) => points,
      body: ({ points }, { point }) => points.find(({ id }) => id === point)?.body,
    },
  },
  // What is asked of them hangs on what they are there for: the tour has it.
  asks: () => [],
  quantities: {},
  levers: LEVERS,
  lists: {},
} as const satisfies SubjectKinds<VehicleTypes>

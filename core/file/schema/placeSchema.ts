import { array, boolean, object, string } from 'yup'
import { LENGTH_UNITS } from '../../base/units/unitSettings'
import {
  figure,
  idField,
  list,
  noteField,
  rawText,
  requiredId,
  requiredName,
  timeField,
  wordField,
} from '../parts/fields'
import { PART_SPREADS, STACK_KINDS } from '../parts/mating'

/** Limits of the lists about how engine and gearbox are brought together and in. */
const MOST = {
  stacks: 50,
  parts: 40,
  rounds: 50,
  spots: 100,
  dowels: 30,
  masses: 200,
  off: 100,
  balances: 100,
}

const size = () => figure(0, 100_000)
const place = () => figure(-100_000, 100_000)

const stackPart = object({
  id: requiredId(),
  name: requiredName(),
  counts: wordField(['adds', 'takes']).required(),
  nominalMm: figure(-10_000, 10_000),
  plusMm: figure(0, 1000),
  minusMm: figure(0, 1000),
  spread: wordField(PART_SPREADS),
})

const stack = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(STACK_KINDS).required(),
  parts: list(stackPart, MOST.parts).required(),
  minMm: figure(-10_000, 10_000),
  maxMm: figure(-10_000, 10_000),
}).test(
  'rising',
  'its least figure is above its most',
  ({ minMm, maxMm }) => minMm === undefined || maxMm === undefined || minMm <= maxMm,
)

const round = object({
  id: requiredId(),
  name: requiredName(),
  of: wordField(['bore', 'face']).required(),
  unit: wordField(LENGTH_UNITS).required(),
  spots: list(
    object({ clockDeg: figure(0, 360).required(), text: rawText().defined() }),
    MOST.spots,
  ).required(),
  radiusMm: figure(1, 2000),
  countsBackwards: boolean(),
  totalMaxMm: figure(0, 100),
  dowelsMm: array().of(figure(0, 20).required()).max(MOST.dowels),
})

/** How engine and gearbox meet; absent until something is entered. */
export const matingSchema = object({
  stacks: list(stack, MOST.stacks).required(),
  rounds: list(round, MOST.rounds).required(),
}).default(undefined)

const spot = () => object({ stationMm: place(), leftMm: place(), upMm: place() }).default(undefined)
const stiffness = () => figure(1, 1_000_000)
const kg = () => figure(0, 100_000)

const mass = object({
  id: requiredId(),
  name: requiredName(),
  done: wordField(['in', 'out', 'moved']).required(),
  kg: kg(),
  at: spot(),
  to: spot(),
  body: idField(),
  hangs: boolean(),
  later: boolean(),
})

/** What the scales say; absent until something is entered. */
export const weightSchema = object({
  cornersKg: object({ frontLeft: kg(), frontRight: kg(), rearLeft: kg(), rearRight: kg() }).default(
    undefined,
  ),
  frontStationMm: place(),
  rearStationMm: place(),
  trackFrontMm: figure(1, 100_000),
  trackRearMm: figure(1, 100_000),
  cgHeightMm: place(),
  masses: list(mass, MOST.masses).required(),
  hook: object({ stationMm: place(), heightMm: place() }).default(undefined),
  hangDeg: figure(-89, 89),
  legs: list(object({ stationMm: place(), heightMm: place(), lengthMm: size() }), 2),
  mountsNPerMm: object({ frontLeft: stiffness(), frontRight: stiffness(), tail: stiffness() }).default(
    undefined,
  ),
  shock: figure(1, 10),
  tilt: object({
    frontKgRaised: kg(),
    raisedMm: size(),
    radiusFrontMm: size(),
    radiusRearMm: size(),
  }).default(undefined),
  balances: list(object({ id: requiredId(), date: timeField(), note: noteField().defined() }), MOST.balances),
}).default(undefined)

const rising = (least: number, most: number) =>
  array()
    .of(figure(least, most).required())
    .length(2)
    .required()
    .test('rising', 'must run from the lower to the higher figure', (value) =>
      value?.[0] === undefined || value[1] === undefined ? true : value[0] <= value[1],
    )

/** How it is brought in; absent until something is entered. */
export const wayInSchema = object({
  off: array().of(string().max(300).required()).max(MOST.off).required(),
  alone: object({ drawMm: figure(0, 1000).required(), fallDeg: figure(-45, 45).required() }).default(
    undefined,
  ),
  lifted: wordField(['rear', 'whole']).required(),
  frontContactMm: place(),
  wheelbaseMm: size(),
  liftMm: rising(0, 10_000),
  keepMm: figure(0, 500).required(),
  start: object({
    forwardMm: figure(-10_000, 10_000).required(),
    upMm: figure(-10_000, 10_000).required(),
    tailDownDeg: figure(-179, 179).required(),
  }).required(),
  tiltDeg: rising(-179, 179),
}).default(undefined)

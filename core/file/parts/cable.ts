import { object } from 'yup'
import { ARM_WAYS } from './armWays'
import { figure, idField, list, maybe, noteField, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** A place on a bulkhead, from its mark: to the left (of one that faces aside: forward) and up (of a floor: forward). */
const across = () => figure(-5000, 5000)

/** Its edges from the mark, each to its own side. */
const areaShape = {
  leftMm: across().required(),
  rightMm: across().required(),
  upMm: across().required(),
  downMm: across().required(),
}

export const MOST_KEPT_OFF = 20

export const bulkheadShape = object({
  id: requiredId(),
  name: requiredName(),
  /** A point that can be found on both of its sides: every hole is measured from it. */
  mark: requiredId(),
  /** The way in which a cable passes it, coming from the driver. */
  faces: wordField(ARM_WAYS).required(),
  /** Its top, of a floor its front, leans toward the driver's side. */
  leanDeg: figure(-80, 80),
  /** How far it goes from the mark to each side. */
  room: object(areaShape).required(),
  /** Where no hole may be: what is not flat, bears load, is behind the dash. */
  keepOff: list(object({ id: requiredId(), name: requiredName(), ...areaShape }), MOST_KEPT_OFF),
  note: noteField(),
})

/** A sheet that cables pass through. */
export type Bulkhead = Told<typeof bulkheadShape>
export type KeptOff = NonNullable<Bulkhead['keepOff']>[number]

const endShape = object({
  /** Where its outer is fixed. */
  point: requiredId(),
  /** The way in which the cable lies at it, going to the gearbox; straight to its next corner when absent. */
  leaves: wordField(ARM_WAYS),
  /** An axis that it leaves along; straight that way when absent. */
  axis: idField(),
  /** Straight before its first bend. */
  straightMm: figure(0, 2000),
})

const radius = () => figure(1, 5000)

const cornerShape = object({
  point: requiredId(),
  /** Where it is not that of the others. */
  radiusMm: radius(),
})
const corners = () => list(cornerShape, 8)

export const MOST_HOT = 12

export const cableShape = object({
  id: requiredId(),
  name: requiredName(),
  /** At the driver's lever or pedal, and at the gearbox. */
  from: endShape.required(),
  to: endShape.required(),
  /** Corners of its way in their order: all of them, or those on the driver's side of a bulkhead. */
  corners: corners(),
  /** On the other side of the bulkhead. */
  cornersBehind: corners(),
  /** Where it passes a bulkhead. */
  hole: maybe({
    bulkhead: requiredId(),
    leftMm: across().required(),
    upMm: across().required(),
    /** Straight on each side. */
    stubMm: figure(1, 1000).required(),
    /** In diameter, with its grommet. */
    holeMm: figure(1, 200),
  }),
  /** Its bends are laid so. */
  radiusMm: radius().required(),
  /** The least that it may be bent to; the usual when absent. */
  leastRadiusMm: radius(),
  /** Between its outer fixings, as it was bought. */
  lengthMm: figure(1, 20_000),
  /** What its adjuster takes up, either way. */
  adjustMm: figure(0, 500),
  /** How far its end goes as the engine rocks, where no mounts tell. */
  rockMm: figure(0, 200),
  /** Of the inner in its liner. */
  playMm: figure(0, 10),
  friction: figure(0, 1),
  /** Hot places, and how far it stays from each. */
  hot: list(object({ point: requiredId(), gapMm: figure(1, 1000).required() }), MOST_HOT),
  note: noteField(),
})

/** A cable of a set length between two outer fixings. */
export type Cable = Told<typeof cableShape>
export type CableEndEntry = Cable['from']
export type CableCornerEntry = NonNullable<Cable['corners']>[number]

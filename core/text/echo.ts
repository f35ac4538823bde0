import { axleById } from '../project/bodies'
import { toStation } from '../frame/station'
import { axisDirection, riseSweep, type FallPlan } from '../frame/axis'
import { fallWords, offsetWords, planWords, riseWords, sweepWords, type AxisRole } from '../frame/words'
import { mapKnown, type Known } from '../known'
import type { Build } from '../project/build'
import type { NamedAxis } from '../project/named'
import { sprocketName } from '../project/chainLine'
import type { MeasuredReading, Reading, ReadingOf } from '../project/reading'
import type { ChainSlackReading, SprocketFaceReading } from '../project/kinds/chainKinds'
import type { GapReading } from '../project/kinds/gapKinds'
import type {
  PointHeightReading,
  PointOffsetReading,
  PointStationReading,
  SetupPointReading,
} from '../project/kinds/vehicleReadings'
import type { ShaftLevelReading } from '../project/kinds/lineKinds'
import { readSlope } from '../readings/axisColumns'
import { faceFigure, measuredSlack, readFace } from '../readings/chainReadings'
import { measuredGap } from '../readings/gapReading'
import { shaftReadingSpec } from '../readings/shaftReading'
import { signedFigure } from '../readings/figure'
import { axisPlace, pointFigures, pointPlace, setupAttitude } from '../readings/measured'
import { degrees } from '../units/angle'
import { readingContext } from '../readings/readingContext'
import { figureOf, plusMinusOf } from '../readings/spreadFigure'
import { formatAngle, formatLength } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'
import { sentenceCase } from './checkText'

/** What a reading means, said back at once; `ok` is false when it cannot be understood or used yet. */
export interface Echo {
  readonly ok: boolean
  readonly text: string
}

/**
 * Says back what a reading means in the chassis frame: "Pinion nose up 4.1°; to the chassis nose up 3.4°".
 *
 * @param reading - need not be in the build yet
 */
export function readingEcho(build: Build, reading: MeasuredReading): Echo {
  const others = build.readings.filter((one) => one.id !== reading.id)
  const draft: Build = { ...build, readings: [...others, reading] }
  return (ECHOES[reading.kind] as EchoOf<MeasuredReading['kind']>)(draft, reading)
}

type EchoOf<K extends MeasuredReading['kind']> = (build: Build, reading: ReadingOf<K>) => Echo

/** How each kind is said back. */
const ECHOES: { readonly [K in MeasuredReading['kind']]: EchoOf<K> } = {
  'chassis-fall': chassisEcho,
  'chassis-roll': chassisEcho,
  'axis-level': axisEcho,
  'axis-face': axisEcho,
  'shaft-level': shaftEcho,
  'point-station': pointEcho,
  'point-offset': pointEcho,
  'point-height': pointEcho,
  'setup-point': setupPointEcho,
  gap: gapEcho,
  'sprocket-face': faceEcho,
  'chain-slack': slackEcho,
}

function gapEcho(build: Build, reading: GapReading): Echo {
  const gap = build.gaps.find((one) => one.id === reading.gap)
  if (!gap) return { ok: false, text: 'Its gap is missing.' }
  const context = readingContext(build)
  const read = measuredGap(context, gap)
  if (!read.known) return missingEcho(read.missing)
  const size = context.graph.at(read.value.figure)
  const { trial } = read.value
  const stood = build.trials.find(({ id }) => id === trial)?.name
  const where = stood ? `, as it stood in ${stood}` : ''
  const amount = formatLength(Math.abs(size), build.units)
  return {
    ok: true,
    text:
      size < 0
        ? `${sentenceCase(gap.name)}: they lie ${amount} in each other${where}.`
        : `${sentenceCase(gap.name)}: ${amount} between them${where}.`,
  }
}

function faceEcho(build: Build, reading: SprocketFaceReading): Echo {
  const chain = build.chains?.find(({ sprockets }) => sprockets.some(({ id }) => id === reading.sprocket))
  const sprocket = chain?.sprockets.find(({ id }) => id === reading.sprocket)
  if (!chain || !sprocket) return { ok: false, text: 'Its sprocket is missing.' }
  const name = sentenceCase(sprocketName(sprocket))
  const context = readingContext(build)
  const figure = faceFigure(context, sprocketName(sprocket), { reading, path: 'readings' })
  if (!figure.known) return missingEcho(figure.missing)
  const size = context.graph.at(figure.value)
  const side = size < 0 ? 'right' : 'left'
  const text = `${name}: its face stands ${formatLength(Math.abs(size), build.units)} to the ${side} of the line at the ${reading.place}.`
  const face = readFace(context, chain, sprocket)
  if (!face?.known)
    return { ok: true, text: `${text} One more place on this face shows which way it is turned.` }
  const { yaw, tilt } = face.value.shows
  const lacks =
    yaw && tilt
      ? ''
      : yaw
        ? ' Its lean is not known until the top and the bottom are read.'
        : ' Its turn is not known until the front and the rear are read.'
  return { ok: true, text: `${text}${lacks}` }
}

function slackEcho(build: Build, reading: ChainSlackReading): Echo {
  const chain = build.chains?.find(({ id }) => id === reading.chain)
  if (!chain) return { ok: false, text: 'Its chain is missing.' }
  const context = readingContext(build)
  const read = measuredSlack(context, chain)
  if (!read?.known) return missingEcho(read ? read.missing : [])
  const size = context.graph.at(read.value.figure)
  if (size < 0) return { ok: false, text: 'A movement up and down is not below nought.' }
  return {
    ok: true,
    text: `${sentenceCase(chain.name)} moves ${formatLength(size, build.units)} up and down in all at the middle of its slack run.`,
  }
}

function chassisEcho(build: Build, reading: MeasuredReading): Echo {
  const setup = build.setups.find((one) => one.id === reading.setup)
  if (!setup) return { ok: false, text: 'Its setup is missing.' }
  const attitude = setupAttitude(build, { ...setup, datum: 'levelled' })
  if (!attitude.known) return missingEcho(attitude.missing)
  const slope = reading.kind === 'chassis-fall' ? attitude.value.rearLowDeg : attitude.value.leftLowDeg
  const size = formatAngle(Math.abs(slope), build.units, 2)
  if (Math.abs(slope) < 0.005)
    return {
      ok: true,
      text: `The chassis stands level ${reading.kind === 'chassis-fall' ? 'fore and aft' : 'across'}.`,
    }
  const low =
    reading.kind === 'chassis-fall' ? (slope > 0 ? 'rear' : 'front') : slope > 0 ? 'left side' : 'right side'
  return {
    ok: true,
    text: `The chassis stands ${low} low by ${size}. Everything read in this setup is corrected for it.`,
  }
}

function axisEcho(build: Build, reading: Extract<MeasuredReading, { axis: string }>): Echo {
  const axis = build.axes.find((one) => one.id === reading.axis)
  if (!axis) return { ok: false, text: 'Its axis is missing.' }
  const path = `readings[${build.readings.length - 1}]`
  const slope = readSlope(axis, { reading, path })
  if (!slope.known) return missingEcho(slope.missing)
  const say = slopeWords(build, axis)
  const toGravity = `${sentenceCase(axis.name)} ${say(slope.value)} as read`
  const context = readingContext(build)
  const place = context.axis(axis)
  const fall = figureOf(
    context,
    mapKnown(place, ({ fallDeg }) => fallDeg),
  )
  if (!place.known || !fall)
    return {
      ok: true,
      text: `${toGravity}; to the chassis unknown: ${place.known ? '' : (place.missing[0]?.what ?? '')}.`,
    }
  return {
    ok: true,
    text: `${toGravity}; to the chassis ${say(fall.value)}${plusMinus(plusMinusOf(fall), build.units)}.`,
  }
}

function shaftEcho(build: Build, reading: ShaftLevelReading): Echo {
  const slope = signedFigure(
    shaftReadingSpec(build, { reading, path: `readings[${build.readings.length - 1}]` }),
  )
  if (!slope.known) return missingEcho(slope.missing)
  return {
    ok: true,
    text: `The shaft itself stands ${fallWords(slope.value, 'tail', build.units, 2).replace('tail', 'rear')} as read. It is held against the joint points.`,
  }
}

function setupPointEcho(build: Build, reading: SetupPointReading): Echo {
  const point = build.points.find((one) => one.id === reading.point)
  const setup = build.setups.find((one) => one.id === reading.setup)
  if (!point || !setup) return { ok: false, text: 'Its point or its setup is missing.' }
  const place = pointPlace(build, point)
  if (point.datum)
    return { ok: true, text: `${sentenceCase(point.name)}: kept for the registration of ${setup.name}.` }
  if (!place.known) return missingEcho(place.missing)
  const { station, offsetLeft, height } = toStation(place.value)
  const { units } = build
  const along = `${formatLength(Math.abs(station), units)} ${station < 0 ? 'forward' : 'rearward'}`
  const up = `${formatLength(Math.abs(height), units)} ${height < 0 ? 'below' : 'above'}`
  return {
    ok: true,
    text: `${sentenceCase(point.name)}, brought to the chassis: ${along}, ${offsetWords(offsetLeft, units)}, ${up} the datum plane.`,
  }
}

type ChassisPointReading = PointStationReading | PointOffsetReading | PointHeightReading

function pointEcho(build: Build, reading: ChassisPointReading): Echo {
  const point = build.points.find((one) => one.id === reading.point)
  if (!point) return { ok: false, text: 'Its point is missing.' }
  const figures = pointFigures(build, point)
  const { units } = build
  const say = (figure: Known<number>, words: (value: number) => string): Echo =>
    figure.known
      ? { ok: true, text: `${sentenceCase(point.name)}: ${words(figure.value)}.` }
      : missingEcho(figure.missing)
  if (reading.kind === 'point-station') {
    return say(
      figures.station,
      (s) => `${formatLength(Math.abs(s), units)} ${s < 0 ? 'forward' : 'rearward'} of the datum`,
    )
  }
  if (reading.kind === 'point-offset') return say(figures.offset, (offset) => offsetWords(offset, units))
  return say(
    figures.height,
    (h) => `${formatLength(Math.abs(h), units)} ${h < 0 ? 'below' : 'above'} the datum plane`,
  )
}

/** " ± 0.16°"; nothing for a figure no tool has a say in. */
const plusMinus = (size: number | null, units: UnitSettings): string =>
  size === null || size === 0 ? '' : ` ± ${formatAngle(size, units, 2)}`

const missingEcho = (missing: readonly { what: string }[]): Echo => ({
  ok: false,
  text: ended(sentenceCase(missing[0]?.what ?? 'not understood')),
})

/** A full stop, unless the sentence has its own end. */
const ended = (text: string): string => (/[.?!]$/.test(text) ? text : `${text}.`)

/** What the ends of an axis are called, by the body it belongs to. */
export function axisRole(build: Build, axis: NamedAxis): AxisRole {
  const axle = axleById(build, axis.body)
  if (!axle) return 'tail'
  return axle.noseFaces === 'forward' ? 'nose-front' : 'nose-rear'
}

/** A slope in the words of an axis: positive when its rear end is low, or its left end where it lies across. */
const slopeWords = (build: Build, axis: NamedAxis) => (slopeDeg: number) =>
  axis.lies === 'across'
    ? riseWords(-slopeDeg, build.units, 2)
    : fallWords(slopeDeg, axisRole(build, axis), build.units, 2)

/** Slope and direction in top view of a named axis, in its own words. */
export function lieWords(build: Build, axis: NamedAxis, place: FallPlan): readonly [string, string] {
  const { units } = build
  if (axis.lies === 'across') {
    const { rise, sweep } = riseSweep(axisDirection(place))
    return [riseWords(degrees(rise), units, 2), sweepWords(degrees(sweep), units, 2)]
  }
  const fall = fallWords(degrees(place.fall), axisRole(build, axis), units, 2)
  return [fall, planWords(degrees(place.plan), units, 2)]
}

/** Where a named axis lies, in words: "tail down 3.2°, rear points left 0.4°"; null when unknown. */
export function axisWords(build: Build, axis: NamedAxis): string | null {
  const place = axisPlace(build, axis)
  return place.known ? lieWords(build, axis, place.value).join(', ') : null
}

/** The raw text of a reading as kept, repeats in order. */
export function rawTexts(reading: Reading): readonly string[] {
  if (reading.kind === 'given-point') return [reading.station, reading.offset, reading.height]
  if (reading.kind === 'given-axis')
    return reading.plan === undefined ? [reading.fall] : [reading.fall, reading.plan]
  if (reading.kind === 'given-cross-axis')
    return reading.sweep === undefined ? [reading.rise] : [reading.rise, reading.sweep]
  return reading.values
}

import type { Build } from '../../file/build/build'
import type { Echo, SubjectWords } from './subjectWords'
import { mapKnown, type Known } from '../../base/known'
import type { MeasuredReading } from '../../file/build/reading'
import type {
  PointHeightReading,
  PointOffsetReading,
  PointStationReading,
  SetupPointReading,
  VehicleTypes,
} from '../../file/kinds/vehicleReadings'
import { figureOf, plusMinusOf } from '../../measure/figures/spreadFigure'
import { formatAngle, formatLength } from '../../base/units/format'
import { missingEcho, plusMinus } from './echoParts'
import { offsetWords } from '../../base/frame/words'
import { pointFigures, pointPlace, setupAttitude } from '../../measure/geometry/measured'
import { readSlope } from '../../measure/axes/axisColumns'
import { readingContext } from '../../measure/geometry/readingContext'
import { sentenceCase } from '../text/checkText'
import { slopeWords } from '../text/axisText'
import { toStation } from '../../base/frame/station'

/** How readings of the chassis, of axes and of points are said back. */
export const VEHICLE_ECHOES: SubjectWords<VehicleTypes, never>['echoes'] = {
  'chassis-fall': chassisEcho,
  'chassis-roll': chassisEcho,
  'axis-level': axisEcho,
  'axis-face': axisEcho,
  'point-station': pointEcho,
  'point-offset': pointEcho,
  'point-height': pointEcho,
  'setup-point': setupPointEcho,
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

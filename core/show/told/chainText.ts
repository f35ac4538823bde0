import type { AdjusterPlace } from '../../sprockets/adjuster'
import { shimFor } from '../../sprockets/alignment'
import type { AdjusterTravel } from '../../chain/chainAdjuster'
import type { AlignedSprocket, ChainEvaluation } from '../../chain/chainEvaluation'
import type { Build } from '../../file/build/build'
import { sprocketName, sprocketsOf, type ChainLine, type ChainSprocket } from '../../file/parts/chainLine'
import type { Id } from '../../file/parts/id'
import { fixed, formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { sentenceCase } from '../text/checkText'
import { leverAmount } from './leverText'

/** What a sprocket is called, by its id. */
export const sprocketCalled = (build: Build, id: Id | undefined): string => {
  const found = sprocketsOf(build).find((one) => one.id === id)
  return found ? sprocketName(found) : 'sprocket'
}

/** The runs of a chain by the sprockets they lie between: "front sprocket to axle sprocket". */
export const runName = ({ sprockets }: Pick<ChainLine, 'sprockets'>, span: number): string => {
  const at = (i: number) => sprockets[i % sprockets.length] as ChainSprocket
  return `${sprocketName(at(span))} to ${sprocketName(at(span + 1))}`
}

/** Which way the parts of a chain go, positive first: across the vehicle, or along it where the shafts do. */
const WAYS = {
  across: {
    offset: ['left', 'right'],
    yaw: ['front edge to the left', 'front edge to the right'],
    tilt: ['top to the right', 'top to the left'],
  },
  along: {
    offset: ['rear', 'front'],
    yaw: ['left edge to the rear', 'left edge to the front'],
    tilt: ['top to the front', 'top to the rear'],
  },
} as const

const waysOf = ({ isLengthwise }: Pick<ChainEvaluation, 'isLengthwise'>) =>
  WAYS[isLengthwise ? 'along' : 'across']

/** Figures that round to nought say no way, in mm and degrees. */
const NO_WAY = { mm: 0.05, deg: 0.005 } as const

/** Which way a sprocket is off, in words: "1.4 mm to the left". */
export function offsetText(
  chain: Pick<ChainEvaluation, 'isLengthwise'>,
  { offsetMm }: Pick<AlignedSprocket, 'offsetMm'>,
  units: UnitSettings,
): string {
  const size = formatLength(Math.abs(offsetMm), units)
  const way = waysOf(chain).offset[offsetMm > 0 ? 0 : 1]
  return Math.abs(offsetMm) < NO_WAY.mm ? 'in line' : `${size} to the ${way}`
}

/** How a sprocket is turned against the first one, seen from above: "0.31°, front edge to the left"; null while it is not read. */
export const yawText = (
  chain: Pick<ChainEvaluation, 'isLengthwise'>,
  { yawDeg, read }: Pick<AlignedSprocket, 'yawDeg' | 'read'>,
  units: UnitSettings,
): string | null => (read.yaw ? turned(yawDeg, units, waysOf(chain).yaw) : null)

/** How it leans against the first one: "0.12°, top to the right"; null while it is not read. */
export const tiltText = (
  chain: Pick<ChainEvaluation, 'isLengthwise'>,
  { tiltDeg, read }: Pick<AlignedSprocket, 'tiltDeg' | 'read'>,
  units: UnitSettings,
): string | null => (read.tilt ? turned(tiltDeg, units, waysOf(chain).tilt) : null)

const turned = (deg: number, units: UnitSettings, [more, less]: readonly [string, string]): string => {
  const size = formatAngle(Math.abs(deg), units, 2)
  return Math.abs(deg) < NO_WAY.deg ? size : `${size}, ${deg > 0 ? more : less}`
}

/** What of the angles of a sprocket was read: words for the one that was not. */
export const unreadText = ({ read }: Pick<AlignedSprocket, 'read'>): string | null =>
  read.both.known ? null : read.both.missing.map(({ what }) => what).join('; ')

/** What cures a parallel offset: a spacer of so much, and to which side the sprocket goes; null for one in line. */
export function spacerText(
  chain: Pick<ChainEvaluation, 'isLengthwise'>,
  { offsetMm, sprocket }: Pick<AlignedSprocket, 'offsetMm' | 'sprocket'>,
  units: UnitSettings,
): string | null {
  if (Math.abs(offsetMm) < NO_WAY.mm) return null
  const way = waysOf(chain).offset[offsetMm > 0 ? 1 : 0]
  return `Set the ${sprocketName(sprocket)} ${formatLength(Math.abs(offsetMm), units)} further to the ${way}: a spacer, or shift the whole shaft.`
}

/** Over such a base the way that turns an angle back is told, in mm. */
const BASE_MM = 100

/** How far an end of what holds a sprocket is to be moved to turn an angle back: "0.5 mm over each 100 mm"; null where there is nothing to turn. */
export function shimText(deg: number, units: UnitSettings): string | null {
  const way = shimFor(BASE_MM, deg)
  if (way < NO_WAY.mm) return null
  return `${formatLength(way, units)} over each ${formatLength(BASE_MM, units)}`
}

/** A place of an adjuster in words. */
export function adjusterText(
  { lever }: Pick<AdjusterTravel, 'lever'>,
  place: AdjusterPlace,
  units: UnitSettings,
): string {
  if ('at' in place) return Math.abs(place.at) < 0.05 ? 'as measured' : leverAmount(lever, place.at, units)
  if (place.never === 'not-closed') return 'the chain does not close there'
  const by = formatLength(place.lacksMm, units)
  return place.never === 'too-short'
    ? `beyond its end by about ${by}: more links, or smaller sprockets`
    : `beyond its end by about ${by}: fewer links, or larger sprockets`
}

/** Where along its slots a place is: "8.0 mm from the front end". */
export function slotEndText(
  { lever }: Pick<AdjusterTravel, 'lever'>,
  place: AdjusterPlace,
  units: UnitSettings,
): string | null {
  if (!('at' in place)) return null
  const [from, to] = lever.range
  const [low, high] = [place.at - from, to - place.at]
  const ends = ENDS[lever.kind] ?? ['lower', 'upper']
  return `${formatLength(Math.min(low, high), units)} from the ${low < high ? ends[0] : ends[1]} end`
}

/** What the two ends of a lever's range are called. */
const ENDS: Readonly<Partial<Record<AdjusterTravel['lever']['kind'], readonly [string, string]>>> = {
  fore: ['rear', 'front'],
  'left-fore': ['rear', 'front'],
  'right-fore': ['rear', 'front'],
  sideways: ['right', 'left'],
}

/** How much the chain hangs, told against what is wanted. */
export function slackText({ slack }: Pick<ChainEvaluation, 'slack'>, units: UnitSettings): string {
  if (!slack.known) return sentenceCase(slack.missing.map(({ what }) => what).join('; '))
  const { playMm, wantedMm, excessMm } = slack.value
  const wanted = wantedMm
    ? `; wanted ${formatLength(wantedMm[0], units)} to ${formatLength(wantedMm[1], units)} in all`
    : ''
  return playMm === null
    ? `The chain is ${formatLength(-excessMm, units)} too short${wanted}.`
    : `${formatLength(playMm, units)} up and down in all, at the middle of the slack run${wanted}.`
}

/** Links in words: "86 links", "87 links with a half link". */
export const linksText = (links: number): string =>
  links % 2 === 1 ? `${links} links with a half link` : `${links} links`

/** A share as percent. */
export const percentText = (percent: number): string => `${fixed(percent, Math.abs(percent) < 1 ? 2 : 1)} %`

import type { AdjusterPlace } from '../chain/adjuster'
import type { AdjusterTravel, AlignedSprocket, ChainEvaluation } from '../model/chainEvaluation'
import type { Build } from '../project/build'
import { sprocketName, sprocketsOf, type ChainLine, type ChainSprocket } from '../project/chainLine'
import type { Id } from '../project/id'
import { fixed, formatAngle, formatLength } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'
import { sentenceCase } from './checkText'
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

/** Which way a sprocket is off, in words: "1.4 mm to the left of the line". */
export function offsetText({ offsetMm }: Pick<AlignedSprocket, 'offsetMm'>, units: UnitSettings): string {
  const size = formatLength(Math.abs(offsetMm), units)
  return Math.abs(offsetMm) < 0.005 ? `${size}, in line` : `${size} to the ${offsetMm > 0 ? 'left' : 'right'}`
}

/** How a sprocket is turned against the first one, seen from above: "0.31°, front edge to the left". */
export const yawText = ({ yawDeg }: Pick<AlignedSprocket, 'yawDeg'>, units: UnitSettings): string =>
  turned(yawDeg, units, ['front edge to the left', 'front edge to the right'])

/** How it leans against the first one, seen from behind: "0.12°, top to the right". */
export const tiltText = ({ tiltDeg }: Pick<AlignedSprocket, 'tiltDeg'>, units: UnitSettings): string =>
  turned(tiltDeg, units, ['top to the right', 'top to the left'])

const turned = (deg: number, units: UnitSettings, [more, less]: readonly [string, string]): string => {
  const size = formatAngle(Math.abs(deg), units, 2)
  return Math.abs(deg) < 0.005 ? size : `${size}, ${deg > 0 ? more : less}`
}

/** What of the angles of a sprocket was read: words for the one that was not. */
export const unreadText = ({ read }: Pick<AlignedSprocket, 'read'>): string | null =>
  read.known ? null : read.missing.map(({ what }) => what).join('; ')

/** What cures a parallel offset: a spacer of so much, and to which side the sprocket goes. */
export function spacerText(
  { offsetMm, sprocket }: Pick<AlignedSprocket, 'offsetMm' | 'sprocket'>,
  units: UnitSettings,
): string | null {
  if (Math.abs(offsetMm) < 0.05) return null
  const way = offsetMm > 0 ? 'right' : 'left'
  return `Set the ${sprocketName(sprocket)} ${formatLength(Math.abs(offsetMm), units)} further to the ${way}: a spacer, or shift the whole shaft.`
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

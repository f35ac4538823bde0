import { isChassis } from '../project/bodies'
import type { BodyKind } from '../project/body'
import type { Build } from '../project/build'
import { sprocketName, sprocketsOf } from '../project/chainLine'
import type { Id } from '../project/id'
import type { FacePlace, Reading } from '../project/reading'
import { isOfFirstTrial } from './trial'

/** What is read, and of what: an id alone says nothing, for a point may be called like a line. */
export type Asked =
  | { readonly quantity: 'chassis-fall' | 'chassis-roll' }
  | { readonly quantity: 'axis-level'; readonly axis: Id }
  | { readonly quantity: PointQuantity; readonly point: Id }
  | { readonly quantity: 'shaft-level'; readonly line: Id; readonly shaft: number }
  | { readonly quantity: 'gap'; readonly gap: Id }
  | { readonly quantity: 'sprocket-face'; readonly sprocket: Id; readonly place: FacePlace }
  | { readonly quantity: 'chain-slack'; readonly chain: Id }

export type PointQuantity = 'point-station' | 'point-offset' | 'point-height'
/** What a step of the tour asks for. */
export type TourQuantity = Asked['quantity']

/** Quantity and target as one word: it stands in addresses. */
export function askedKey(asked: Asked): string {
  switch (asked.quantity) {
    case 'chassis-fall':
    case 'chassis-roll':
      return asked.quantity
    case 'axis-level':
      return `${asked.quantity}-${asked.axis}`
    case 'shaft-level':
      return `${asked.quantity}-${asked.line}-${asked.shaft}`
    case 'gap':
      return `${asked.quantity}-${asked.gap}`
    case 'sprocket-face':
      return `${asked.quantity}-${asked.sprocket}-${asked.place}`
    case 'chain-slack':
      return `${asked.quantity}-${asked.chain}`
    case 'point-station':
    case 'point-offset':
    case 'point-height':
      return `${asked.quantity}-${asked.point}`
  }
}

/** What it is called that is read; its id where nothing of the build is called so. */
export function askedName(build: Build, asked: Asked): string {
  const nameIn = (list: readonly { readonly id: Id; readonly name: string }[], id: Id): string =>
    list.find((one) => one.id === id)?.name ?? id
  switch (asked.quantity) {
    case 'chassis-fall':
    case 'chassis-roll':
      return 'chassis'
    case 'axis-level':
      return nameIn(build.axes, asked.axis)
    case 'shaft-level': {
      // Of several shafts of a line each has its number.
      const shafts = build.lines.find(({ id }) => id === asked.line)?.shafts.length ?? 0
      const line = nameIn(build.lines, asked.line)
      return shafts > 1 ? `${line}, shaft ${asked.shaft + 1}` : line
    }
    case 'gap':
      return nameIn(build.gaps, asked.gap)
    case 'sprocket-face': {
      const found = sprocketsOf(build).find(({ id }) => id === asked.sprocket)
      return found ? sprocketName(found) : asked.sprocket
    }
    case 'chain-slack':
      return nameIn(build.chains ?? [], asked.chain)
    case 'point-station':
    case 'point-offset':
    case 'point-height':
      return nameIn(build.points, asked.point)
  }
}

/** The kind of body that what is read belongs to; the chassis for what is of none, such as a gap. */
export function askedBody(build: Build, asked: Asked): BodyKind {
  const of =
    asked.quantity === 'axis-level'
      ? build.axes.find(({ id }) => id === asked.axis)
      : 'point' in asked
        ? build.points.find(({ id }) => id === asked.point)
        : undefined
  if (!of || isChassis(build, of.body)) return 'chassis'
  return build.bodies.find(({ id }) => id === of.body)?.kind ?? 'chassis'
}

/** The reading in force of what is asked: a measured one before a given one, and the last of several. */
export function readingOf(build: Build, setupId: Id, asked: Asked): Reading | null {
  const found = build.readings.filter(
    (reading) => tells(reading, asked, setupId) && isOfFirstTrial(build, reading),
  )
  return found.filter((reading) => !isGiven(reading)).at(-1) ?? found.at(-1) ?? null
}

const GIVEN_KINDS: readonly Reading['kind'][] = ['given-point', 'given-axis', 'given-cross-axis']

/** True for what a drawing or a data sheet tells. */
export const isGiven = ({ kind }: Reading): boolean => GIVEN_KINDS.includes(kind)

/** Whether a reading tells what is asked; attitude is asked of one setup, all else of any. */
function tells(reading: Reading, asked: Asked, setupId: Id): boolean {
  switch (asked.quantity) {
    case 'chassis-fall':
    case 'chassis-roll':
      return reading.kind === asked.quantity && reading.setup === setupId
    case 'axis-level':
      return (
        (reading.kind === 'axis-level' || reading.kind === 'axis-face' || isGiven(reading)) &&
        'axis' in reading &&
        reading.axis === asked.axis
      )
    case 'shaft-level':
      return reading.kind === 'shaft-level' && reading.line === asked.line && reading.shaft === asked.shaft
    case 'gap':
      return reading.kind === 'gap' && reading.gap === asked.gap
    case 'sprocket-face':
      return (
        reading.kind === 'sprocket-face' &&
        reading.sprocket === asked.sprocket &&
        reading.place === asked.place
      )
    case 'chain-slack':
      return reading.kind === 'chain-slack' && reading.chain === asked.chain
    case 'point-station':
    case 'point-offset':
    case 'point-height':
      return (
        (reading.kind === asked.quantity || reading.kind === 'given-point') &&
        'point' in reading &&
        reading.point === asked.point
      )
  }
}

import { axleById, bodyById } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import { sprocketName, sprocketsOf } from '../../file/parts/chainLine'
import type { Id } from '../../file/parts/id'
import type { Lever } from '../../file/build/lever'
import { spacerStack } from '../../vehicle/moves/spacers'
import { fixed } from '../../base/units/format'

/** A change of a lever, and the words it is told in. */
export interface ToldChange {
  readonly build: Build
  readonly lever: Lever
  readonly change: number
  readonly isMore: boolean
  readonly way: string
  readonly size: string
  /** What the body is called that it moves. */
  readonly axle: string
}

/** Something packed up, or let down. */
export const packed =
  (where: string) =>
  ({ lever, change, isMore, size }: ToldChange): string => {
    const what = lever.name ? `the ${lever.name}` : where
    return isMore ? `Pack ${what} up ${size}${stackText(lever, change)}` : `Lower ${what} ${size}`
  }

/** Something moved as it is. */
export const moved =
  (what: string) =>
  ({ size, way }: ToldChange): string =>
    `Move ${what} ${size} ${way}`

/** A body moved as it is. */
export function bodyMoved(told: ToldChange): string {
  const body = bodyById(told.build, told.lever.body)
  return moved(body && body.kind !== 'powertrain' ? body.name : 'the powertrain')(told)
}

/** What the sprocket of a lever is called. */
export const sprocketOf = (build: Build, id: Id | undefined): string => {
  const found = sprocketsOf(build).find((one) => one.id === id)
  return found ? sprocketName(found) : 'sprocket'
}

/** What the mount of a lever is called. */
export const mountOf = ({ mounts = [] }: Build, id: Id | undefined): string =>
  mounts.find((one) => one.id === id)?.name ?? 'mount'

/** What the shift linkage of a lever is called. */
export const shiftOf = ({ shifts = [] }: Build, id: Id | undefined): string =>
  shifts.find((one) => one.id === id)?.name ?? 'the shift'

/** What the link of a lever is called. */
export const linkName = (build: Build, { body, name, holding }: Lever): string => {
  const motion = axleById(build, body)?.motion
  const link = motion?.kind === 'links' ? motion.holdings.find(({ id }) => id === holding) : undefined
  return name ?? link?.name ?? 'link'
}

/** The spacers of a stack behind its size: " (6 + 3)"; nothing where none are at hand. */
export function stackText(lever: Lever, change: number): string {
  const stack = lever.stock ? spacerStack(Math.abs(change), lever.stock) : null
  return stack ? ` (${stack.map((size) => fixed(size, Number.isInteger(size) ? 0 : 1)).join(' + ')})` : ''
}

import { CoreError } from '../base/errors'
import { known, unknown, type Known } from '../base/known'
import { centreFor, type ChainDrive } from './chainDrive'
import { linksToOrder } from './chainLoop'

/** A number of links that can be had, and the distance of the shafts at which a new chain of so many is taut, in mm. */
export interface LinkChoice {
  readonly links: number
  readonly centreMm: number
  /** Further apart than they stand now; below nought nearer. */
  readonly furtherMm: number
}

/** Choices either way of what the shafts need now. */
const EITHER_WAY = 2

/** The distance of two shafts at which a new chain is taut; unknown where so few links do not go round. */
export function tautCentre(drive: Omit<ChainDrive, 'centreMm'>, links: number): Known<number> {
  try {
    return known(centreFor(drive, { links }))
  } catch (error) {
    if (error instanceof CoreError) return unknown(error.message)
    throw error
  }
}

/**
 * Numbers of links about what two sprockets need where they stand, each with its exact centre: even ones, or any with a half link.
 *
 * @throws CoreError as `centreFor` does
 * @see docs/methods/chains.md
 */
export function linkChoices(
  { centreMm, ...drive }: ChainDrive,
  linksNeeded: number,
  hasHalfLink = false,
): LinkChoice[] {
  const step = hasHalfLink ? 1 : 2
  const next = linksToOrder(linksNeeded, hasHalfLink)
  return Array.from({ length: 2 * EITHER_WAY }, (_, i) => next + (i - EITHER_WAY) * step).flatMap((links) => {
    const centre = tautCentre(drive, links)
    return centre.known ? [{ links, centreMm: centre.value, furtherMm: centre.value - centreMm }] : []
  })
}

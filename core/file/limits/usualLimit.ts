import type { LimitProfile } from '../build/limit'
import type { LimitEntry, Quantity } from '../build/limit'
import { PROFILES } from './profiles'

const KEYS = ['failBelow', 'warnBelow', 'warnAbove', 'failAbove'] as const

/** The profile that a build's limits came from: by its name, which stays when figures are changed. */
export const originalProfile = ({ profile, name }: LimitProfile): LimitProfile =>
  profile === 'own'
    ? (Object.values(PROFILES).find((one) => one.name === name) ?? PROFILES.road)
    : PROFILES[profile]

/** The starting figure of a limit; null for one that no profile has. */
export const usualLimit = (limits: LimitProfile, { id }: Pick<LimitEntry, 'id'>): LimitEntry | null =>
  originalProfile(limits).entries.find((entry) => entry.id === id) ?? null

/** True for a limit whose figures or reason are the builder's own. */
export function isChangedLimit(limits: LimitProfile, entry: LimitEntry): boolean {
  const usual = usualLimit(limits, entry)
  return usual === null || !isSame(usual, entry)
}

const isSame = (one: LimitEntry, other: LimitEntry): boolean =>
  one.basis === other.basis && KEYS.every((key) => one[key] === other[key])

/** Starting figures for quantities that a build has no limit for yet, as a part that is put in needs them. */
export const missingLimits = (limits: LimitProfile, quantities: readonly Quantity[]): LimitEntry[] =>
  originalProfile(limits).entries.filter(
    ({ quantity, id }) =>
      quantities.includes(quantity) &&
      !limits.entries.some((entry) => entry.quantity === quantity || entry.id === id),
  )

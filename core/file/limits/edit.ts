import type { LimitEntry } from '../build/limit'

/**
 * Looks whether a limit's values rise from `failBelow` to `failAbove`, as its window needs.
 *
 * @returns null when they do, else what is wrong in a builder's words
 */
export function requireRising(
  limit: Pick<LimitEntry, 'failBelow' | 'warnBelow' | 'warnAbove' | 'failAbove'>,
): string | null {
  const ends = [limit.failBelow, limit.warnBelow, limit.warnAbove, limit.failAbove].filter(
    (end) => end !== undefined,
  )
  return ends.some((end, index) => index > 0 && end < (ends[index - 1] ?? end))
    ? 'tight must lie inside out: the figures have to rise from left to right'
    : null
}

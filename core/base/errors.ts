/** Codes of broken contracts; user texts are keyed by them. */
export type ErrorCode =
  'not-finite' | 'out-of-range' | 'wrong-length' | 'degenerate' | 'too-large' | 'unknown'

/** A caller broke the contract of a core function: wrong shape, not finite, out of range. */
export class CoreError extends Error {
  constructor(
    readonly code: ErrorCode,
    readonly subject: string,
    detail: string,
  ) {
    super(`${subject}: ${detail}`)
    this.name = 'CoreError'
  }
}

/**
 * Refuses NaN and infinities at the door of a public function.
 *
 * @throws CoreError `not-finite`
 */
export function requireFinite(value: number, subject: string): void {
  if (!Number.isFinite(value)) throw new CoreError('not-finite', subject, `expected a number, got ${value}`)
}

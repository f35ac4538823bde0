import type { Reading } from '../project/reading'

/** The word in which a reading says which way; empty when it says none. */
export function rawWay(reading: Reading): string {
  const { low, lean, side, way, stands } = reading as {
    low?: string
    lean?: string
    side?: string
    way?: string
    stands?: string
  }
  return low ?? lean ?? side ?? way ?? stands ?? ''
}

import type { Hump } from '../../file/kinds/humpKinds'
import type { GroundProfile } from './profile'

/** A step has to be a little long to be drawn by its points. */
const STEP_MM = 1

/** The ground of a hump, level before it. */
export function profileOf({ kind, lengthMm = NaN, heightMm = NaN, rampMm = NaN }: Hump): GroundProfile {
  switch (kind) {
    case 'round':
      return { kind: 'round', chordMm: lengthMm, heightMm }
    case 'table': {
      const half = lengthMm / 2
      return {
        kind: 'ramp',
        points: [
          [-half - rampMm, 0],
          [-half, heightMm],
          [half, heightMm],
          [half + rampMm, 0],
        ],
      }
    }
    case 'kerb':
    case 'ramp': {
      const long = kind === 'kerb' ? STEP_MM : rampMm
      return {
        kind: 'ramp',
        points: [
          [-long, 0],
          [0, heightMm],
        ],
      }
    }
  }
}

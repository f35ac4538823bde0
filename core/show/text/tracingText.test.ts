import { depthFault } from '../../measure/tracing/photoScale'
import { depthText } from './tracingText'

const UNITS = { length: 'mm', inchFraction: 16, angle: 'decimal' } as const
const CORNERS = [
  [0, 0],
  [600, 0],
  [600, 200],
] as const
const told = (
  cameraMm: number,
  nearerMm: number,
  corners: readonly (readonly [number, number])[] = CORNERS,
) => depthText(depthFault(corners, [0, 0], cameraMm, nearerMm), { cameraMm, nearerMm }, UNITS)

describe('depth in words', () => {
  it('tells how much larger it looks, how much too long it is and how far its corner is out of place', () => {
    expect(told(3000, 100)).toBe(
      'From 3000.0 mm, what is 100.0 mm nearer than A and B looks 3.4 % larger: this outline comes out 20.0 mm too long, and its farthest corner 21.1 mm out of place.',
    )
  })

  it('tells what is farther away as smaller, and nothing of an outline that is not there', () => {
    expect(told(3000, -100)).toContain(
      '100.0 mm farther than A and B looks 3.2 % smaller: this outline comes out 20.0 mm too short',
    )
    expect(told(3000, 100, [])).toBe(
      'From 3000.0 mm, what is 100.0 mm nearer than A and B looks 3.4 % larger.',
    )
    expect(told(3000, 0)).toBe(
      'What was traced lies as far from the lens as A and B: depth does nothing to it.',
    )
  })
})

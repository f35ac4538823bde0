import { CoreError } from '../../base/errors'

/** The ground that a vehicle rolls over: level before and after. */
export type GroundProfile =
  /** An arc of a circle over level ground, its chord's middle at x = 0. */
  | { readonly kind: 'round'; readonly chordMm: number; readonly heightMm: number }
  /** Straight lines between points: a kerb, a ramp, a hump with a flat top. */
  | { readonly kind: 'ramp'; readonly points: readonly (readonly [x: number, z: number])[] }

/** A profile to be asked for its height, and for that of the centre of a tyre that rests on it. */
export interface Ground {
  readonly heightAt: (x: number) => number
  readonly centreAt: (x: number, radius: number) => number
  readonly from: number
  readonly to: number
}

/** @throws CoreError `out-of-range` for a chord or height not above 0, or points that do not follow each other */
export function groundOf(profile: GroundProfile): Ground {
  return profile.kind === 'round' ? arc(profile.chordMm, profile.heightMm) : straights(profile.points)
}

function arc(chordMm: number, heightMm: number): Ground {
  if (!(chordMm > 0 && heightMm > 0))
    throw new CoreError('out-of-range', 'hump', 'chord and height are above 0')
  if (heightMm > chordMm / 2)
    throw new CoreError('out-of-range', 'hump', 'is higher than half its chord: no arc over level ground')
  const half = chordMm / 2
  const radius = (half * half + heightMm * heightMm) / (2 * heightMm)
  const middle = heightMm - radius
  return {
    from: -half,
    to: half,
    heightAt: (x) => (Math.abs(x) < half ? middle + Math.sqrt(radius * radius - x * x) : 0),
    centreAt: (x, tyre) => {
      const reach = radius + tyre
      const touches = Math.abs(x) < (half * reach) / radius
      return Math.max(tyre, touches ? middle + Math.sqrt(reach * reach - x * x) : tyre)
    },
  }
}

function straights(points: readonly (readonly [number, number])[]): Ground {
  if (points.length < 2) throw new CoreError('wrong-length', 'profile', 'has two points or more')
  for (let i = 1; i < points.length; i++)
    if (!((points[i] as Point)[0] > (points[i - 1] as Point)[0]))
      throw new CoreError(
        'out-of-range',
        `profile[${i}]`,
        'points follow each other in x; a kerb is 1 mm long',
      )
  const [first, last] = [points[0] as Point, points.at(-1) as Point]
  const sides = points.slice(1).map((to, i) => [points[i] as Point, to] as const)
  return {
    from: first[0],
    to: last[0],
    heightAt: (x) => {
      if (x <= first[0]) return first[1]
      if (x >= last[0]) return last[1]
      const [a, b] = sides.find(([, to]) => x <= to[0]) as (typeof sides)[number]
      return a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])
    },
    centreAt: (x, tyre) => {
      let highest = -Infinity
      const touched = (z: number) => (highest = Math.max(highest, z))
      if (x <= first[0]) touched(first[1] + tyre)
      if (x >= last[0]) touched(last[1] + tyre)
      for (const [px, pz] of points)
        if (Math.abs(x - px) <= tyre) touched(pz + Math.sqrt(tyre * tyre - (x - px) ** 2))
      for (const [[ax, az], [bx, bz]] of sides) {
        const [dx, dz] = [bx - ax, bz - az]
        const length = Math.hypot(dx, dz)
        // Square above the place where it touches.
        const touch = x + (tyre * dz) / length
        if (touch >= ax && touch <= bx) touched(az + ((touch - ax) * dz) / dx + (tyre * dx) / length)
      }
      return highest
    },
  }
}

type Point = readonly [x: number, z: number]

/** A stretch of a bar in which its section is one and its moment a straight line. */
export interface Stretch {
  readonly from: number
  readonly to: number
  readonly piece: number
  /** Elasticity by inertia, N·mm². */
  readonly stiffness: number
}

/** The bar as it sags: in each stretch a cubic, from its sag and slope where the one before ends. */
export function sagLine(
  stretches: readonly Stretch[],
  moment: (x: number) => number,
  { ends, spanMm }: { readonly ends: 'resting' | 'clamped'; readonly spanMm: number },
) {
  const walk = (slope: number) => {
    let [sag, tilt] = [0, slope]
    return stretches.map((stretch) => {
      const { from, to, stiffness } = stretch
      const start = moment(from)
      const growth = (moment(to) - start) / (to - from)
      const part = { from, to, sag, tilt, start: start / stiffness, growth: growth / stiffness }
      ;[sag, tilt] = [sagIn(part, to), tiltIn(part, to)]
      return part
    })
  }
  const endOf = (parts: ReturnType<typeof walk>) => {
    const last = parts.at(-1)
    return last ? sagIn(last, spanMm) : 0
  }
  // A resting bar starts at the tilt with which it ends on its other pad.
  const parts = walk(ends === 'clamped' ? 0 : -endOf(walk(0)) / spanMm)
  const at = (x: number): number => {
    const part = parts.find(({ to }) => x <= to) ?? parts.at(-1)
    return part ? sagIn(part, x) : 0
  }
  const level = parts.flatMap(levelPlaces)
  const worst = [...parts.map(({ to }) => to), ...level].reduce(
    (found, x) => (Math.abs(at(x)) > Math.abs(found.sagMm) ? { sagMm: at(x), atMm: x } : found),
    { sagMm: 0, atMm: 0 },
  )
  return { at, worst }
}

/** A stretch with its sag, tilt and curvature where it begins, and how the curvature grows. */
interface SagPart {
  readonly from: number
  readonly to: number
  readonly sag: number
  readonly tilt: number
  readonly start: number
  readonly growth: number
}

const sagIn = ({ from, sag, tilt, start, growth }: SagPart, x: number): number => {
  const run = x - from
  return sag + run * (tilt - run * (start / 2 + (growth * run) / 6))
}
const tiltIn = ({ from, tilt, start, growth }: SagPart, x: number): number =>
  tilt - (x - from) * (start + (growth * (x - from)) / 2)

/** Where a stretch runs level: its sag is greatest there. */
function levelPlaces(part: SagPart): number[] {
  const { from, to, tilt, start, growth } = part
  const root = Math.sqrt(start * start + 2 * growth * tilt)
  if (Number.isNaN(root)) return []
  // The form that loses nothing where the curvature hardly grows.
  const runs = [(2 * tilt) / (start + root), (2 * tilt) / (start - root)]
  return runs.map((run) => from + run).filter((x) => x > from && x < to)
}

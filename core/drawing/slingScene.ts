import { known } from '../base/known'
import { NO_MOVE } from '../base/linalg/mat3'
import type { Evaluation } from '../model/evaluateBuild'
import { powertrainOf } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import { radians } from '../base/units/angle'
import type { SidePlace } from '../vehicle/weight/sling'
import { bodyShapes } from './lineScene'
import type { Shape, ViewPoint } from './shape'

/** What a unit hangs from: the hook or ring, how far its tail then hangs down, and where legs are made fast. */
export interface Hanging {
  readonly from: SidePlace
  readonly centre: SidePlace
  readonly hangDeg: number
  readonly legs: readonly SidePlace[]
}

/** A unit on the hoist from the side, front to the left: in mm to the right of what it hangs from, and down. */
export interface SlingScene {
  readonly shapes: readonly Shape[]
  readonly centre: ViewPoint
  readonly legs: readonly ViewPoint[]
  /** The unit's own level line through its centre of gravity, ends as it hangs. */
  readonly level: readonly [ViewPoint, ViewPoint]
  /** Left, top, right and bottom of everything. */
  readonly box: readonly [number, number, number, number]
}

/** Half the length of the level line that is drawn, in mm. */
const HALF = 420

/** How a unit hangs: engine and gearbox as they are drawn elsewhere, turned until the centre of gravity is below the hook. */
export function slingScene(
  build: Build,
  now: Evaluation,
  { from, centre, hangDeg, legs }: Hanging,
): SlingScene {
  const unit = powertrainOf(build)?.id
  const bodies = bodyShapes(build, now, 'side', () => known(NO_MOVE), {
    hasItems: true,
    shows: (body) => body.id === unit || (unit !== undefined && body.standsOn === unit),
  })
  const turn = radians(hangDeg)
  const [sine, cosine] = [Math.sin(turn), Math.cos(turn)]
  // Tail down: what lies to the rear, on the right, goes down.
  const hung = ([station, height]: ViewPoint): ViewPoint => {
    const [along, up] = [station - from.station, height - from.height]
    return [along * cosine + up * sine, along * sine - up * cosine]
  }
  const at = ({ station, height }: SidePlace) => hung([station, height])
  const shapes = bodies.map((shape): Shape =>
    shape.form === 'circle'
      ? { ...shape, centre: hung(shape.centre) }
      : { ...shape, points: shape.points.map(hung) },
  )
  const level = [
    at({ ...centre, station: centre.station - HALF }),
    at({ ...centre, station: centre.station + HALF }),
  ] as const
  const all = [
    ...shapes.flatMap((shape) => (shape.form === 'circle' ? [shape.centre] : shape.points)),
    ...level,
    ...legs.map(at),
    [0, 0] as const,
  ]
  const [across, down] = [all.map(([x]) => x), all.map(([, y]) => y)]
  return {
    shapes,
    centre: at(centre),
    legs: legs.map(at),
    level,
    box: [Math.min(...across), Math.min(...down), Math.max(...across), Math.max(...down)],
  }
}

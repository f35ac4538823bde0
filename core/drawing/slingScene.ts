import type { HookSpot } from '../project/weightSheet'
import type { Hang } from '../weight/weightOf'
import { radians } from '../units/angle'

/** Hook and centre of gravity from the side, the unit hanging; in mm of the picture, to the right and down. */
export interface SlingScene {
  readonly width: number
  readonly height: number
  readonly hook: readonly [number, number]
  readonly centre: readonly [number, number]
  /** The unit's own level line through its centre of gravity, ends as it hangs. */
  readonly level: readonly [readonly [number, number], readonly [number, number]]
}

const WIDTH = 900
const ROOM = 60
/** Half the length of the level line that is drawn, in mm. */
const HALF = 380

/** How a unit hangs from its hook, front to the left; null while its tilt is not known. */
export function slingScene({ centre, hangDeg }: Hang, hook: HookSpot): SlingScene | null {
  const { stationMm, heightMm } = hook
  if (hangDeg === null || stationMm === undefined || heightMm === undefined) return null
  const below = Math.hypot(stationMm - centre.station, heightMm - centre.height)
  const middle: readonly [number, number] = [WIDTH / 2, ROOM + below]
  const turn = radians(hangDeg)
  // Tail down: what lies to the rear, on the right, goes down.
  const [across, down] = [HALF * Math.cos(turn), HALF * Math.sin(turn)]
  return {
    width: WIDTH,
    height: below + 2 * ROOM + Math.abs(down),
    hook: [WIDTH / 2, ROOM],
    centre: middle,
    level: [
      [middle[0] - across, middle[1] - down],
      [middle[0] + across, middle[1] + down],
    ],
  }
}

import { andThen, mapKnown, unknown, type Known } from '../../base/known'
import { dot } from '../../base/linalg/vec3'
import type { ItemBody } from '../../file/parts/body'
import { MAX_CORNERS, OUTLINE_VIEWS, type Outline } from '../../file/parts/outline'
import { placeOn, type PlateStand } from '../../making/plates/plateStand'
import { plateOutline } from '../../making/plates/plateOutline'
import type { PlateEvaluation } from '../../model/plateSubject'
import type { Polygon } from '../../base/outline/polygon'
import { madeBody } from './madeBody'
import { IN_VIEW, SIGHT, silhouettes } from './silhouettes'

/** Seen from nearer than this to its front or back, a plate shows its own outline: its edge is then hidden but for a sixth. */
const FULL_VIEW = Math.cos((10 * Math.PI) / 180)

/**
 * A plate as a body of the bay, where three of its holes stand at the present setting, its thickness toward whom one looks at its front.
 *
 * @returns unknown with what is missing for its holes or their points
 */
export const plateBody = ({ plate, answer, standing }: PlateEvaluation): Known<ItemBody> =>
  andThen(standing ?? unknown('three of its holes at points of the vehicle'), ({ stand }) =>
    mapKnown(answer.plate, (face) => {
      const outline = thinned(plateOutline(plate, face))
      return madeBody('plate', plate, outlinesOf(outline, stand, plate.thicknessMm))
    }),
  )

function outlinesOf(outline: Polygon, stand: PlateStand, thicknessMm: number): Outline[] {
  const at = (before: number) => outline.map((corner) => placeOn(stand, corner, before))
  const around = silhouettes([...at(0), ...at(thicknessMm)])
  const middle = at(thicknessMm / 2)
  return OUTLINE_VIEWS.map((view, k) =>
    Math.abs(dot(stand.front, SIGHT[view])) > FULL_VIEW
      ? { view, corners: middle.map(IN_VIEW[view]) }
      : (around[k] as Outline),
  )
}

/** As many corners as an outline may have: every second, third and so on of a finely rounded one. */
function thinned(outline: Polygon): Polygon {
  const every = Math.ceil(outline.length / (MAX_CORNERS / 2))
  return outline.filter((_, k) => k % every === 0)
}

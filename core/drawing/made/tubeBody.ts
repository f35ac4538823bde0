import { andThen, known, unknown, type Known } from '../../base/known'
import { add, anyPerpendicular, cross, norm, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import type { ItemBody } from '../../file/parts/body'
import type { CopedTubeEvaluation, TubeEndFound } from '../../model/copedTubeSubject'
import { madeBody } from './madeBody'
import { silhouettes } from './silhouettes'

/** So finely round that a chord leaves its arc by half a millimetre on a thick tube. */
const ROUND = 32

/**
 * A tube as a body of the bay, at the present setting, with the ears of its copes; what is still left on for the saw is not there.
 *
 * @returns unknown with what is missing for its ends
 */
export const tubeBody = ({ tube, found }: CopedTubeEvaluation): Known<ItemBody> =>
  andThen(found, ({ ends }) => {
    const [first, second] = ends as [TubeEndFound, TubeEndFound]
    const way = sub(second.at, first.at)
    if (norm(way) === 0) return unknown('two ends that are apart')
    const along = unit(way)
    const centres = [
      add(first.at, scale(along, inwardMm(first))),
      sub(second.at, scale(along, inwardMm(second))),
    ]
    const ring = ringAcross(along, tube.outerMm / 2)
    return known(
      madeBody('tube', tube, silhouettes(centres.flatMap((centre) => ring.map((one) => add(centre, one))))),
    )
  })

/** From the point at an end inward to where its metal begins: the ear of a cope reaches furthest. */
const inwardMm = ({ figures: { footMm = 0, tipMm = 0 } }: TubeEndFound): number => footMm + tipMm

/** From a centre to a circle square to a way. */
function ringAcross(along: Vec3, radius: number): Vec3[] {
  const aside = anyPerpendicular(along)
  const up = cross(along, aside)
  return Array.from({ length: ROUND }, (_, k) => {
    const turn = (2 * Math.PI * k) / ROUND
    return add(scale(aside, radius * Math.cos(turn)), scale(up, radius * Math.sin(turn)))
  })
}

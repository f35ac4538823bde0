import { JOINTS } from '../../file/parts/joints'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { LineEvaluation } from '../../model/lineEvaluation'
import type { Build } from '../../file/build/build'
import type { Tube } from '../../file/parts/lineSpec'
import { crossesOf, type CrossEntry } from '../../file/parts/stock'
import { crossLoad, type CrossLoad } from '../../vehicle/strength/crossSize'
import type { LineTorque } from '../../vehicle/strength/lineTorque'
import { metalOf } from '../../vehicle/strength/metal'
import { tubeFigures, type TubeDuty, type TubeFigures } from '../../vehicle/strength/tubeChoice'
import { dutyOf } from './tubesThatDo'

/** A shaft of a line and how its tube stands to what it has to bear. */
export interface ShaftStrength {
  readonly index: number
  readonly figures: Known<TubeFigures>
}

/** A joint of a line and how its cross stands, at its steepest. */
export interface CrossStrength {
  readonly index: number
  readonly angleDeg: number | null
  readonly size: CrossEntry | null
  readonly load: Known<CrossLoad & { readonly share: number }>
}

/** Tubes of a line at its most torque and highest speed. */
export function shaftStrengths(of: LineEvaluation): ShaftStrength[] {
  const { line } = of
  return line.shafts.map(({ tube }, index) => {
    const name = line.shafts.length > 1 ? `shaft ${index + 1}` : 'shaft'
    const told = tube ? known(tube) : unknown(`tube of the ${name}`)
    const all = allKnown<[NonNullable<typeof tube>, TubeDuty]>([told, dutyOf(of, index)])
    return { index, figures: mapKnown(all, ([own, duty]) => tubeFigures(ofTube(own), duty)) }
  })
}

const ofTube = (tube: Tube) => ({ outerMm: tube.outerMm, wallMm: tube.wallMm, metal: metalOf(tube) })

/** Crosses of a line at its most torque, at the steepest angle of any state it is judged in. */
export function crossStrengths(build: Build, { line, states, torque }: LineEvaluation): CrossStrength[] {
  return line.joints.flatMap(({ kind, cross }, index): CrossStrength[] => {
    if (!JOINTS[kind].hasCross) return []
    const angles = states.flatMap(({ figures }) =>
      figures.known ? [figures.value.anglesDeg[index] ?? 0] : [],
    )
    const angleDeg = angles.length > 0 ? Math.max(...angles) : null
    const size = crossesOf(build).find(({ id }) => id === cross) ?? null
    const all = allKnown<[LineTorque, number, CrossEntry]>([
      torque,
      angleDeg === null ? unknown(`angle of joint ${index + 1}`) : known(angleDeg),
      size ? known(size) : unknown(`size of the cross of joint ${index + 1}`),
    ])
    return [
      {
        index,
        angleDeg,
        size,
        load: mapKnown(all, ([{ designNm }, angle, entry]) => {
          const load = crossLoad(entry, designNm, angle)
          return { ...load, share: load.shearMPa / entry.allowMPa }
        }),
      },
    ]
  })
}

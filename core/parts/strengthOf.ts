import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { LineEvaluation } from '../model/evaluateBuild'
import type { Build } from '../project/build'
import { crossesOf, type CrossEntry } from '../project/stock'
import { crossLoad, type CrossLoad } from '../strength/crossSize'
import type { LineTorque } from '../strength/lineTorque'
import { metalOf } from '../strength/metal'
import { tubeFigures, type TubeFigures } from '../strength/tubeChoice'

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
export function shaftStrengths({ line, ride, speed, torque }: LineEvaluation): ShaftStrength[] {
  return line.shafts.map(({ tube }, index) => {
    const name = line.shafts.length > 1 ? `shaft ${index + 1}` : 'shaft'
    const length = ride.known
      ? known(ride.value.shafts[index]?.lengths.all[0]?.length ?? NaN)
      : unknown(`length of the ${name}`)
    const of = tube ? known(tube) : unknown(`tube of the ${name}`)
    const rpm = mapKnown(speed, ({ speedRpm }) => speedRpm)
    const nm = mapKnown(torque, ({ designNm }) => designNm)
    const all = allKnown<[number, NonNullable<typeof tube>, number, number]>([length, of, rpm, nm])
    return {
      index,
      figures: mapKnown(all, ([lengthMm, { outerMm, wallMm, ...rest }, speedRpm, torqueNm]) =>
        tubeFigures(
          { outerMm, wallMm, metal: metalOf({ outerMm, wallMm, ...rest }) },
          { lengthMm, torqueNm, speedRpm },
        ),
      ),
    }
  })
}

/** Crosses of a line at its most torque, at the steepest angle of any state it is judged in. */
export function crossStrengths(build: Build, { line, states, torque }: LineEvaluation): CrossStrength[] {
  return line.joints.flatMap(({ kind, cross }, index): CrossStrength[] => {
    if (kind !== 'cross') return []
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

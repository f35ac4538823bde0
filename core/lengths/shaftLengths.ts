import { hardwareLength, type LineGeometry } from '../line/lineGeometry'
import { add, norm, scale, sub, type Vec3 } from '../linalg/vec3'
import type { Line } from '../project/lineSpec'

/** Places on a shaft's end a tape can be held to. */
export type LengthMark = 'joint-centre' | 'flange-face' | 'shaft-end' | 'seal-face'

/** One way of asking for the same shaft, in mm, as the vehicle stands. */
export interface LengthFigure {
  readonly from: LengthMark
  readonly to: LengthMark
  readonly length: number
  /** The same with the shaft straightened out on the bench. */
  readonly onBench: number
}

/** A shaft's length in every convention its end hardware allows. */
export interface ShaftLengths {
  readonly all: readonly LengthFigure[]
  /** Gap between output shaft and bore bottom at this setting, in mm; null without a slip yoke. */
  readonly setIn: number | null
}

const FEATURES = ['flange-face', 'shaft-end', 'seal-face'] as const

/**
 * All lengths of one shaft.
 *
 * A flange face or shaft end lies on the mating axis beyond the joint centre, so a length on the vehicle is the straight
 * line between two such places; on the bench the hardware lengths simply add up.
 *
 * @param index - of the shaft; it runs from joint `index` to joint `index + 1`
 * @see docs/methods/lengths.md
 */
export function shaftLengths(line: Line, { centres, axes }: LineGeometry, index: number): ShaftLengths {
  const shaft = line.shafts[index]
  const front = centres[index] as Vec3
  const rear = centres[index + 1] as Vec3
  const fronts = marks(front, axes[index] as Vec3, -1, shaft?.drivingEnd)
  const rears = marks(rear, axes[index + 2] as Vec3, 1, shaft?.drivenEnd)
  const straight = norm(sub(rear, front))
  const ends = [shaft?.drivingEnd, shaft?.drivenEnd]
  const slip = ends.find((end) => end?.kind === 'slip-yoke')
  const all: LengthFigure[] = []
  for (const from of fronts) {
    for (const to of rears) {
      const length = norm(sub(to.place, from.place))
      all.push({ from: from.mark, to: to.mark, length, onBench: straight + from.beyond + to.beyond })
    }
  }
  return {
    all,
    setIn: slip?.kind === 'slip-yoke' ? slip.setInMm : null,
  }
}

interface Mark {
  readonly mark: LengthMark
  readonly place: Vec3
  readonly beyond: number
}

function marks(
  centre: Vec3,
  matingAxis: Vec3,
  sense: 1 | -1,
  end: Parameters<typeof hardwareLength>[0],
): Mark[] {
  const found: Mark[] = [{ mark: 'joint-centre', place: centre, beyond: 0 }]
  for (const feature of FEATURES) {
    const beyond = hardwareLength(end, feature)
    if (beyond !== null)
      found.push({ mark: feature, place: add(centre, scale(matingAxis, sense * beyond)), beyond })
  }
  return found
}

/** The length between two marks, in mm; null when the hardware does not have them. */
export const lengthBetween = (lengths: ShaftLengths, from: LengthMark, to: LengthMark): number | null =>
  lengths.all.find((one) => one.from === from && one.to === to)?.length ?? null

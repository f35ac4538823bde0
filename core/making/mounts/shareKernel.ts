import type { Cells, Kernel, Row } from '../../base/columns/kernel'
import type { CaseLoad } from './mountCases'
import { newSettler, type Settler } from './settler'
import type { SpringParts } from './spring'

/**
 * The part of a shaft's reaction that goes out through some of the mounts: the moment of what the torque alone changes at them, about a line along the vehicle through
 * the output.
 *
 * From the places of the mounts, then the output and the way in which its shafts point. No number where one of them presses one way only.
 */
export const shareKernel = (
  springs: readonly SpringParts[],
  isTail: readonly boolean[],
  { moment, alongNmm }: CaseLoad,
): Kernel => ({
  name: 'share of the reaction at the gearbox',
  page: 'mounts',
  outputs: 1,
  run: (count, from, [share]) => {
    const places = from as unknown as readonly Cells[]
    const settler = newSettler(springs)
    const hasContact = springs.some(({ contact }) => contact !== null)
    for (let i: Row = 0; i < count; i++) {
      for (let k = 0; k < settler.places.length; k++) settler.places[k] = (places[k] as Cells)[i]
      for (let way = 0; way < 3; way++)
        settler.load[3 + way] =
          (moment[way as 0] as number) + alongNmm * (places[settler.places.length + 3 + way] as Cells)[i]
      const y = (places[settler.places.length + 1] as Cells)[i]
      const z = (places[settler.places.length + 2] as Cells)[i]
      const isSettled = settler.settle() === null
      share[i] =
        hasContact || !isSettled ? NaN : aboutOutput(settler, isTail, y, z) / -(settler.load[3] as number)
    }
  },
})

/** Of the mounts that are meant, about a line along the vehicle. */
export function aboutOutput(
  { places, forces }: Settler,
  isTail: readonly boolean[],
  y: number,
  z: number,
): number {
  let about = 0
  for (let i = 0; i < isTail.length; i++) {
    if (!isTail[i]) continue
    const [up, aside] = [forces[3 * i + 2] as number, forces[3 * i + 1] as number]
    about += ((places[3 * i + 1] as number) - y) * up - ((places[3 * i + 2] as number) - z) * aside
  }
  return about
}

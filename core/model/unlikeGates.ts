import { CoreError } from '../base/errors'
import { gatesReached } from '../shift/rod/gates'
import { leverFor } from '../shift/rod/linkage'
import type { ShiftEvaluation } from './shiftFound'

/** A position that one end alone has. */
export interface UnlikeGate {
  readonly id: string
  readonly name: string
  readonly only: 'lever' | 'box'
  /** Where the lever has to stand for a detent that it has no mark for; null where that is not known, or where the rod does not reach. */
  readonly leverDeg: number | null
}

/** The positions that lever and gearbox do not share, in the order of the lever's way. */
export function unlikeGates({ shift, found }: ShiftEvaluation): UnlikeGate[] {
  return shift.gates.flatMap(({ id, name, only }) => {
    if (only === undefined) return []
    const alone = found.known ? found.value.alone.find((gate) => gate.id === id) : undefined
    return [{ id, name, only, leverDeg: alone ? leverAt({ shift, found }, alone.boxDeg) : null }]
  })
}

/** Where the lever stands when its rod has the gearbox in a detent. */
function leverAt({ found }: Pick<ShiftEvaluation, 'shift' | 'found'>, boxDeg: number): number | null {
  if (!found.known || found.value.rodMm === null) return null
  const { arms, gates, rodMm } = found.value
  const linkage = { ...arms, rodMm }
  const nearest = gates.reduce((best, gate) =>
    Math.abs(gate.boxDeg - boxDeg) < Math.abs(best.boxDeg - boxDeg) ? gate : best,
  )
  try {
    const { branch } = gatesReached(linkage, gates)
    return leverFor(linkage, boxDeg, nearest.leverDeg, branch)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}

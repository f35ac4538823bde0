import { leverFacts } from '../build/lever'
import type { Build } from '../build/build'

/** Every lever of a shift linkage that names none, or one that stands on another body. */
export function shiftReferences(build: Build, complain: (path: string, message: string) => void): void {
  build.levers.forEach(({ kind, shift: id, body }, i) => {
    if (leverFacts(kind).names !== 'shift') {
      if (id !== undefined) complain(`levers[${i}].shift`, 'belongs to a lever of a shift linkage')
      return
    }
    const shift = build.shifts?.find((one) => one.id === id)
    if (!shift) return complain(`levers[${i}].shift`, `there is no shift linkage "${id ?? ''}"`)
    const ends = [shift.lever.pivot, shift.box.pivot]
    if (!build.points.some((point) => ends.includes(point.id) && point.body === body))
      complain(`levers[${i}].body`, `is not a body that an arm of "${shift.id}" turns on`)
  })
}

import type { Build } from '../build/build'
import { sprocketsOf } from '../parts/chainLine'
import type { Id } from '../parts/id'

type Complain = (path: string, message: string) => void

/** True for a sprocket on a shaft that runs along the vehicle. */
function isLengthwise(build: Build, sprocket: Id): boolean {
  const axis = sprocketsOf(build).find(({ id }) => id === sprocket)?.axis
  const found = build.axes.find(({ id }) => id === axis)
  return found !== undefined && found.lies !== 'across'
}

/** Every name in readings of chains and in spacers that points at nothing, and every one that cannot be: a spacer lies behind a sprocket of its body. */
export function chainReferences(build: Build, complain: Complain): void {
  const bodyOf = (point: Id) => build.points.find(({ id }) => id === point)?.body
  const all = sprocketsOf(build)
  build.levers.forEach(({ kind, sprocket: id, body }, i) => {
    if (kind !== 'spacer') {
      if (id !== undefined)
        complain(`levers[${i}].sprocket`, 'belongs to a spacer, and this lever is another kind')
      return
    }
    const found = all.find((one) => one.id === id)
    if (!found) complain(`levers[${i}].sprocket`, `there is no sprocket "${id ?? ''}"`)
    else if (isLengthwise(build, found.id))
      complain(
        `levers[${i}].sprocket`,
        'turns on a shaft that runs along the vehicle: a spacer is told for one across it',
      )
    else if (bodyOf(found.point) !== body)
      complain(`levers[${i}].body`, `is not the body that sprocket "${found.id}" is on`)
  })
  build.readings.forEach((reading, i) => {
    if (reading.kind === 'sprocket-face' && isLengthwise(build, reading.sprocket))
      complain(
        `readings[${i}].sprocket`,
        'turns on a shaft that runs along the vehicle: its face is not read from a line along it',
      )
  })
}

import { leverFacts } from '../build/lever'
import type { Build } from '../build/build'
import { bodyById } from '../parts/bodies'

/** Every lever of a mount that names none, or one that holds another body. */
export function mountReferences(build: Build, complain: (path: string, message: string) => void): void {
  build.levers.forEach(({ kind, mount: id, body }, i) => {
    if (leverFacts(kind).names !== 'mount') {
      if (id !== undefined) complain(`levers[${i}].mount`, 'belongs to a lever that sets a mount elsewhere')
      return
    }
    const mount = build.mounts?.find((one) => one.id === id)
    if (!mount) return complain(`levers[${i}].mount`, `there is no mount "${id ?? ''}"`)
    const on = build.points.find((point) => point.id === mount.point)?.body
    if (on !== body && bodyById(build, body)?.kind !== 'powertrain')
      complain(`levers[${i}].body`, `is not the body that mount "${mount.id}" holds`)
  })
}

import type { Patch } from 'immer'
import { axleBody, each, FIRST_AXLE, leverOn, powertrainBody } from '~~/core/file/open/version1'

/** A step of undo of a build of version 1 as one of version 2. */
export function patchFromVersion1(patch: Patch): Patch {
  const [part, index, key, ...rest] = patch.path
  const at = (path: Patch['path'], value: unknown = patch.value): Patch =>
    'value' in patch ? { ...patch, path, value } : { ...patch, path }
  if (part === 'chassis') return at(['bodies', 0, 'sizes', ...patch.path.slice(1)])
  if (part === 'powertrain')
    return patch.path.length === 1
      ? at(['bodies', 1], powertrainBody(patch.value))
      : at(['bodies', 1, ...patch.path.slice(1)])
  if (part === 'axles' && typeof index === 'number')
    return key === undefined
      ? at(['bodies', index + FIRST_AXLE], axleBody(patch.value))
      : at(['bodies', index + FIRST_AXLE, key, ...rest])
  if (part === 'levers' && index === undefined) return at(patch.path, each(patch.value, leverOn))
  if (part === 'levers' && key === undefined && typeof index === 'number')
    return at(patch.path, leverOn(patch.value))
  return part === 'levers' && key === 'axle' ? at([part, index as number, 'body']) : patch
}

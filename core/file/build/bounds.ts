import { CoreError } from '../../base/errors'
import { buildSchema } from './build'
import { variantsOf } from '../parts/byWord'

/** From where to where the file lets a figure be, in the file's unit. */
export interface Bounds {
  readonly least: number
  readonly most: number
}

/** As much of a Yup schema as the way to a figure takes. */
interface Step {
  readonly type?: string
  readonly fields?: Readonly<Record<string, Step>>
  readonly innerType?: Step
  describe(): { readonly tests: readonly { readonly name?: string; readonly params?: object }[] }
}

const known = new Map<string, Bounds>()

/**
 * The bounds of a figure by its place in the file: the names of the fields that lead to it, lists passed through, and of things of
 * several kinds the kind, such as `gaps.warnBelow` or `bodies.powertrain.rockDeg`.
 *
 * @throws CoreError `unknown` when the file has no figure there
 */
export function boundsAt(place: string): Bounds {
  const there = known.get(place)
  if (there) return there
  const found = place.split('.').reduce((at, name) => within(at, name, place), buildSchema as unknown as Step)
  const made = boundsOf(found, place)
  known.set(place, made)
  return made
}

/** What a list holds, and lists in it; all else is its own. */
const itemOf = (at: Step): Step => (at.innerType ? itemOf(at.innerType) : at)

/** What stands under a name. */
function within(at: Step, name: string, place: string): Step {
  const item = itemOf(at)
  const next = variantsOf(item)?.shapes[name] ?? item.fields?.[name]
  if (!next) throw new CoreError('unknown', place, `the file has no "${name}" there`)
  return next as Step
}

function boundsOf(schema: Step, place: string): Bounds {
  const step = itemOf(schema)
  if (step.type !== 'number') throw new CoreError('unknown', place, 'what stands there is no figure')
  const { tests } = step.describe()
  const bound = (name: string) =>
    Object.values(tests.find((test) => test.name === name)?.params ?? {}).find(Number.isFinite) as
      number | undefined
  return { least: bound('min') ?? -Infinity, most: bound('max') ?? Infinity }
}

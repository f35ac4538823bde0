import cart from '../../demo/burdock-cart.lurvan.json'
import buggy from '../../demo/comfrey-buggy.lurvan.json'
import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'

/** Demos with chains, as they are shipped. */
const DEMOS = { 'burdock-cart': cart, 'comfrey-buggy': buggy }

/** A demo by its id, spoilt by the test where it wants to. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export function demoFile(id: keyof typeof DEMOS, change: (raw: any) => void = () => undefined): Build {
  const raw: unknown = structuredClone(DEMOS[id])
  change(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

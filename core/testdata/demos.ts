import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import cart from '../../demo/burdock-cart.lurvan.json'
import buggy from '../../demo/comfrey-buggy.lurvan.json'
import tender from '../../demo/fen-tender.lurvan.json'
import hatch from '../../demo/medlar-hatch.lurvan.json'
import van from '../../demo/osier-van.lurvan.json'
import bay from '../../demo/sedge-wagon.lurvan.json'
import hauler from '../../demo/sorrel-hauler.lurvan.json'
import links from '../../demo/tansy-wagon.lurvan.json'
import runabout from '../../demo/teasel-runabout.lurvan.json'

const DEMOS = { 'burdock-cart': cart, 'comfrey-buggy': buggy, 'fen-tender': tender, 'medlar-hatch': hatch, 'osier-van': van, 'sedge-wagon': bay, 'sorrel-hauler': hauler, 'tansy-wagon': links, 'teasel-runabout': runabout }

/** Every demo as it is shipped, as raw data fresh for each caller, by its id. */
export const rawDemos = (): { readonly id: string; readonly raw: any }[] => // eslint-disable-line @typescript-eslint/no-explicit-any
  Object.entries(DEMOS).map(([id, raw]) => ({ id, raw: structuredClone(raw) }))

/** A demo as a build. */
export function demoBuild(id: keyof typeof DEMOS): Build {
  const result = parseBuild(structuredClone(DEMOS[id]))
  if (!result.ok) throw new Error(JSON.stringify(result.problems))
  return result.value
}

import bay from '../../demo/sedge-wagon.lurvan.json'
import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import type { RawBuild } from './builds'

/** The tight bay with something changed, proved sound again. */
export function changedBay(edit: (raw: RawBuild) => void = () => undefined): Build {
  const raw: RawBuild = structuredClone(bay)
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

/** The tight bay with nothing but what is made, some of its points read by tape instead of given. */
export const tapedBay = (points: readonly string[], hasLines = false): Build =>
  changedMakingBay((raw) => {
    raw.readings = raw.readings.flatMap((one: RawBuild) =>
      one.kind === 'given-point' && points.includes(one.point) ? taped(one) : [one],
    )
  }, hasLines)

/** The tight bay with nothing but what is made, and something changed. */
export const changedMakingBay = (change: (raw: RawBuild) => void, hasLines = false): Build =>
  changedBay((raw) => {
    if (!hasLines) raw.lines = []
    raw.gaps = []
    raw.trials = []
    raw.readings = raw.readings.filter(({ kind }: RawBuild) => kind !== 'gap')
    change(raw)
  })

/** A place as a tape reads it, three figures. */
function taped({ point, station, offset, side, height, heightWay }: RawBuild['readings'][number]) {
  const base = { setup: 'setup-1', point, tool: 'tape', unit: 'mm' }
  return [
    { ...base, id: `${point}-s`, kind: 'point-station', values: [station], way: 'rearward' },
    { ...base, id: `${point}-o`, kind: 'point-offset', values: [offset], side },
    { ...base, id: `${point}-h`, kind: 'point-height', values: [height], way: heightWay },
  ]
}

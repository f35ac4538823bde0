import type { Column } from '../../base/columns/graph'
import { slipYokeOf } from '../../file/parts/lineSpec'
import type { CompiledBuild } from '../../model/compile'
import type { Evaluation } from '../../model/evaluateBuild'
import { givenFigures } from '../../model/screen'
import { newTruths } from './truths'

/** How likely a shaft that is ordered to its length of today does not fit what is there, over the whole travel. */
export interface LengthRisk {
  /** It bottoms. */
  readonly bottoms: number
  /** Nothing of its spline is engaged any more; null where it is not told how much is engaged. */
  readonly pullsOut: number | null
}

const SAMPLES = 4000
const SEED = 4620

/** A figure of the file, or one that is worked out. */
type Left = { readonly mm: number } | { readonly column: Column }
const worked = (column: Column): Left => ({ column })

/** What a shaft has left in every state, and whether it is ordered to its length: then a vehicle that is shorter takes from it. */
interface Slips {
  readonly left: readonly Left[]
  readonly engaged: readonly Left[]
  readonly span: Column
  readonly isToLength: boolean
}

/**
 * How likely a shaft does not fit that is ordered to the length that its readings give now, each reading drawn by its tool and its scatter.
 *
 * @param shaft - its number in the line
 * @returns null for one without anything that slips, or while its length or what it has left is not known
 * @see docs/methods/orders.md (JCGM 101:2008, propagation of distributions)
 */
export function lengthRisk(
  compiled: CompiledBuild,
  { settings, set }: Pick<Evaluation, 'settings' | 'set'>,
  lineId: string,
  shaft: number,
): LengthRisk | null {
  const slips = slipsOf(compiled, lineId, shaft)
  if (!slips) return null
  const wanted = [
    slips.span,
    ...[...slips.left, ...slips.engaged].flatMap((one) => ('column' in one ? [one.column] : [])),
  ]
  const { run, given, setMeans, blocks } = newTruths(
    compiled,
    { samples: SAMPLES, seed: SEED },
    false,
    wanted,
  )
  for (const [column, figure] of givenFigures(compiled, settings, set)) run.set(column, figure)
  setMeans()
  run.bring(wanted, 1, given)
  const lengthMm = run.figure(slips.span)
  if (Number.isNaN(lengthMm)) return null
  let [bottoms, pulls, done] = [0, 0, 0]
  for (const { rows } of blocks()) {
    run.bring(wanted, rows, given)
    for (let row = 0; row < rows; row++) {
      const longer = slips.isToLength ? (run.cells(slips.span)[row] ?? NaN) - lengthMm : 0
      const at = (one: Left): number => ('column' in one ? (run.cells(one.column)[row] ?? NaN) : one.mm)
      if (slips.left.some((one) => at(one) + longer < 0)) bottoms++
      if (slips.engaged.some((one) => at(one) - longer < 0)) pulls++
    }
    done += rows
  }
  const share = (hits: number) => (done === 0 ? 0 : hits / done)
  return { bottoms: share(bottoms), pullsOut: slips.engaged.length > 0 ? share(pulls) : null }
}

function slipsOf({ lines }: CompiledBuild, lineId: string, shaft: number): Slips | null {
  const compiled = lines.find(({ line }) => line.id === lineId)
  const ride = compiled?.states[0]?.columns
  if (!compiled || !ride?.known) return null
  const states = compiled.states.flatMap(({ columns }) => (columns.known ? [columns.value] : []))
  const own = states.flatMap(({ shafts }) => shafts[shaft] ?? [])
  const span = ride.value.spans[shaft]
  if (span === undefined) return null
  const { setInMm, engagedMm: atRest } = slipYokeOf(compiled.line.shafts[shaft]) ?? {}
  if (setInMm !== undefined) {
    const followed = own.flatMap(({ slip }) => slip ?? [])
    return {
      span,
      isToLength: true,
      left: [{ mm: setInMm }, ...followed.map(({ leftMm }) => worked(leftMm))],
      engaged: [
        ...(atRest === undefined ? [] : [{ mm: atRest }]),
        ...followed.flatMap(({ engagedMm }) => (engagedMm === null ? [] : worked(engagedMm))),
      ],
    }
  }
  const left = own.flatMap(({ slip, plungeLeftMm }) => {
    const column = slip?.leftMm ?? plungeLeftMm
    return column === null ? [] : worked(column)
  })
  if (left.length === 0) return null
  return {
    span,
    isToLength: false,
    left,
    engaged: own.flatMap(({ slip }) => (slip?.engagedMm == null ? [] : worked(slip.engagedMm))),
  }
}

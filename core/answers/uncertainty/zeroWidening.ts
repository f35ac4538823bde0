import type { Column } from '../../base/columns/graph'
import type { Cells, Row } from '../../base/columns/kernel'
import { sourcesOf, type Run } from '../../base/columns/run'
import { givenFigures } from '../../model/screen'
import { oneByOne, varianceOf } from '../../measure/figures/oneByOne'
import { sideGroups, sidesVariance } from '../../measure/figures/zeroSides'
import type { SampleModel } from './sampleModel'

/** How much wider a quantity is than its draws: its figure at the means, and the factor its distances from that take. */
export interface Widening {
  readonly nominal: number
  readonly factor: number
}

/**
 * How much wider quantities must be than readings drawn one by one make them, where a level's one zero error may count both
 * ways in several of them: √(1 + e²/σ²), e² as `sidesVariance` has it, σ² by first-order propagation.
 *
 * A figure that is the length of a vector is at least as wide as the parts of the vector.
 *
 * @returns quantities that are no wider are left out
 * @see docs/methods/uncertainty.md
 */
export function zeroWidening({
  compiled,
  settings,
  set,
  figures,
}: SampleModel): ReadonlyMap<Column, Widening> {
  const { graph, measured } = compiled
  const { inputs, columns } = measured.list
  const groups = sideGroups(inputs).map((group) => group.map((input) => columns[input] as Column))
  if (groups.length === 0) return new Map()
  const restsOnSeveral = (column: Column) => {
    const sources = sourcesOf(graph, [column])
    return groups.some((group) => group.filter((input) => sources.has(input)).length > 1)
  }
  const doubtful = figures
    .map(({ column, vector }) => ({ column, parts: vector?.columns ?? [] }))
    .filter(({ column }) => restsOnSeveral(column))
  const wanted = [...new Set(doubtful.flatMap(({ column, parts }) => [column, ...parts]))]
  if (wanted.length === 0) return new Map()
  const moved = oneByOne({ graph, list: measured.list }, wanted, givenFigures(compiled, settings, set))
  const factorOf = (column: Column) => {
    const changeOf = (input: number) => moved.change(column, input)
    const variance = varianceOf(moved.inputs, changeOf)
    const more = sidesVariance(moved.inputs, sideGroups(moved.inputs), changeOf)
    const factor = Math.sqrt(variance / (variance - more))
    return Number.isFinite(factor) ? factor : 1
  }
  const factors = new Map(wanted.map((column) => [column, factorOf(column)] as const))
  for (const { column, parts } of doubtful)
    factors.set(column, Math.max(...[column, ...parts].map((one) => factors.get(one) ?? 1)))
  return new Map(
    [...factors]
      .filter(([, factor]) => factor > 1)
      .map(([column, factor]) => [column, { nominal: moved.figure(column), factor }] as const),
  )
}

/** The cells of a run's quantities, those that are wider drawn away from their figure at the means. */
export function widened(run: Run, widenings: ReadonlyMap<Column, Widening>) {
  const made = new Map<Column, Float64Array>()
  return (column: Column): Float64Array => {
    const drawn = run.cells(column)
    const widening = widenings.get(column)
    if (!widening) return drawn
    const wider = made.get(column) ?? new Float64Array(drawn.length)
    made.set(column, wider)
    stretch(drawn as unknown as Cells, wider as unknown as Cells, drawn.length, widening)
    return wider
  }
}

function stretch(drawn: Cells, wider: Cells, rows: number, { nominal, factor }: Widening): void {
  for (let row: Row = 0; row < rows; row++) wider[row] = nominal + (drawn[row] - nominal) * factor
}

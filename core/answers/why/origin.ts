import type { Column, Step } from '../../base/columns/graph'
import type { CompiledBuild } from '../../model/compile'
import type { BodyMove } from '../../vehicle/moves/bodyMove'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Id } from '../../file/parts/id'
import type { Input } from '../../measure/figures/inputs'
import { oneByOne, varianceOf } from '../../measure/figures/oneByOne'

/** What a figure comes from: a step on the way with its own parts, or a source. */
export type Origin =
  | {
      readonly kind: 'step'
      /** In a builder's words: "rear: angle of joint 1". */
      readonly name: string
      /** What is worked out in it and by which method page, nearest first. */
      readonly formulas: readonly { readonly name: string; readonly page: string }[]
      readonly parts: readonly Origin[]
      /** The same as stands above, where its parts are told. */
      readonly isRepeated: boolean
    }
  | {
      readonly kind: 'input'
      readonly input: Input
      /** Share of the figure's variance that it brings; null where nothing varies. */
      readonly share: number | null
    }
  | { readonly kind: 'lever'; readonly leverId: Id; readonly amount: number }
  | {
      readonly kind: 'given'
      readonly name: string
      readonly figure: number
      /** Null for one that is no figure by itself. */
      readonly unit: 'mm' | 'deg' | null
    }

/** Where a figure of a compiled build comes from, at one setting of its levers. */
export interface FigureOrigin {
  readonly figure: number
  /** Two standard deviations, by first-order propagation. */
  readonly plusMinus: number
  readonly parts: readonly Origin[]
}

/**
 * Where a figure comes from, told by the steps that work it out.
 *
 * Steps that nobody named are passed over; bodies that stand as measured leave out what they would turn about.
 *
 * @param column - of the figure
 * @param settings - lever amounts by id, mm or degrees
 */
export function originOf(compiled: CompiledBuild, column: Column, settings: LeverSettings): FigureOrigin {
  const { figure, total, variances } = firstOrder(compiled, column, settings)
  // Shares of what the inputs bring one by one; a zero whose sign is not known may bring more than that.
  const apart = [...variances.values()].reduce((sum, one) => sum + one, 0)
  const told = new Set<string>()
  const walk = newWalk(compiled, settings, (input, at) => {
    const variance = variances.get(at) ?? 0
    return { kind: 'input', input, share: apart > 0 ? variance / apart : null }
  })
  return { figure, plusMinus: 2 * Math.sqrt(total), parts: walk.partsOf([column], told).parts }
}

/** Parts without those told again right beside where they are told. */
function withoutEchoes(parts: readonly Origin[]): Origin[] {
  const names = new Set(parts.flatMap(toldIn))
  return parts.filter((part) => part.kind !== 'step' || !part.isRepeated || !names.has(part.name))
}

const toldIn = (part: Origin): string[] =>
  part.kind === 'step' && !part.isRepeated ? [part.name, ...part.parts.flatMap(toldIn)] : []

/** The figure, its variance, and the part of it that each input's own deviation makes, moved one at a time. */
function firstOrder({ graph, measured, levers }: CompiledBuild, column: Column, settings: LeverSettings) {
  const given = new Map([...levers].map(([id, lever]) => [lever, settings[id] ?? 0] as const))
  const moved = oneByOne({ graph, list: measured.list }, [column], given)
  const changeOf = (input: number) => moved.change(column, input)
  return {
    figure: moved.figure(column),
    total: varianceOf(moved.inputs, changeOf),
    variances: new Map(moved.columns.map((at, input) => [at, changeOf(input) ** 2] as const)),
  }
}

type Leaf = (input: Input, at: Column) => Origin

function newWalk(compiled: CompiledBuild, settings: LeverSettings, leafOf: Leaf) {
  const { graph, measured, levers } = compiled
  const inputs = new Map(measured.list.columns.map((at, index) => [at, measured.list.inputs[index]] as const))
  const leverIds = new Map([...levers].map(([id, at]) => [at, id] as const))
  const states = compiled.lines.flatMap((line) => line.states.map(({ placed }) => placed))
  const unmoved = new Map([compiled.ride, ...states].flatMap((placed) => [...placed.unmoved]))
  const isIdle = ({ amounts }: BodyMove) =>
    amounts.every((amount) => (settings[leverIds.get(amount) ?? ''] ?? graph.at(amount)) === 0)

  function sourceOrigin(column: Column): Origin[] {
    const input = inputs.get(column)
    if (input) return [leafOf(input, column)]
    const leverId = leverIds.get(column)
    if (leverId !== undefined) {
      const amount = settings[leverId] ?? 0
      return amount === 0 ? [] : [{ kind: 'lever', leverId, amount }]
    }
    const name = graph.nameOf(column)
    return name === null
      ? []
      : [{ kind: 'given', name, figure: graph.at(column), unit: graph.unitOf(column) }]
  }

  /** What columns come from, each thing once, and the formulas on the way to it. */
  function partsOf(columns: readonly Column[], told: Set<string>) {
    const parts: Origin[] = []
    const formulas: Step['kernel'][] = []
    const seen = new Set<unknown>()
    const visit = (column: Column, isRoot: boolean): void => {
      if (seen.has(column)) return
      seen.add(column)
      const group = graph.named(graph.nameOf(column) ?? '')
      const maker = graph.maker(column)
      const before = unmoved.get(column)
      if (!isRoot && (maker ? group.length > 0 : group.length > 1)) {
        const name = graph.nameOf(column) ?? ''
        if (seen.has(name)) return
        seen.add(name)
        parts.push(stepOrigin(name, group, told))
      } else if (before && isIdle(before.move)) {
        visit(before.from, false)
      } else if (!maker) {
        parts.push(...sourceOrigin(column))
      } else {
        if (!maker.kernel.isPlain && !formulas.includes(maker.kernel)) formulas.push(maker.kernel)
        maker.from.forEach((from) => visit(from, false))
      }
    }
    columns.forEach((column) => visit(column, true))
    return { parts: withoutEchoes(parts), formulas: formulas.map(({ name, page }) => ({ name, page })) }
  }

  function stepOrigin(name: string, columns: readonly Column[], told: Set<string>): Origin {
    if (told.has(name)) return { kind: 'step', name, formulas: [], parts: [], isRepeated: true }
    told.add(name)
    return { kind: 'step', name, ...partsOf(columns, told), isRepeated: false }
  }

  return { partsOf }
}

import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { LAYOUTS, type LayoutKey } from '~~/core/layouts/layouts'
import {
  withInsertion,
  withJointKind,
  withoutLine,
  withoutPart,
  withPartMoved,
  type Insertion,
  type PartPlace,
} from '~~/core/layouts/partEdits'
import { withLayout } from '~~/core/layouts/withLayout'
import { missingLimits } from '~~/core/limits/usualLimit'
import type { Build } from '~~/core/project/build'
import type { LimitEntry, Quantity } from '~~/core/project/limit'
import type { FigurePath } from '~~/core/parts/dimensions'
import type { Joint, JointKind, Line, Shaft } from '~~/core/project/lineSpec'
import type { Id } from '~~/core/project/id'
import { assign } from './assign'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

/** What may be said of a shaft or a joint here; undefined takes it out. */
type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** What a part that is put in is judged by. */
const LIMITS: Readonly<Record<Insertion, readonly Quantity[]>> = {
  bearing: [],
  slip: ['slip-left', 'spline-engaged'],
  plunge: ['plunge-left'],
}

function withLimits(build: Build, quantities: readonly Quantity[]): Build {
  const added = missingLimits(build.limits, quantities)
  return added.length === 0
    ? build
    : { ...build, limits: { ...build.limits, entries: [...build.limits.entries, ...added] } }
}

/** The parts of the lines of the open build: put in, taken out, moved, changed, each as one step of undo. */
export const useParts = defineStore('parts', () => {
  const workbench = useWorkbench()

  const insert = (line: Id, shaft: number, what: Insertion): boolean =>
    takeOn(workbench, 'Put a part into the line', (build) =>
      withLimits(withInsertion(build, line, shaft, what), LIMITS[what]),
    )
  const remove = (line: Id, place: PartPlace): boolean =>
    takeOn(workbench, 'Take a part out of the line', (build) => withoutPart(build, line, place))
  const move = (line: Id, place: PartPlace, by: 1 | -1): boolean =>
    takeOn(workbench, 'Move a part along the line', (build) => withPartMoved(build, line, place, by))
  const setKind = (line: Id, joint: number, kind: JointKind): boolean =>
    takeOn(workbench, 'Change the kind of a joint', (build) => withJointKind(build, line, joint, kind))
  const removeLine = (line: Id): boolean =>
    takeOn(workbench, 'Delete a line', (build) => withoutLine(build, line))

  /** @returns the id of the first line that was added; null where there is no such layout */
  function addLayout(key: LayoutKey): Id | null {
    const layout = LAYOUTS.find((one) => one.key === key)
    const there = workbench.build?.lines.length ?? 0
    if (!layout) return null
    takeOn(workbench, 'Add a line', (build) => withLayout(build, layout))
    return workbench.build?.lines[there]?.id ?? null
  }

  /** @param judgedBy - quantities that what is changed is judged by: a build without such a limit gets the usual one */
  function change(
    label: string,
    id: Id,
    recipe: (line: Draft<Line>) => void,
    judgedBy: readonly Quantity[] = [],
  ): void {
    const { build } = workbench
    const added = build ? missingLimits(build.limits, judgedBy) : []
    workbench.change(label, (draft) => {
      const line = draft.lines.find((one) => one.id === id)
      if (line) recipe(line)
      for (const limit of added) draft.limits.entries.push(structuredClone(limit) as Draft<LimitEntry>)
    })
  }
  const changeLine = (id: Id, changed: Changed<Line>): void =>
    change('Change a line', id, (line) => assign(line, structuredClone(changed)))
  const changeJoint = (id: Id, joint: number, changed: Changed<Joint>): void =>
    change(
      'Change a joint',
      id,
      (line) => assign(line.joints[joint], structuredClone(changed)),
      changed.cross === undefined ? [] : ['cross-shear'],
    )
  const changeShaft = (id: Id, shaft: number, changed: Changed<Shaft>): void =>
    change(
      'Change a shaft',
      id,
      (line) => assign(line.shafts[shaft], structuredClone(changed)),
      changed.tube === undefined ? [] : ['tube-shear'],
    )

  const setPhases = (id: Id, phasesDeg: readonly number[]): void =>
    change('Clock the splines', id, (line) =>
      line.shafts.forEach((shaft, i) => {
        shaft.phaseDeg = phasesDeg[i] ?? 0
      }),
    )

  /** Sets a figure where it is kept in its line; undefined takes it out. */
  function setFigure(id: Id, path: FigurePath, mm: number | undefined): void {
    change('Set a size', id, (line) => {
      const key = path.at(-1)
      const holder = path
        .slice(0, -1)
        .reduce<unknown>((at, step) => (at as Record<string | number, unknown> | undefined)?.[step], line)
      if (key !== undefined && typeof holder === 'object' && holder !== null) assign(holder, { [key]: mm })
    })
  }

  return {
    insert,
    remove,
    move,
    setKind,
    removeLine,
    addLayout,
    changeLine,
    changeJoint,
    changeShaft,
    setPhases,
    setFigure,
  }
})

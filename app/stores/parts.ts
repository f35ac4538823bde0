import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { LAYOUTS, type LayoutKey } from '~~/core/file/edits/layouts'
import {
  withInsertion,
  withJointKind,
  withoutLine,
  withoutPart,
  withPartMoved,
  type Insertion,
  type PartOfLine,
} from '~~/core/file/edits/partEdits'
import { withoutSeatAxis, withSeatAxis } from '~~/core/file/edits/seatAxis'
import { SLIP_LIMITS, withLines } from '~~/core/file/edits/beginBuild'
import { withMissingLimits } from '~~/core/file/edits/withMissingLimits'
import { missingLimits } from '~~/core/file/limits/usualLimit'
import type { LimitEntry, Quantity } from '~~/core/file/build/limit'
import type { FigurePath } from '~~/core/show/parts/dimensions'
import type { Joint, JointKind, Line, Shaft, Tube } from '~~/core/file/parts/lineSpec'
import type { Id } from '~~/core/file/parts/id'
import { assign } from './assign'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

/** What may be said of a shaft or a joint here; undefined takes it out. */
type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** What a part that is put in is judged by. */
const LIMITS: Readonly<Record<Insertion, readonly Quantity[]>> = { bearing: [], ...SLIP_LIMITS }

/** The parts of the lines of the open build: put in, taken out, moved, changed, each as one step of undo. */
export const useParts = defineStore('parts', () => {
  const workbench = useWorkbench()

  const insert = (line: Id, shaft: number, what: Insertion): boolean =>
    takeOn(workbench, 'Put a part into the line', (build) =>
      withMissingLimits(withInsertion(build, line, shaft, what), LIMITS[what]),
    )
  const remove = (line: Id, place: PartOfLine): boolean =>
    takeOn(workbench, 'Take a part out of the line', (build) => withoutPart(build, line, place))
  const move = (line: Id, place: PartOfLine, by: 1 | -1): boolean =>
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
    takeOn(workbench, 'Add a line', (build) => withLines(build, layout))
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

  /** Makes every shaft of every line of one tube, as one step of undo. */
  const setAllTubes = (tube: Tube): void => {
    workbench.change('One tube for all shafts', (draft) =>
      draft.lines.forEach(({ shafts }) => shafts.forEach((shaft) => assign(shaft, { tube: { ...tube } }))),
    )
  }
  /** Gives a centre bearing an axis of its own to be read, or takes it away: it then looks straight along the vehicle. */
  const measureSeat = (id: Id, shaft: number, isMeasured: boolean): boolean =>
    takeOn(workbench, 'Axis of a bearing’s seat', (build) =>
      isMeasured ? withSeatAxis(build, id, shaft) : withoutSeatAxis(build, id, shaft),
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
    setAllTubes,
    measureSeat,
    setFigure,
  }
})

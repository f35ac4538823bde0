import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { BarEntry, CutPieceEntry, SectionKind } from '~~/core/file/kinds/barKinds'
import type { Cutting } from '~~/core/file/parts/cutting'
import { cutPieces } from '~~/core/jobs/cuts/cutPieces'
import { cutPlan } from '~~/core/jobs/cuts/cutPlan'
import type { Section } from '~~/core/jobs/cuts/section'
import { taskName } from '~~/core/jobs/tasks/taskName'
import { newId } from '../storage/newId'
import { cuts as words } from '../texts/cuts'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { useTasks } from './tasks'
import { useWorkbench } from './workbench'

type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** What is cut from which bar. */
export const useCuts = defineStore('cuts', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const tasks = useTasks()
  const pieces = computed(() =>
    workbench.build && evaluation.current ? cutPieces(workbench.build, evaluation.current) : [],
  )
  const bars = computed<readonly BarEntry[]>(() => workbench.build?.bars ?? [])
  const own = computed<readonly CutPieceEntry[]>(() => workbench.build?.cutPieces ?? [])
  const cutting = computed(() => workbench.build?.cutting)
  /** What open work uses up. */
  const uses = computed(() =>
    tasks.open.flatMap((task) => (task.entry?.uses ? [{ task: taskName(task), uses: task.entry.uses }] : [])),
  )
  const plan = computed(() => cutPlan(pieces.value, bars.value, cutting.value))

  function change<K extends 'bars' | 'cutPieces'>(
    list: K,
    id: string,
    changed: Changed<Omit<K extends 'bars' ? BarEntry : CutPieceEntry, 'id'>>,
  ): void {
    workbench.change(list === 'bars' ? 'Change a bar' : 'Change a piece', (draft) => {
      const all = draft[list] as { id: string }[] | undefined
      assign(
        all?.find((one) => one.id === id),
        changed,
      )
    })
  }
  function remove(list: 'bars' | 'cutPieces', id: string): void {
    workbench.change(list === 'bars' ? 'Delete a bar' : 'Delete a piece', (draft) => {
      const all: { id: string }[] = draft[list] ?? []
      assign(draft, { [list]: all.filter((one) => one.id !== id) })
    })
  }

  /** Adds a bar, of the section of pieces that have none where it is told. */
  function addBar({ section, widthMm, heightMm, wallMm }: Section = { section: 'flat' }): void {
    const id = newId()
    const sizes = JSON.parse(JSON.stringify({ widthMm, heightMm, wallMm })) as object
    workbench.change('Add a bar', (draft) => {
      const entry = { id, name: words.newBar, section, ...sizes, lengthMm: words.firstBarMm }
      draft.bars = [...(draft.bars ?? []), entry]
      draft.cutting ??= { ...words.firstCutting }
    })
  }
  function addPiece(): void {
    const id = newId()
    workbench.change('Add a piece', (draft) => {
      draft.cutPieces = [...(draft.cutPieces ?? []), { id, name: words.newPiece, section: 'flat', count: 1 }]
    })
  }
  /** A section without a wall keeps none. */
  function changeSection(list: 'bars' | 'cutPieces', id: string, section: SectionKind): void {
    change(list, id, {
      section,
      ...(section === 'flat' && { wallMm: undefined }),
      ...(section === 'round' && { widthMm: undefined }),
    })
  }
  function changeCutting(changed: Partial<Cutting>): void {
    workbench.change('Change how bars are cut', (draft) => {
      draft.cutting = { ...words.firstCutting, ...draft.cutting, ...changed }
    })
  }

  return {
    pieces,
    bars,
    own,
    cutting,
    uses,
    plan,
    change,
    remove,
    addBar,
    addPiece,
    changeSection,
    changeCutting,
  }
})

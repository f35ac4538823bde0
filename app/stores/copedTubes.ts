import { produce, type Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { copedTubeScene } from '~~/core/drawing/copedTubeScene'
import { madeBodyId } from '~~/core/drawing/made/madeBody'
import type { Build } from '~~/core/file/build/build'
import { withoutBody } from '~~/core/file/edits/withoutBody'
import type { CopedTube } from '~~/core/file/kinds/copedTubeKinds'
import { wrapTemplate } from '~~/core/making/templates/wrapTemplate'
import { titled } from '~~/core/making/templates/template'
import { COPED_TUBES } from '~~/core/model/copedTubeSubject'
import { chosenPosition } from '~~/core/model/evaluateBuild'
import { foundOf } from '~~/core/model/subject'
import { printedEnds, tubeChange, tubeEndRows, tubeStock, tubeSteps } from '~~/core/show/text/copedTubeText'
import { saveTemplate, type TemplateFile } from '../print/saveTemplate'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { tubes as words } from '../texts/tubes'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

/** Usual stock, the builder's to change. */
const FIRST = { outerMm: 38, wallMm: 3, spareMm: 5, state: 'idea' } as const
const FIRST_MAIN_MM = 48

/** Tubes of the open build: how they are sawn and coped, what is printed, what was taken as made. */
export const useCopedTubes = defineStore('coped-tubes', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const all = computed(() => (evaluation.current ? foundOf(evaluation.current.subjects, COPED_TUBES) : []))
  const { looked, one: found } = lookedAt(all, ({ tube }) => tube.id)
  const units = computed(() => workbench.build?.units ?? null)
  const points = computed(() => workbench.build?.points ?? [])
  const scene = (width: number) => (found.value ? copedTubeScene(found.value, width) : null)
  const rows = computed(() => (found.value && units.value ? tubeEndRows(found.value, units.value) : []))
  const steps = computed(() =>
    found.value && units.value ? tubeSteps(found.value, points.value, units.value) : [],
  )
  const change = computed(() => (found.value ? tubeChange(found.value) : null))
  const position = computed(() => workbench.build && chosenPosition(workbench.build))
  /** The wraps of its coped ends; null while they are not known, or where none is coped. */
  const template = computed(() => {
    if (!found.value) return null
    const { tube } = found.value
    const ends = printedEnds(found.value, points.value)
    return ends.length === 0 ? null : wrapTemplate(tube.name, ends, tube.paperMm ?? 0)
  })
  const printed = computed(
    () =>
      template.value &&
      found.value &&
      titled(
        template.value,
        [tubeStock(found.value.tube), words.print(position.value?.name ?? '', today())],
        words.arrow,
      ),
  )

  function edit(label: string, recipe: (tube: Draft<CopedTube>, draft: Draft<Build>) => void): void {
    const id = found.value?.tube.id
    workbench.change(label, (draft) => {
      const tube = draft.copedTubes?.find((one) => one.id === id)
      if (tube) recipe(tube, draft)
    })
  }
  const changeTube = (changed: Partial<Omit<CopedTube, 'id' | 'ends' | 'made'>>): void =>
    edit('Change a tube', (tube) => assign(tube, changed))

  /** Lies on another tube, whose axis is then to be read; or is cut square. */
  function cope(k: number, isCoped: boolean): void {
    const [a, b] = [newId(), newId()]
    edit(isCoped ? 'Cope an end of a tube' : 'Cut an end of a tube square', (tube, draft) => {
      const end = tube.ends[k]
      const body = draft.points.find(({ id }) => id === end?.point)?.body
      if (!end || body === undefined) return
      const gone = end.main
      assign(end, { main: undefined })
      if (gone) dropPoints(draft, [gone.a, gone.b])
      if (!isCoped) return
      const named = (which: 'one' | 'other') => words.newMain(tube.name, words.ends[k] ?? '', which)
      draft.points.push({ id: a, name: named('one'), body }, { id: b, name: named('other'), body })
      end.main = { a, b, outerMm: FIRST_MAIN_MM }
    })
  }

  function changeMain(k: number, outerMm: number): void {
    edit('Change a tube', (tube) => assign(tube.ends[k]?.main, { outerMm }))
  }

  /** A new one in the chassis, both ends square until they are coped. */
  function add(): void {
    const chassis = workbench.build?.bodies.find(({ kind }) => kind === 'chassis')?.id
    if (chassis === undefined) return
    const [id, first, second] = [newId(), newId(), newId()]
    workbench.change('Add a tube', (draft) => {
      for (const [k, point] of [first, second].entries())
        draft.points.push({
          id: point,
          name: words.newPoint(words.newName, words.ends[k] ?? ''),
          body: chassis,
        })
      const ends = [{ point: first }, { point: second }]
      draft.copedTubes = [...(draft.copedTubes ?? []), { id, name: words.newName, ...FIRST, ends }]
    })
    looked.value = id
  }

  /** Takes one away, out of the bay too, with its points where nothing else needs them. */
  function remove(): void {
    const gone = found.value?.tube
    if (!gone) return
    takeOn(workbench, 'Delete a tube', (build) =>
      produce(withoutBody(build, madeBodyId('tube', gone.id)), (draft) => {
        draft.copedTubes = (draft.copedTubes ?? []).filter(({ id }) => id !== gone.id)
        dropPoints(
          draft,
          gone.ends.flatMap(({ point, main }) => (main ? [point, main.a, main.b] : [point])),
        )
      }),
    )
  }

  /** Keeps how it lies now: from here on it says when it lies otherwise. */
  function takeAsMade(): void {
    const now = found.value?.found
    if (!now?.known || now.value.figures.axisMm === undefined) return
    const { axisMm, twistDeg } = now.value.figures
    const [firstDeg, secondDeg] = now.value.ends.map(({ figures }) => figures.angleDeg)
    edit('Take a tube as made', (tube) => {
      tube.made = { at: today(), axisMm }
      assign(tube.made, { position: position.value?.id, twistDeg, firstDeg, secondDeg })
    })
  }

  async function save(file: TemplateFile): Promise<void> {
    if (printed.value) await saveTemplate(workbench.build?.name ?? '', printed.value, file)
  }

  return {
    ...{ all, looked, found, scene, rows, steps, change, template, printed },
    ...{ changeTube, cope, changeMain, add, remove, takeAsMade, save },
  }
})

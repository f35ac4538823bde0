import { castDraft, produce, type Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { madeBodyId } from '~~/core/drawing/made/madeBody'
import { plateScene } from '~~/core/drawing/plateScene'
import type { Build } from '~~/core/file/build/build'
import { withoutBody } from '~~/core/file/edits/withoutBody'
import {
  MOST_HOLES,
  type Plate,
  type PlateFace,
  type PlateHoleEntry,
  type PlateZone,
} from '~~/core/file/kinds/plateKinds'
import { boltCircle, circlePlaces, type BoltCircle } from '~~/core/making/bolts/boltCircle'
import { plateTemplate } from '~~/core/making/templates/plateTemplate'
import { titled } from '~~/core/making/templates/template'
import { PLATES } from '~~/core/model/plateSubject'
import { chosenPosition } from '~~/core/model/evaluateBuild'
import { foundOf } from '~~/core/model/subject'
import { plateNotes } from '~~/core/show/text/plateNotes'
import { fitSentence, patternSentence, spacerRows, tapeRows } from '~~/core/show/text/plateText'
import { saveTemplate, type TemplateFile } from '../print/saveTemplate'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { making, plates as words } from '../texts/making'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { useEvaluation } from './evaluation'
import { lookedAt } from './lookedAt'
import { dropStands, pointsOf } from './dropStands'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

export type PlateSide = 'plate' | 'bosses'
/** A tape over two holes. */
export type PlateTape = PlateFace['tapes'][number]

/** A plate that nobody has taped yet. */
const FIRST: Omit<Plate, 'id' | 'name'> = {
  holes: ['A', 'B', 'C'].map((id) => ({ id, holeMm: 9, boltMm: 8 })),
  thicknessMm: 10,
  marginMm: 12,
  seenFrom: 'front',
}

/** An accessory that nobody has traced yet. */
const ZONE = { name: words.newZone, alongMm: 0, asideMm: 0, longMm: 60, wideMm: 60, gapMm: 5 }

/** A letter that no hole has yet. */
const nextLetter = (holes: readonly { readonly id: string }[]): string =>
  [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((letter) => !holes.some(({ id }) => id === letter)) ?? newId()

/** Plates of the open build: their tapes, whether they go on, what is printed. */
export const usePlates = defineStore('plates', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const all = computed(() => (evaluation.current ? foundOf(evaluation.current.subjects, PLATES) : []))
  const { looked, one: found } = lookedAt(all, ({ plate }) => plate.id)
  const isMirrored = ref(false)
  const scene = (width: number) =>
    found.value ? plateScene(found.value.plate, found.value.answer, width) : null
  const sentence = computed(() => (found.value ? fitSentence(found.value.plate, found.value.answer) : null))
  const spacers = computed(() => (found.value ? spacerRows(found.value.plate, found.value.answer) : []))
  const notes = computed(() => (found.value ? plateNotes(found.value.answer) : []))
  const rowsOf = (side: PlateSide) => {
    const face = found.value?.plate[side]
    return face && found.value ? tapeRows(face, found.value.answer[side]) : []
  }
  const agreementOf = (side: PlateSide) => (found.value ? patternSentence(found.value.answer[side]) : null)
  const printed = computed(() => {
    const places = found.value?.answer.plate
    if (!found.value || !places?.known) return null
    const { plate } = found.value
    const name = (workbench.build && chosenPosition(workbench.build)?.name) ?? ''
    return titled(
      plateTemplate(plate, places.value, isMirrored.value),
      [words.print, making.belongs(name, today())],
      words.up,
    )
  })

  function edit(label: string, recipe: (plate: Draft<Plate>, draft: Draft<Build>) => void): void {
    const id = found.value?.plate.id
    workbench.change(label, (draft) => {
      const plate = draft.plates?.find((one) => one.id === id)
      if (plate) recipe(plate, draft)
    })
  }
  const changePlate = (
    changed: Partial<Omit<Plate, 'id' | 'holes' | 'zones' | 'stands' | PlateSide>>,
  ): void => edit('Change a plate', (plate) => assign(plate, changed))

  function changeHole(id: string, changed: Partial<Omit<PlateHoleEntry, 'id'>>): void {
    edit('Change a hole', (plate) => {
      assign(
        plate.holes.find((one) => one.id === id),
        changed,
      )
    })
  }

  /** Its holes, or the bosses, evenly on a circle: the first at the top and on clockwise. */
  function layOnCircle(face: 'at' | 'boss', by: BoltCircle['by']): void {
    edit('Lay holes on a circle', ({ holes }) => {
      circlePlaces(holes.length, boltCircle({ holes: holes.length, by }).circleMm).forEach(([xMm, yMm], k) =>
        assign(holes[k], { [face]: { xMm, yMm } }),
      )
    })
  }

  function addHole(): void {
    const id = nextLetter(found.value?.plate.holes ?? [])
    edit('Add a hole', (plate) => {
      const last = plate.holes.at(-1)
      if (plate.holes.length < MOST_HOLES)
        plate.holes.push({
          id,
          holeMm: last?.holeMm ?? 9,
          boltMm: last?.boltMm ?? 8,
        })
    })
  }

  /** A hole goes with its tapes and its mark on a card; three stay. */
  function removeHole(id: string): void {
    edit('Delete a hole', (plate, draft) => {
      if (plate.holes.length <= 3) return
      if (plate.stands?.some(({ hole }) => hole === id)) dropStands(plate, draft)
      plate.holes = plate.holes.filter((one) => one.id !== id)
      for (const face of [plate.plate, plate.bosses]) {
        if (!face) continue
        face.tapes = face.tapes.filter(({ a, b }) => a !== id && b !== id)
        if (face.card) face.card.marks = face.card.marks?.filter(({ hole }) => hole !== id)
      }
    })
  }

  function addZone(): void {
    const id = newId()
    edit('Add what lies on a plate', (plate) => {
      plate.zones = [...(plate.zones ?? []), { id, ...ZONE }]
    })
  }

  function changeZone(id: string, changed: Partial<Omit<PlateZone, 'id'>>): void {
    edit('Change what lies on a plate', (plate) => {
      assign(
        plate.zones?.find((one) => one.id === id),
        changed,
      )
    })
  }

  function removeZone(id: string): void {
    edit('Delete what lies on a plate', (plate) => {
      plate.zones = (plate.zones ?? []).filter((one) => one.id !== id)
    })
  }

  function addTape(side: PlateSide, tape: PlateTape): void {
    edit('Keep a tape', (plate) => {
      const face = plate[side] ?? { tapes: [], third: 'left' as const }
      plate[side] = { ...face, tapes: [...face.tapes, tape] }
    })
  }

  function removeTape(side: PlateSide, index: number): void {
    edit('Delete a tape', (plate) => {
      plate[side]?.tapes.splice(index, 1)
    })
  }

  function turnThird(side: PlateSide, third: PlateFace['third']): void {
    edit('Say on which side a hole lies', (plate) => {
      plate[side] = { tapes: plate[side]?.tapes ?? [], third }
    })
  }

  function add(): void {
    const id = newId()
    workbench.change('Add a plate', (draft) => {
      draft.plates = [
        ...(draft.plates ?? []),
        { id, name: words.newName, ...castDraft(structuredClone(FIRST)) },
      ]
    })
    looked.value = id
  }

  function remove(): void {
    const gone = found.value?.plate
    if (!gone) return
    takeOn(workbench, 'Delete a plate', (build) =>
      produce(withoutBody(build, madeBodyId('plate', gone.id)), (draft) => {
        draft.plates = (draft.plates ?? []).filter(({ id }) => id !== gone.id)
        dropPoints(draft, pointsOf(gone))
      }),
    )
  }

  async function save(file: TemplateFile): Promise<void> {
    if (printed.value) await saveTemplate(workbench.build?.name ?? '', printed.value, file)
  }

  return {
    ...{ all, looked, found, isMirrored, scene, sentence, spacers, notes, rowsOf, agreementOf, printed },
    ...{ changePlate, changeHole, layOnCircle, addHole, removeHole, addTape, removeTape, turnThird },
    ...{ addZone, changeZone, removeZone, add, remove, save },
  }
})

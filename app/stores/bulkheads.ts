import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { bulkheadScene, mirroredBy } from '~~/core/drawing/bulkheadScene'
import type { Bulkhead, Cable, KeptOff } from '~~/core/file/parts/cable'
import { bulkheadTemplate } from '~~/core/making/templates/bulkheadTemplate'
import { titled } from '~~/core/making/templates/template'
import { cableBand, cableThrough, type HolePlace } from '~~/core/model/cableBand'
import { holeSentence } from '~~/core/show/text/cableText'
import { saveTemplate, type TemplateFile } from '../print/saveTemplate'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { cables as words } from '../texts/cables'
import { assign } from './assign'
import { useCables, type Changed } from './cables'
import { useWorkbench } from './workbench'

/** Usual sizes, the builder's to change. */
const FIRST_HOLE = { leftMm: 0, upMm: 0, stubMm: 40 } as const
const FIRST_ROOM = { leftMm: 300, rightMm: 300, upMm: 150, downMm: 150 } as const
/** Places of a hole are kept to a millimetre. */
const whole = ({ leftMm, upMm }: HolePlace): HolePlace => ({
  ...{ leftMm: Math.round(leftMm), upMm: Math.round(upMm) },
})

/** How a cable fits through a hole: what its way takes, and what of the adjuster is left or lacks. */
type HoleFit =
  | { readonly as: 'cannot' }
  | { readonly as: 'unknown'; readonly takesMm: number }
  | { readonly as: 'fits' | 'long' | 'short'; readonly takesMm: number; readonly mm: number }

/** The bulkhead that the cable which is looked at passes, and where its hole may be. */
export const useBulkheads = defineStore('bulkheads', () => {
  const workbench = useWorkbench()
  const cables = useCables()
  const band = computed(() => (cables.found ? cableBand(cables.found) : null))
  const holeTold = computed(() =>
    cables.found && workbench.build ? holeSentence(cables.found, band.value, workbench.build) : null,
  )
  const bulkhead = computed(
    () => workbench.build?.bulkheads?.find(({ id }) => id === cables.found?.cable.hole?.bulkhead) ?? null,
  )
  const sheetScene = (width: number) =>
    cables.found ? bulkheadScene(cables.found, cables.all, band.value, width) : null
  /** How the cable fits through a hole elsewhere. */
  function fitThrough(place: HolePlace): HoleFit {
    const { cable, found } = cables.found ?? {}
    const mm = cables.found && cableThrough(cables.found, whole(place))
    if (!cable || !found?.known || mm === null) return { as: 'cannot' }
    const takesMm = mm + (found.value.figures.looseMm ?? 0)
    if (cable.lengthMm === undefined) return { as: 'unknown', takesMm }
    const over = cable.lengthMm - takesMm
    const left = (cable.adjustMm ?? 0) - Math.abs(over)
    return { as: left >= 0 ? 'fits' : over > 0 ? 'long' : 'short', takesMm, mm: Math.abs(left) }
  }
  /** Where the adjuster stands in its middle; null where the hole is there. */
  const betterHole = computed(() => {
    const { leftMm, upMm } = cables.found?.cable.hole ?? {}
    const best = band.value?.best && whole(band.value.best)
    return best && (best.leftMm !== leftMm || best.upMm !== upMm) ? best : null
  })
  const template = computed(() => {
    const sheet = cables.found?.found.known ? cables.found.found.value.bulkhead : null
    if (!sheet || !workbench.build) return null
    return bulkheadTemplate(sheet.bulkhead, workbench.build.cables ?? [], mirroredBy(sheet))
  })

  const changeHole = (changed: Changed<NonNullable<Cable['hole']>>): void =>
    cables.edit('Move a cable’s hole', ({ hole }) => {
      if (hole) assign(hole, changed)
    })
  const moveHole = (place: HolePlace): void => changeHole(whole(place))

  /** Through a bulkhead, a new one when null, or through none. */
  function passes(id: string | null | undefined): void {
    const [sheet, mark] = [newId(), newId()]
    const body = workbench.build?.bodies.find(({ kind }) => kind === 'chassis')?.id
    cables.edit('Lead a cable through a bulkhead', (cable, draft) => {
      if (id === undefined) {
        assign(cable, { hole: undefined })
        cable.corners = [...(cable.corners ?? []), ...(cable.cornersBehind ?? [])]
        assign(cable, { cornersBehind: undefined })
        return
      }
      if (id === null) {
        if (body === undefined) return
        draft.points.push({ id: mark, name: words.markName, body })
        const made = { id: sheet, name: words.sheetName, mark, faces: 'forward' as const }
        draft.bulkheads = [...(draft.bulkheads ?? []), { ...made, room: { ...FIRST_ROOM } }]
      }
      cable.hole = { ...FIRST_HOLE, ...cable.hole, bulkhead: id ?? sheet }
    })
  }
  function editSheet(label: string, recipe: (sheet: Draft<Bulkhead>) => void): void {
    const id = bulkhead.value?.id
    workbench.change(label, (draft) => {
      const sheet = draft.bulkheads?.find((one) => one.id === id)
      if (sheet) recipe(sheet)
    })
  }
  const changeSheet = (changed: Changed<Omit<Bulkhead, 'id' | 'room' | 'keepOff'>>): void =>
    editSheet('Change a bulkhead', (sheet) => assign(sheet, changed))
  const changeRoom = (changed: Changed<Bulkhead['room']>): void =>
    editSheet('Change a bulkhead', (sheet) => assign(sheet.room, changed))
  function keepOff(): void {
    const id = newId()
    editSheet('Keep a part of a bulkhead free', (sheet) => {
      const area = { leftMm: 60, rightMm: -20, upMm: 40, downMm: 40 }
      sheet.keepOff = [...(sheet.keepOff ?? []), { id, name: words.keptName, ...area }]
    })
  }
  const changeKept = (id: string, changed: Changed<Omit<KeptOff, 'id'>>): void =>
    editSheet('Change what is kept free', ({ keepOff: kept }) => {
      const one = kept?.find((other) => other.id === id)
      if (one) assign(one, changed)
    })
  const removeKept = (id: string): void =>
    editSheet('Delete what is kept free', (sheet) => {
      sheet.keepOff = (sheet.keepOff ?? []).filter((one) => one.id !== id)
    })

  async function save(file: TemplateFile): Promise<void> {
    if (!template.value) return
    const lines = [words.seenFrom, today()]
    await saveTemplate(workbench.build?.name ?? '', titled(template.value, lines, words.arrow), file)
  }

  return {
    ...{
      band,
      holeTold,
      bulkhead,
      template,
      sheetScene,
      fitThrough,
      betterHole,
      changeHole,
      moveHole,
      passes,
    },
    ...{ changeSheet, changeRoom, keepOff, changeKept, removeKept, save },
  }
})

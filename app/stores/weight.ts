import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { slingScene, type Hanging } from '~~/core/drawing/slingScene'
import { weightScene } from '~~/core/drawing/weightScene'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type {
  Corner,
  HookSpot,
  LegSpot,
  MassEntry,
  MassSpot,
  TiltSheet,
  WeightSheet,
} from '~~/core/file/parts/weightSheet'
import { unknown } from '~~/core/base/known'
import { loadRows, type LoadRow } from '~~/core/show/text/loadRows'
import { legsAnswer, mountsAnswer, tiltAnswer, type MountKey } from '~~/core/vehicle/weight/unitAnswers'
import { hangAnswer, weightAnswer, type MoveOf } from '~~/core/vehicle/weight/weightOf'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { texts } from '../texts/en'
import { useEvaluation } from './evaluation'
import { usePlace } from './place'
import { assign } from './assign'
import { useWorkbench } from './workbench'

const EMPTY: WeightSheet = { masses: [] }

const movesOf =
  ({ moves }: Evaluation): MoveOf =>
  (body) => {
    const move = moves.get(body)
    return move?.known ? move.value : null
  }

/** What the scales say of the open build, and what the levers make of it. */
export const useWeight = defineStore('weight', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const place = usePlace()
  const sheet = computed<WeightSheet>(() => workbench.build?.weight ?? EMPTY)
  const answer = computed(() =>
    weightAnswer(sheet.value, evaluation.current ? movesOf(evaluation.current) : undefined),
  )
  const rows = computed<readonly LoadRow[]>(() =>
    answer.value.known && workbench.build ? loadRows(answer.value.value, workbench.build.units) : [],
  )
  const hang = computed(() => hangAnswer(sheet.value))
  const legs = computed(() => legsAnswer(sheet.value))
  /** How it hangs on one hook; null while that cannot be told. */
  const hookScene = computed(() => {
    if (!hang.value.known) return null
    const { centre, hangDeg } = hang.value.value
    const { stationMm: station, heightMm: height } = sheet.value.hook ?? {}
    if (station === undefined || height === undefined || hangDeg === null) return null
    return hanging({ from: { station, height }, centre, hangDeg, legs: [] })
  })
  /** How it hangs on two legs. */
  const legsScene = computed(() => {
    if (!legs.value.known || !hang.value.known) return null
    const { ring, hangDeg } = legs.value.value
    const ends = (sheet.value.legs ?? []).map(({ stationMm = NaN, heightMm = NaN }) => ({
      station: stationMm,
      height: heightMm,
    }))
    return hanging({ from: ring, centre: hang.value.value.centre, hangDeg, legs: ends })
  })
  const hanging = (how: Hanging) =>
    workbench.build && evaluation.current ? slingScene(workbench.build, evaluation.current, how) : null
  /** The vehicle on its scales, as far as it was told. */
  const scene = computed(() =>
    workbench.build && evaluation.current
      ? weightScene(
          workbench.build,
          evaluation.current,
          sheet.value,
          answer.value.known ? answer.value.value : null,
        )
      : null,
  )
  const mounts = computed(() =>
    workbench.build && evaluation.current
      ? mountsAnswer(workbench.build, evaluation.current.measured, sheet.value)
      : unknown(''),
  )
  const tilted = computed(() => (workbench.build ? tiltAnswer(workbench.build, sheet.value) : unknown('')))
  /** Share of the weight in front, in per cent, of each position. */
  const shares = computed(() =>
    place.positions.flatMap(({ position, evaluation: there }) => {
      const loads = weightAnswer(sheet.value, movesOf(there))
      return loads.known
        ? [{ id: position.id, name: position.name, percent: loads.value.after.frontPercent }]
        : []
    }),
  )

  function edit(label: string, recipe: (sheet: Draft<WeightSheet>) => void): void {
    workbench.change(label, (draft) => {
      draft.weight ??= { masses: [] }
      recipe(draft.weight)
    })
  }

  const change = (changed: Partial<Omit<WeightSheet, 'masses' | 'balances' | 'cornersKg'>>): void =>
    edit('Change the weighing', (draft) => {
      assign(draft, changed)
    })

  function weigh(corner: Corner, kg: number | undefined): void {
    edit('Read a scale', (draft) => {
      draft.cornersKg = { ...draft.cornersKg }
      assign(draft.cornersKg, { [corner]: kg })
    })
  }

  function hook(changed: HookSpot): void {
    edit('Place the hook', (draft) => {
      draft.hook = { ...draft.hook }
      assign(draft.hook, changed)
    })
  }

  function leg(index: number, changed: LegSpot): void {
    edit('Make a leg fast', (draft) => {
      const all = [0, 1].map((i) => ({ ...draft.legs?.[i] }))
      assign(all[index], changed)
      draft.legs = all
    })
  }

  function mount(key: MountKey, nPerMm: number | undefined): void {
    edit('Change a mount', (draft) => {
      draft.mountsNPerMm = { ...draft.mountsNPerMm }
      assign(draft.mountsNPerMm, { [key]: nPerMm })
    })
  }

  function tilting(changed: TiltSheet): void {
    edit('Weigh it tilted', (draft) => {
      draft.tilt = { ...draft.tilt }
      assign(draft.tilt, changed)
    })
  }

  function addMass(): void {
    const mass: MassEntry = { id: newId(), name: texts.weight.newMass, done: 'in' }
    edit('Add a mass', (draft) => {
      draft.masses.push(mass as Draft<MassEntry>)
    })
  }

  function changeMass(id: string, changed: Partial<Omit<MassEntry, 'id' | 'at' | 'to'>>): void {
    edit('Change a mass', (draft) => {
      assign(
        draft.masses.find((one) => one.id === id),
        changed,
      )
    })
  }

  /** One coordinate of where a mass is, or goes. */
  function spot(id: string, which: 'at' | 'to', changed: MassSpot): void {
    edit('Place a mass', (draft) => {
      const mass = draft.masses.find((one) => one.id === id)
      if (!mass) return
      const there = { ...mass[which] }
      assign(there, changed)
      mass[which] = there
    })
  }

  function removeMass(id: string): void {
    edit('Delete a mass', (draft) => {
      draft.masses = draft.masses.filter((one) => one.id !== id)
    })
  }

  function keepBalance(note: string): void {
    if (note.trim() === '') return
    const balance = {
      id: newId(),
      date: today(),
      note: note.trim().slice(0, 1000),
    }
    edit('Keep a balance', (draft) => {
      draft.balances = [...(draft.balances ?? []), balance]
    })
  }

  function removeBalance(id: string): void {
    edit('Delete a balance', (draft) => {
      draft.balances = (draft.balances ?? []).filter((one) => one.id !== id)
    })
  }

  return {
    sheet,
    answer,
    rows,
    hang,
    hookScene,
    legs,
    legsScene,
    scene,
    mounts,
    tilted,
    shares,
    change,
    weigh,
    hook,
    leg,
    mount,
    tilting,
    addMass,
    changeMass,
    spot,
    removeMass,
    keepBalance,
    removeBalance,
  }
})

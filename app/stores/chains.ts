import { defineStore } from 'pinia'
import { computed } from 'vue'
import { axleCutAnswers, sleeveFit } from '~~/core/sprockets/axleCutOf'
import type { SprocketPair } from '~~/core/sprockets/gearing'
import {
  withGuide,
  withNewChain,
  withOrderTurned,
  withoutChain,
  withoutSprocket,
  withSpacer,
  withSprocketMoved,
} from '~~/core/file/edits/chainEdits'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { chainGears } from '~~/core/vehicle/strength/chainGears'
import { chainPairs } from '~~/core/chain/chainPairs'
import { liveAxleFigures } from '~~/core/model/liveAxle'
import type { AxleCut, AxleCutSide } from '~~/core/file/parts/axleCut'
import type { LiveAxleBody } from '~~/core/file/parts/body'
import { drivenIndex, type ChainDuty, type ChainLine, type ChainSprocket } from '~~/core/file/parts/chainLine'
import type { Id } from '~~/core/file/parts/id'
import type { Known } from '~~/core/base/known'
import { newId } from '../storage/newId'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Chains round sprockets, the live axles they drive, and axles that are made to another width. */
export const useChains = defineStore('chains', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const all = computed(() => evaluation.current?.chains ?? [])
  const take = (label: string, edit: Parameters<typeof takeOn>[2]) => takeOn(workbench, label, edit)

  /** @returns the id of the new one */
  function add(duty: ChainDuty, name: string): Id | null {
    const { build } = workbench
    if (!build) return null
    const made = withNewChain(build, duty, freeName(name))
    take('Add a chain', () => made.build)
    return made.id
  }
  function freeName(name: string): string {
    const taken = new Set((workbench.build?.chains ?? []).map((one) => one.name))
    let free = name
    for (let count = 2; taken.has(free); count++) free = `${name} ${count}`
    return free
  }
  const remove = (id: Id) => take('Delete a chain', (build) => withoutChain(build, id))
  function change(id: Id, changed: Changed<Omit<ChainLine, 'id' | 'sprockets'>>): void {
    workbench.change('Change a chain', (draft) =>
      assign(
        draft.chains?.find((one) => one.id === id),
        changed,
      ),
    )
  }
  function changeSprocket(id: Id, changed: Changed<Omit<ChainSprocket, 'id'>>): void {
    workbench.change('Change a sprocket', (draft) =>
      assign(
        draft.chains?.flatMap(({ sprockets }) => sprockets).find((one) => one.id === id),
        changed,
      ),
    )
  }
  const addGuide = (id: Id, isOutside: boolean) =>
    take('Add a guide wheel', (build) => withGuide(build, id, isOutside))
  const removeSprocket = (id: Id, sprocket: Id) =>
    take('Take a sprocket out', (build) => withoutSprocket(build, id, sprocket))
  const moveSprocket = (id: Id, sprocket: Id, by: 1 | -1) =>
    take('Order of the sprockets', (build) => withSprocketMoved(build, id, sprocket, by))
  const turnOrder = (id: Id) => take('Order of the sprockets', (build) => withOrderTurned(build, id))
  const addSpacer = (id: Id, sprocket: Id) => take('Add a spacer', (build) => withSpacer(build, id, sprocket))

  /** Takes both teeth and the links that go with them. */
  function takePair(id: Id, { teeth, links }: Pick<SprocketPair, 'teeth' | 'links'>): void {
    workbench.change('Choose sprockets', (draft) => {
      const chain = draft.chains?.find((one) => one.id === id)
      if (!chain) return
      const driven = drivenIndex(chain as ChainLine)
      assign(chain.sprockets[0], { teeth: teeth[0] })
      assign(chain.sprockets[driven], { teeth: teeth[1] })
      chain.links = links
    })
  }

  const gears = (chain: ChainLine) =>
    workbench.build ? chainGears(workbench.build, chain) : { known: false as const, missing: [] }

  const pairsFor = (chain: ChainEvaluation, wantedKmh: number): Known<readonly SprocketPair[]> =>
    workbench.build ? chainPairs(workbench.build, chain, wantedKmh) : { known: false, missing: [] }

  const liveAxles = computed(() => {
    const { build } = workbench
    const now = evaluation.current
    if (!build || !now) return []
    return build.bodies.flatMap((body) =>
      body.kind === 'live-axle' ? [liveAxleFigures(build, now, body)] : [],
    )
  })
  function changeLiveAxle(id: Id, changed: Changed<Omit<LiveAxleBody, 'id' | 'kind'>>): void {
    workbench.change('Change a live axle', (draft) =>
      assign(
        draft.bodies.find((one) => one.id === id),
        changed,
      ),
    )
  }

  const cuts = computed(() =>
    (workbench.build?.axleCuts ?? []).map((cut) => ({
      cut,
      sides: axleCutAnswers(cut),
      fit: sleeveFit(cut),
    })),
  )
  function addCut(name: string): void {
    const id = newId()
    workbench.change('Add an axle', (draft) =>
      assign(draft, {
        axleCuts: [...(draft.axleCuts ?? []), { id, name, school: 'new-shaft' }],
      }),
    )
  }
  function changeCut(id: Id, changed: Changed<Omit<AxleCut, 'id'>>): void {
    workbench.change('Measure an axle', (draft) =>
      assign(
        draft.axleCuts?.find((one) => one.id === id),
        changed,
      ),
    )
  }
  function changeCutSide(id: Id, side: 'left' | 'right', changed: Changed<AxleCutSide>): void {
    workbench.change('Measure an axle', (draft) => {
      const cut = draft.axleCuts?.find((one) => one.id === id)
      if (!cut) return
      const there = { ...cut[side] }
      assign(there, changed)
      assign(cut, { [side]: there })
    })
  }
  function removeCut(id: Id): void {
    workbench.change('Delete an axle', (draft) => {
      const rest = (draft.axleCuts ?? []).filter((one) => one.id !== id)
      assign(draft, { axleCuts: rest.length > 0 ? rest : undefined })
    })
  }

  return {
    all,
    add,
    remove,
    change,
    changeSprocket,
    addGuide,
    removeSprocket,
    moveSprocket,
    turnOrder,
    addSpacer,
    takePair,
    gears,
    pairsFor,
    liveAxles,
    changeLiveAxle,
    cuts,
    addCut,
    changeCut,
    changeCutSide,
    removeCut,
  }
})

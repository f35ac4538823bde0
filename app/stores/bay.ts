import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { bodyOnSpacers, type BodySpacers } from '~~/core/bay/bodyOnSpacers'
import { closePairs } from '~~/core/bay/closePairs'
import { drawnUnread } from '~~/core/bay/drawnGaps'
import { rockedGaps } from '~~/core/bay/rocking'
import { serviceWay } from '~~/core/bay/serviceWay'
import { thingsOf, type MoveOf } from '~~/core/bay/things'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import { powertrainOf } from '~~/core/file/parts/bodies'
import type { Body, BodyBox } from '~~/core/file/parts/body'
import type { Outline } from '~~/core/file/parts/outline'
import type { Build } from '~~/core/file/build/build'
import { leverFacts, type Lever, type LeverKind } from '~~/core/file/build/lever'
import type { ServiceCheck } from '~~/core/file/parts/serviceCheck'
import { withoutBody } from '~~/core/file/edits/withoutBody'
import { withoutLever } from '~~/core/file/edits/withoutLever'
import { pointOf } from '~~/core/measure/geometry/geometry'
import { bodiesWithPart, bodyOfPart, partOfBody, type PutPlace } from '~~/core/bay/shelf/placedPart'
import type { ShelfPart } from '~~/core/bay/shelf/shelfPart'
import { pairRows, serviceRow } from '~~/core/show/text/bayText'
import { newId } from '../storage/newId'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useShelf } from './shelf'
import { takeOn } from './takeOn'
import { useWorkbench } from './workbench'

/** What may be said of a body here. */
export interface BodyChange {
  readonly name?: string
  readonly standsOn?: string | undefined
  readonly provisional?: boolean | undefined
  readonly box?: BodyBox | undefined
  readonly outlines?: readonly Outline[] | undefined
  readonly faceStationMm?: number | undefined
  readonly rockDeg?: number | undefined
}

/** What a part that was taken from the shelf has come to. */
export type Taken =
  | { readonly kind: 'placed'; readonly id: string }
  | { readonly kind: 'sizes' }
  | { readonly kind: 'longer'; readonly mm: number }
  | { readonly kind: 'nowhere' }

const movesOf =
  ({ moves }: Evaluation): MoveOf =>
  (body) => {
    const move = moves.get(body)
    return move?.known ? move.value : null
  }

/** The parts in the bay of the open build: their outlines, what stands close, what comes out, and what is done to them. */
export const useBay = defineStore('bay', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const shelf = useShelf()
  /** Outlines are looked at when the levers are let go: while they move the board has the frame for itself. */
  const settled = shallowRef<Evaluation | null>(null)
  watch(
    () => [evaluation.current, levers.isHeld] as const,
    ([now, isHeld]) => {
      if (!isHeld) settled.value = now
    },
    { immediate: true },
  )
  const drawn = computed(() => {
    const { build } = workbench
    return build && settled.value ? thingsOf(build, movesOf(settled.value)) : null
  })
  const unusable = computed(() => drawn.value?.unusable ?? [])
  const pairs = computed(() => {
    const { build } = workbench
    return build && drawn.value ? pairRows(closePairs(build, drawn.value.things), build.units) : []
  })
  /** What outlines say of gaps that were not read. */
  const unread = computed(() => {
    const { build } = workbench
    return build && settled.value && drawn.value ? drawnUnread(build, settled.value, drawn.value.things) : []
  })
  const powertrain = computed(() => (workbench.build ? powertrainOf(workbench.build) : undefined))
  /** What the engine takes from its gaps while it rocks; null where nobody said how far. */
  const rocked = computed(() => {
    const { build } = workbench
    const { rockDeg } = powertrain.value ?? {}
    return build && settled.value && rockDeg ? rockedGaps(build, settled.value, rockDeg) : null
  })
  const services = computed(() => {
    const { build } = workbench
    if (!build || !drawn.value) return []
    const { things } = drawn.value
    return (build.services ?? []).map((check) => serviceRow(build, check, serviceWay(build, check, things)))
  })

  function changeBody(id: string, changed: BodyChange): void {
    workbench.change('Change a part in the bay', (draft) =>
      assign(
        draft.bodies.find((body) => body.id === id),
        structuredClone(changed),
      ),
    )
  }

  /** Puts a part of the shelf into the bay, or gives the powertrain or an axle its sizes. */
  function takePart(part: ShelfPart, place: PutPlace): Taken {
    const { build } = workbench
    if (!build) return { kind: 'nowhere' }
    if (part.sort === 'item' || part.sort === 'transfer-case') {
      const body = bodyOfPart(part, place, newId())
      workbench.change('Add a part to the bay', (draft) => {
        draft.bodies.push(structuredClone(body) as Draft<Body>)
      })
      return { kind: 'placed', id: body.id }
    }
    const planned = part.sort === 'gearbox' ? planGearbox(build, part) : null
    if (planned !== null) return { kind: 'longer', mm: planned }
    const bodies = bodiesWithPart(build, part)
    if (!bodies) return { kind: 'nowhere' }
    workbench.change('Take a part from the shelf', (draft) => {
      draft.bodies = structuredClone(bodies) as Draft<Body[]>
    })
    return { kind: 'sizes' }
  }

  /**
   * Plans a gearbox of another length where the present one was read: the output goes back by the difference, by a lever.
   *
   * @returns by how much, in mm; null where nothing was read yet or its length is not known
   */
  function planGearbox(build: Build, { sizeMm: [long] }: ShelfPart): number | null {
    const powertrain = powertrainOf(build)
    const now = powertrain?.sizes?.gearboxLengthMm
    const output = build.lines[0]?.joints[0]?.point
    const place = output === undefined ? null : settled.value && pointOf(settled.value.measured, output)
    if (!powertrain || now === undefined || !place?.known) return null
    const difference = long - now
    const there = build.levers.find(({ kind, body }) => kind === 'adapter' && body === powertrain.id)
    const id = there?.id ?? newId()
    workbench.change('Plan a gearbox of another length', (draft) => {
      const body = draft.bodies.find((one) => one.id === powertrain.id)
      if (body?.kind === 'powertrain') body.faceStationMm ??= -place.value[0] - now
      const lever = draft.levers.find((one) => one.id === id)
      const [least, most] = lever?.range ?? [-REACH_MM, REACH_MM]
      const range: [number, number] = [Math.min(least, difference), Math.max(most, difference)]
      if (lever) lever.range = range
      else
        draft.levers.push({
          id,
          kind: 'adapter',
          body: powertrain.id,
          range,
          step: 1,
          locked: true,
          lockedBecause: 'the gearbox is as long as it is',
        })
      const position = draft.positions.find((one) => one.id === draft.chosen)
      if (position) position.settings[id] = difference
    })
    return difference
  }

  const take = (label: string, edit: (build: Build) => Build): boolean => takeOn(workbench, label, edit)

  const removeBody = (id: string): boolean =>
    take('Delete a part in the bay', (build) => withoutBody(build, id))
  const removeLever = (id: string): boolean => take('Delete a lever', (build) => withoutLever(build, id))

  /** @returns the id of the body that stands on spacers now */
  function putOnSpacers(spacers: BodySpacers): string {
    const ids = { body: newId(), lever: newId() }
    take('Set the body on spacers', (build) => bodyOnSpacers(build, spacers, ids))
    return ids.body
  }

  function addLever(body: string, kind: LeverKind): void {
    const id = newId()
    const [least, most, step] = leverFacts(kind).usual
    workbench.change('Add a lever', (draft) => {
      draft.levers.push({ id, kind, body, range: [least, most], step })
    })
  }

  function changeLever(
    id: string,
    changed: Partial<Pick<Lever, 'range' | 'step' | 'effort'>> & {
      readonly name?: string | undefined
      readonly stock?: readonly number[] | undefined
      readonly locked?: boolean | undefined
      readonly lockedBecause?: string | undefined
    },
  ): void {
    workbench.change('Change a lever', (draft) =>
      assign(
        draft.levers.find((lever) => lever.id === id),
        structuredClone(changed),
      ),
    )
  }

  async function toShelf(body: Body): Promise<boolean> {
    const part = partOfBody(body, newId())
    return part !== null && (await shelf.keep(structuredClone(part)))
  }

  function addService(name: string, body: string): void {
    const id = newId()
    workbench.change('Ask for something to come out', (draft) => {
      draft.services ??= []
      draft.services.push({ id, name, body, toward: [0, 0, -1], wayMm: 150 })
    })
  }

  function changeService(id: string, changed: Partial<Omit<ServiceCheck, 'id'>>): void {
    workbench.change('Change what has to come out', (draft) =>
      assign(
        draft.services?.find((one) => one.id === id),
        structuredClone(changed),
      ),
    )
  }

  function removeService(id: string): void {
    workbench.change('Delete what has to come out', (draft) => {
      draft.services = (draft.services ?? []).filter((one) => one.id !== id)
    })
  }

  return {
    unusable,
    pairs,
    unread,
    services,
    powertrain,
    rocked,
    settled,
    changeBody,
    takePart,
    putOnSpacers,
    removeBody,
    addLever,
    changeLever,
    removeLever,
    toShelf,
    addService,
    changeService,
    removeService,
  }
})

/** How far a new adapter lever reaches either way, in mm. */
const REACH_MM = 60

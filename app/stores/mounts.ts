import { produce } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { unknown } from '~~/core/base/known'
import { mountPanes } from '~~/core/drawing/mountScene'
import { leverFacts, type Lever, type LeverKind } from '~~/core/file/build/lever'
import { withoutLever } from '~~/core/file/edits/withoutLever'
import { MOUNT_FIGURES, type ElasticMountEntry, type MountKind } from '~~/core/file/kinds/mountKinds'
import type { Drivetrain } from '~~/core/file/parts/drivetrain'
import { heldBy, mountableBodies } from '~~/core/making/mounts/mountedBodies'
import { MOUNTS } from '~~/core/model/mountSubject'
import { foundOf } from '~~/core/model/subject'
import { caseRows, forceRows, shareSentence, strainRows } from '~~/core/show/text/mountText'
import { newId } from '../storage/newId'
import { mounts as words } from '../texts/making'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { lookedAt } from './lookedAt'
import { takeOn } from './takeOn'
import { useEvaluation } from './evaluation'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** Mounts of the powertrain, or of another body that has its own, and how it stands on them. */
export const useMounts = defineStore('mounts', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const sureness = useSureness()
  /** All that can stand on mounts; the one that is looked at, the powertrain first. */
  const bodies = computed(() => (workbench.build ? mountableBodies(workbench.build) : []))
  const { looked: lookedBody, one: body } = lookedAt(bodies, ({ id }) => id)
  const entries = computed<readonly ElasticMountEntry[]>(() => {
    const { build } = workbench
    if (!build) return []
    return (build.mounts ?? []).filter((mount) => heldBy(build, mount)?.id === body.value?.id)
  })
  const answer = computed(() => {
    const all = evaluation.current ? foundOf(evaluation.current.subjects, MOUNTS) : []
    return all.find(({ mounted }) => mounted.body.id === body.value?.id) ?? null
  })
  const found = computed(() => answer.value?.found ?? unknown(''))
  /** The case that is looked at. */
  const looked = ref('drive')
  const at = computed(() => {
    if (!found.value.known) return null
    const { cases } = found.value.value
    return cases.find(({ at: one }) => one.key === looked.value) ?? cases[0] ?? null
  })
  const rows = computed(() =>
    found.value.known && workbench.build ? caseRows(found.value.value, workbench.build.units) : [],
  )
  const forces = computed(() => (at.value ? forceRows(at.value, entries.value, sureness.result) : []))
  const strains = computed(() => strainRows(entries.value))
  const isMuch = computed(() => (answer.value?.checks ?? []).some(({ verdict }) => verdict !== 'holds'))
  const share = computed(() => (found.value.known ? shareSentence(found.value.value, isMuch.value) : null))
  /** By what the third mount is moved about the line through the other two; null without such a lever. */
  const third = computed(() => {
    const { build } = workbench
    if (body.value?.kind !== 'powertrain') return null
    return build?.levers.find((lever) => lever.kind === 'tail-up' && lever.body === body.value?.id) ?? null
  })
  const panes = (width: number) =>
    found.value.known && at.value ? mountPanes(found.value.value, at.value, width) : []

  /** The three mounts by which the body is moved, to be told how stiff they are. */
  function adopt(): void {
    const points = body.value?.kind === 'axle' ? undefined : body.value?.mounts
    if (!points) return add()
    const of = (point: string, isTail: boolean) => ({
      id: newId(),
      name: workbench.build?.points.find(({ id }) => id === point)?.name ?? words.newName,
      point,
      kind: 'ways' as const,
      ...(isTail && { isTail }),
    })
    const all = [of(points.frontLeft, false), of(points.frontRight, false), of(points.tail, true)]
    workbench.change('Add mounts', (draft) => {
      draft.mounts = [...(draft.mounts ?? []), ...structuredClone(all)]
    })
  }

  function add(): void {
    const of = body.value?.id
    if (of === undefined) return
    const [id, point] = [newId(), newId()]
    workbench.change('Add a mount', (draft) => {
      draft.points.push({ id: point, name: words.newPoint(words.newName), body: of })
      draft.mounts = [...(draft.mounts ?? []), { id, name: words.newName, point, kind: 'ways' }]
    })
  }

  function change(id: string, changed: Partial<Omit<ElasticMountEntry, 'id' | 'point' | 'kind'>>): void {
    workbench.change('Change a mount', (draft) => {
      assign(
        draft.mounts?.find((one) => one.id === id),
        changed,
      )
    })
  }

  /** Of what its rubber is, a push at it, or how far its hole was off. */
  function changePart(id: string, part: 'rubber' | 'push' | 'misfit', changed: object): void {
    workbench.change('Change a mount', (draft) => {
      const mount = draft.mounts?.find((one) => one.id === id)
      if (!mount) return
      mount[part] = { ...mount[part] }
      assign(mount[part], changed)
    })
  }

  /** Of another kind: its own figures go, the bolt of a bush is said. */
  function turnInto(id: string, kind: MountKind): void {
    workbench.change('Change a mount', (draft) => {
      const mount = draft.mounts?.find((one) => one.id === id)
      if (!mount) return
      const gone = [...Object.values(MOUNT_FIGURES).flat(), 'gapMm', 'leanDeg', 'rubber', 'push'] as const
      assign(mount, {
        ...Object.fromEntries(gone.map((key) => [key, undefined])),
        kind,
        bolt: kind === 'bush' ? 'along' : undefined,
        way: kind === 'stop' ? 'up' : undefined,
      })
    })
  }

  /** What sets a mount elsewhere. */
  const leversOf = (id: string): readonly Lever[] =>
    (workbench.build?.levers ?? []).filter(({ mount }) => mount === id)

  /** With the levers that set it elsewhere. */
  function remove(id: string): void {
    takeOn(workbench, 'Delete a mount', (build) =>
      produce(
        leversOf(id).reduce((left, lever) => withoutLever(left, lever.id), build),
        (draft) => {
          const gone = draft.mounts?.find((one) => one.id === id)
          draft.mounts = (draft.mounts ?? []).filter((one) => one.id !== id)
          if (gone) dropPoints(draft, [gone.point])
        },
      ),
    )
  }

  /** Its place is a lever along a way, or no longer. */
  function free(id: string, kind: LeverKind, isFree: boolean): void {
    const of = body.value?.id
    const there = leversOf(id).find((lever) => lever.kind === kind)
    if (of === undefined || (there !== undefined) === isFree) return
    if (there) return void takeOn(workbench, 'Delete a lever', (build) => withoutLever(build, there.id))
    const lever = newId()
    const [least, most, step] = leverFacts(kind).usual
    workbench.change('Add a lever', (draft) => {
      draft.levers.push({ id: lever, kind, body: of, mount: id, range: [least, most], step })
    })
  }

  function turn(turns: Drivetrain['turns']): void {
    workbench.change('Say how the shaft turns', (draft) => {
      assign(draft.drivetrain, { turns })
    })
  }

  return {
    bodies,
    body,
    lookedBody,
    entries,
    found,
    looked,
    at,
    rows,
    forces,
    strains,
    share,
    isMuch,
    third,
    panes,
    adopt,
    add,
    change,
    changePart,
    turnInto,
    remove,
    leversOf,
    free,
    turn,
  }
})

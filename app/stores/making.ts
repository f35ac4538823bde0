import { produce, type Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import { madeBodyId } from '~~/core/drawing/made/madeBody'
import { memberScene } from '~~/core/drawing/memberScene'
import { mapKnown } from '~~/core/base/known'
import { powertrainOf } from '~~/core/file/parts/bodies'
import {
  MEMBER_KINDS,
  type Crossmember,
  type MemberKind,
  type MemberWay,
} from '~~/core/file/kinds/memberKinds'
import { withoutBody } from '~~/core/file/edits/withoutBody'
import { withMissingLimits } from '~~/core/file/edits/withMissingLimits'
import { MADE_LIMITS } from '~~/core/file/limits/profiles'
import type { Build } from '~~/core/file/build/build'
import { memberTemplate } from '~~/core/making/templates/memberTemplate'
import { titled, type Template } from '~~/core/making/templates/template'
import { MEMBERS } from '~~/core/model/memberSubject'
import { chosenPosition } from '~~/core/model/evaluateBuild'
import { foundOf } from '~~/core/model/subject'
import { blankCorners } from '~~/core/model/memberWork'
import { blankStock, changeSinceMade, wayRows } from '~~/core/show/text/memberText'
import { packRows } from '~~/core/show/text/packRows'
import { tailLoad } from '~~/core/vehicle/weight/tailLoad'
import { saveTemplate, type TemplateFile } from '../print/saveTemplate'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { making as words } from '../texts/making'
import { assign } from './assign'
import { dropPoints } from './dropPoints'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { lookedAt } from './lookedAt'
import { takeOn } from './takeOn'
import { useWeight } from './weight'
import { useWorkbench } from './workbench'

/** What a way begins with: usual stock, the builder's to change. */
const FIRST: Readonly<Record<MemberKind, Omit<MemberWay, 'id'>>> = {
  straight: { kind: 'straight', widthMm: 80, heightMm: 12, yieldMPa: 235 },
  bent: { kind: 'bent', widthMm: 80, heightMm: 10, insideRadiusMm: 12, kFactor: 0.4, yieldMPa: 235 },
  folded: { kind: 'folded', widthMm: 40, heightMm: 40, wallMm: 3, yieldMPa: 235 },
  ledges: { kind: 'ledges', widthMm: 80, heightMm: 12, yieldMPa: 235 },
  tube: { kind: 'tube', heightMm: 48.3, wallMm: 4, midlineRadiusMm: 120, yieldMPa: 235 },
  coped: { kind: 'coped', heightMm: 48.3, wallMm: 4, yieldMPa: 235 },
  old: { kind: 'old', widthMm: 80, heightMm: 10, plateMm: 10, yieldMPa: 235 },
}

/** What stands beside the bent flat that a new one begins with. */
const OTHERS = ['folded', 'straight', 'ledges'] as const

/** Usual sizes of a bar that nobody has measured yet. */
const USUAL = { side: 'under', endMm: 90, padMm: 120, bushMm: 35 } as const

/** Crossmembers of the open build: every way to make them, what is printed, what was taken as made. */
export const useMaking = defineStore('making', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const weight = useWeight()
  const levers = useLevers()

  const all = computed(() => (evaluation.current ? foundOf(evaluation.current.subjects, MEMBERS) : []))
  const { looked, one: found } = lookedAt(all, ({ member }) => member.id)
  const way = computed(
    () => found.value?.ways.find((one) => one.way.id === found.value?.member.chosen) ?? null,
  )
  const scene = (width: number) =>
    found.value && way.value ? memberScene(found.value, way.value, width) : null
  const rows = computed(() =>
    found.value && workbench.build ? wayRows(found.value, workbench.build.units) : [],
  )
  const change = computed(() => (found.value ? changeSinceMade(found.value) : null))
  /** By what the vehicle weighs; null while that is not told. */
  const load = computed(() => {
    const told = tailLoad(weight.mounts)
    return told.known ? told.value : null
  })
  /** What packing the tail does to the joints; none without a lever for it. */
  const packs = computed(() => {
    const lever = workbench.build?.levers.find(
      ({ kind, body }) => kind === 'tail-up' && body === powertrainId.value,
    )
    if (!lever || !found.value || !evaluation.compiled) return []
    return packRows(toRaw(evaluation.compiled), levers.settings, lever, found.value.member.id)
  })
  const powertrainId = computed(() => workbench.build && powertrainOf(workbench.build)?.id)
  const position = computed(() => workbench.build && chosenPosition(workbench.build))
  /** The blank at its true size; null while it is not known. */
  const template = computed<Template | null>(() => {
    if (!found.value || !way.value?.figures.known) return null
    const { blankMm } = way.value.figures.value
    if (blankMm === undefined) return null
    return memberTemplate(found.value.member, way.value.way, blankMm, blankCorners(way.value))
  })
  const printed = computed<Template | null>(() => {
    if (!template.value || !way.value || !found.value) return null
    const isBox = MEMBER_KINDS[way.value.way.kind].of === 'box'
    return titled(
      template.value,
      [
        `${blankStock(found.value.member, way.value.way)}, ${words.seen[MEMBER_KINDS[way.value.way.kind].of]}`,
        words.belongs(position.value?.name ?? '', today()),
      ],
      isBox ? words.upward : words.forward,
    )
  })

  function edit(label: string, recipe: (member: Draft<Crossmember>) => void): void {
    const id = found.value?.member.id
    workbench.change(label, (draft) => {
      const member = draft.crossmembers?.find((one) => one.id === id)
      if (member) recipe(member)
    })
  }
  const changeMember = (changed: Partial<Omit<Crossmember, 'id' | 'ways' | 'made'>>): void =>
    edit('Change a crossmember', (member) => assign(member, changed))

  function changeWay(id: string, changed: Partial<Omit<MemberWay, 'id'>>): void {
    edit('Change how a crossmember is made', (member) => {
      assign(
        member.ways.find((one) => one.id === id),
        changed,
      )
    })
  }

  function changeStrip(id: string, changed: Partial<NonNullable<MemberWay['strip']>>): void {
    edit('Measure a strip that was bent', (member) => {
      const way = member.ways.find((one) => one.id === id)
      if (!way) return
      way.strip = { ...way.strip }
      assign(way.strip, changed)
    })
  }

  function changePart(id: string, part: 'old' | 'press', changed: object): void {
    edit(part === 'old' ? 'Measure an old bar' : 'Say what press it is bent in', (member) => {
      const way = member.ways.find((one) => one.id === id)
      if (!way) return
      way[part] = { ...way[part] }
      assign(way[part], changed)
    })
  }

  function changeLean(side: 'left' | 'right', changed: object): void {
    edit('Read how a rail leans', (member) => {
      member.leans = { ...member.leans }
      const lean = { ...member.leans[side] }
      member.leans[side] = lean
      assign(lean, changed)
    })
  }

  function addWay(kind: MemberKind): void {
    const id = newId()
    edit('Add a way to make a crossmember', (member) => {
      member.ways.push({ id, ...FIRST[kind] })
    })
  }

  /** The way that it is made by stays. */
  function removeWay(id: string): void {
    edit('Delete a way to make a crossmember', (member) => {
      if (member.chosen !== id) member.ways = member.ways.filter((one) => one.id !== id)
    })
  }

  /** A new one between two faces of the rails, under the gearbox, with the limits of what is made. */
  function add(): void {
    const { build } = workbench
    if (!build) return
    const chassis = build.bodies.find(({ kind }) => kind === 'chassis')?.id
    const powertrain = powertrainOf(build)
    if (chassis === undefined || !powertrain) return
    const [id, left, right, own] = [newId(), newId(), newId(), newId()]
    const first = newId()
    const pad = powertrain.mounts?.tail ?? own
    const ways = [{ id: first, ...FIRST.bent }, ...OTHERS.map((kind) => ({ id: newId(), ...FIRST[kind] }))]
    workbench.change('Add a crossmember', (draft) => {
      draft.points.push({ id: left, name: words.leftSeat, body: chassis })
      draft.points.push({ id: right, name: words.rightSeat, body: chassis })
      if (pad === own) draft.points.push({ id: own, name: words.padSeat, body: powertrain.id })
      draft.crossmembers = [
        ...(draft.crossmembers ?? []),
        {
          id,
          name: words.newName,
          left,
          right,
          pad,
          ...USUAL,
          ways,
          chosen: first,
          state: 'idea',
        },
      ]
      draft.limits.entries = withMissingLimits(
        draft as Build,
        MADE_LIMITS.map(({ quantity }) => quantity),
      ).limits.entries as Draft<Build['limits']['entries']>
    })
    looked.value = id
  }

  /** Takes one away, with its seats where nothing else needs them, and out of the bay where nothing holds it there. */
  function remove(): void {
    const gone = found.value?.member
    if (!gone) return
    takeOn(workbench, 'Delete a crossmember', (build) =>
      produce(withoutBody(build, madeBodyId('bar', gone.id)), (draft) => {
        draft.crossmembers = (draft.crossmembers ?? []).filter(({ id }) => id !== gone.id)
        dropPoints(draft, [gone.left, gone.right, gone.pad])
      }),
    )
  }

  /** Keeps where its seats are now: from here on it says when they lie otherwise. */
  function takeAsMade(): void {
    const seats = found.value?.seats
    if (!seats?.known) return
    const at = mapKnown(seats, ({ left, right, pad }) => ({
      left: spot(left),
      right: spot(right),
      pad: spot(pad),
    }))
    if (!at.known) return
    edit('Take a crossmember as made', (member) => {
      member.made = { at: today(), ...(position.value && { position: position.value.id }), ...at.value }
    })
  }

  async function save(file: TemplateFile): Promise<void> {
    if (printed.value) await saveTemplate(workbench.build?.name ?? '', printed.value, file)
  }

  return {
    ...{ all, looked, found, way, scene, rows, packs, change, load, position, template, printed },
    ...{
      changeMember,
      changeWay,
      changeStrip,
      changePart,
      changeLean,
      addWay,
      removeWay,
      add,
      remove,
      takeAsMade,
      save,
    },
  }
})

const spot = ([forwardMm, leftMm, upMm]: readonly [number, number, number]) => ({ forwardMm, leftMm, upMm })

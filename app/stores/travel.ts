import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import {
  withHeight,
  withMotion,
  withoutHeight,
  withTravel,
  type HeightRead,
  type MotionWay,
  type TravelChange,
} from '~~/core/file/edits/motionEdits'
import { withHubMotion, withLength, withoutLength, type HubWay } from '~~/core/file/edits/hubEdits'
import { withMissingLimits } from '~~/core/file/edits/withMissingLimits'
import { placesOfLine } from '~~/core/check/lineStates'
import { placeName } from '~~/core/check/placeName'
import { crossMap } from '~~/core/model/crossMap'
import { travelWays, valueAt } from '~~/core/model/travelCurves'
import type { SweepWay } from '~~/core/stand/sweep'
import { wheeledOf } from '~~/core/file/parts/bodies'
import type { AxleBody, BodyId } from '~~/core/file/parts/body'
import type { ArcMotion } from '~~/core/file/parts/axleMotion'
import type { LengthRow } from '~~/core/file/parts/hubMotion'
import type { Id } from '~~/core/file/parts/id'
import type { Line } from '~~/core/file/parts/lineSpec'
import { heightsAt, isCrossed, isLock, wheelPlaces, type TravelPlace } from '~~/core/file/build/wheelPlaces'
import { quantitiesThat } from '~~/core/file/build/quantities'
import { newId } from '../storage/newId'
import { travelTexts } from '../texts/travel'
import { assign } from './assign'
import { takeOn } from './takeOn'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useWorkbench } from './workbench'

/** What a shaft is judged by once it is known how far the wheels go. */
const JUDGED = quantitiesThat(({ isOfTravel }) => isOfTravel === true)

/** The travel of the wheels: the ways through it, where one looks, how axles move. */
export const useTravel = defineStore('travel', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const ways = computed(() => (evaluation.compiled ? travelWays(evaluation.compiled, levers.settings) : []))
  const cross = computed(() => (evaluation.compiled ? crossMap(evaluation.compiled, levers.settings) : null))
  const wanted = ref<SweepWay>('parallel')
  const way = computed(() => ways.value.find((one) => one.way === wanted.value) ?? ways.value[0] ?? null)
  const atMm = ref(0)
  watch(
    () => workbench.build?.id,
    () => {
      atMm.value = 0
      wanted.value = 'parallel'
    },
  )
  const moving = computed(() => (workbench.build ? wheeledOf(workbench.build) : []))

  /** The ways that a line goes: crossed with an axle, at either end of the rack with a steered hub. */
  function waysOf(line: Line | undefined): SweepWay[] {
    const { build } = workbench
    const all = ways.value.map((one) => one.way)
    if (!build || !line) return all
    const places = placesOfLine(build, line).map(({ travel }) => travel)
    const end = build.axes.find(({ id }) => id === line.driven)?.body
    const isHub = moving.value.some(({ id, kind }) => id === end && kind === 'hub')
    return all.filter((one) =>
      one === 'parallel' ? true : one === 'crossed' ? !isHub : places.includes(one),
    )
  }

  /** Goes to a place along the way, no further than it goes. */
  function goTo(mm: number): void {
    const along = way.value?.leftUpMm ?? [0]
    atMm.value = Math.min(along.at(-1) ?? 0, Math.max(along[0] ?? 0, mm))
  }
  /** Goes to a named place of the wheels; ride height for null. */
  function goToPlace(place: TravelPlace | null): void {
    const [axle] = evaluation.compiled?.travel?.axles ?? []
    if (place === null || place === 'settled') {
      goTo(place && axle ? (heightsAt(axle, place)?.leftUpMm ?? 0) : 0)
      return
    }
    wanted.value = isLock(place)
      ? place.endsWith('left-lock')
        ? 'left-lock'
        : 'right-lock'
      : isCrossed(place)
        ? 'crossed'
        : 'parallel'
    if (place === 'left-lock' || place === 'right-lock') {
      goTo(0)
      return
    }
    const along = way.value?.leftUpMm ?? [0]
    atMm.value = (place.startsWith('bump') || place === 'left-up' ? along.at(-1) : along[0]) ?? 0
  }
  /** How far the right wheel is up where one looks. */
  const rightUpMm = computed(() =>
    way.value ? valueAt(way.value.leftUpMm, way.value.rightUpMm, atMm.value) : 0,
  )
  const placeWords = computed(() =>
    atMm.value === 0
      ? travelTexts.atRide
      : workbench.build
        ? placeName(atMm.value, rightUpMm.value, workbench.build.units)
        : '',
  )
  /** Of the first axle that has one: what one wheel above the other tilts it by. */
  const trackMm = computed(
    () =>
      moving.value.flatMap((body) => (body.kind === 'axle' ? (body.sizes?.trackMm ?? []) : []))[0] ??
      Infinity,
  )
  const places = computed(() => (workbench.build ? wheelPlaces(workbench.build) : []))

  const setMotion = (axle: BodyId, to: MotionWay): boolean =>
    takeOn(workbench, 'How the axle moves', (build) => withMotion(build, axle, to))
  const setHubMotion = (hub: BodyId, to: HubWay): boolean =>
    takeOn(workbench, 'How the hub moves', (build) => withHubMotion(build, hub, to))
  const takeLength = (hub: BodyId, row: LengthRow): boolean =>
    takeOn(workbench, 'Measure a halfshaft', (build) => withLength(build, hub, row))
  const removeLength = (hub: BodyId, wheelUpMm: number): boolean =>
    takeOn(workbench, 'Take a height out', (build) => withoutLength(build, hub, wheelUpMm))
  const setTravel = (body: BodyId, changed: TravelChange): boolean =>
    takeOn(workbench, 'How far the wheels go', (build) =>
      withMissingLimits(withTravel(build, body, changed), JUDGED),
    )
  const takeHeight = (axle: BodyId, height: HeightRead): boolean =>
    takeOn(workbench, 'Read the axle at a height', (build) => withHeight(build, axle, height))
  const removeHeight = (axle: BodyId, wheelUpMm: number): boolean =>
    takeOn(workbench, 'Take a height out', (build) => withoutHeight(build, axle, wheelUpMm))

  function changeAxle(label: string, id: BodyId, recipe: (axle: AxleBody) => void): void {
    workbench.change(label, (draft) => {
      const body = draft.bodies.find((one) => one.id === id)
      if (body?.kind === 'axle') recipe(body)
    })
  }
  const setArc = (
    id: BodyId,
    changed: { readonly [K in 'radiusShare' | 'noseUpDegPerMm' | 'springMm']?: ArcMotion[K] | undefined },
  ): void =>
    changeAxle('Arc of the springs', id, ({ motion }) => {
      if (motion?.kind === 'arc') assign(motion, changed)
    })
  const setTrack = (id: BodyId, trackMm: number | undefined): void =>
    changeAxle('Track of the axle', id, (axle) => {
      const sizes = { ...axle.sizes }
      assign(sizes, { trackMm })
      assign(axle, { sizes })
    })
  /** Makes the length of a link a lever. */
  function addLinkLever(body: BodyId, holding: Id): void {
    const id = newId()
    workbench.change('Make a link a lever', (draft) => {
      draft.levers.push({ id, kind: 'link-length', body, holding, range: [-20, 20], step: 1 })
    })
  }

  return {
    ways,
    waysOf,
    cross,
    way,
    wanted,
    atMm,
    rightUpMm,
    placeWords,
    trackMm,
    places,
    moving,
    goTo,
    goToPlace,
    setMotion,
    setHubMotion,
    takeLength,
    removeLength,
    setTravel,
    takeHeight,
    removeHeight,
    setArc,
    setTrack,
    addLinkLever,
  }
})

import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { outlinePicture } from '~~/core/drawing/outlinePicture'
import type { Outline } from '~~/core/file/parts/outline'
import { MAX_CORNERS } from '~~/core/file/parts/outline'
import { SEEN_FROM } from '~~/core/file/parts/photo'
import { pointOf } from '~~/core/measure/geometry/geometry'
import { depthText } from '~~/core/show/text/tracingText'
import { withCorner } from '~~/core/measure/tracing/corners'
import { depthFault, photoMap, type Pixel, type Place } from '~~/core/measure/tracing/photoScale'
import { rescaled } from '~~/core/measure/tracing/retraced'
import { draftOf, NEW_SCALE, placeSeen, scaleOf, type ScaleDraft } from '~~/core/measure/tracing/scaleDraft'
import { draftKey } from '../storage/drafts'
import { keepNote, keptNote } from '../storage/notes'
import { useBay } from './bay'
import { useEvaluation } from './evaluation'
import { photosOf, usePhotos } from './photos'
import { useWorkbench } from './workbench'

/** What a tap on the picture sets. */
export type TraceTool = 'first' | 'second' | 'corner'
/** What is taken hold of on the picture. */
export type TraceMark =
  { readonly tool: 'first' | 'second' } | { readonly tool: 'corner'; readonly index: number }

/** What is kept of a photograph while it is not scaled, or has no outline yet. */
interface Started {
  readonly draft: ScaleDraft
  readonly corners: readonly Pixel[]
}

/** Tracing a part of the bay over a photograph. */
export const useTracing = defineStore('tracing', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const bay = useBay()
  const photos = usePhotos()
  const part = ref('')
  const photoId = ref<string | null>(null)
  const tool = ref<TraceTool>('first')
  /** What was told, where it is not in the build yet. */
  const started = shallowRef<Started | null>(null)
  /** A mark that is in the hand, and where it is held. */
  const held = shallowRef<{ readonly mark: TraceMark; readonly pixel: Pixel } | null>(null)

  const body = computed(() => workbench.build?.bodies.find(({ id }) => id === part.value) ?? null)
  const list = computed(() => (workbench.build ? photosOf(workbench.build, part.value) : []))
  const photo = computed(() => list.value.find(({ id }) => id === photoId.value) ?? null)
  const draft = computed<ScaleDraft>(
    () => started.value?.draft ?? (photo.value?.scale ? draftOf(photo.value.scale) : NEW_SCALE),
  )
  const scaled = computed(() => scaleOf(draft.value))
  /** While a scale is changed and not whole, the one that the build has goes on. */
  const map = computed(() => {
    if ('map' in scaled.value) return scaled.value.map
    return photo.value?.scale ? photoMap(photo.value.scale) : null
  })
  /** The outline of the part that was traced over this photograph; its place in the list, or -1. */
  const at = computed(
    () =>
      body.value?.outlines?.findIndex((one) => one.photo !== undefined && one.photo === photoId.value) ?? -1,
  )
  const outline = computed<Outline | null>(() => body.value?.outlines?.[at.value] ?? null)
  const corners = computed<readonly Pixel[]>(() => {
    const { value: one } = map
    const settled =
      outline.value && one ? outline.value.corners.map(one.toPixel) : (started.value?.corners ?? [])
    const now = held.value
    return now?.mark.tool === 'corner' ? settled.with(now.mark.index, now.pixel) : settled
  })
  const points = computed(() => {
    const now = held.value
    const pointAt = (which: 'first' | 'second') => (now?.mark.tool === which ? now.pixel : draft.value[which])
    return { first: pointAt('first'), second: pointAt('second') }
  })

  const keyOf = (id: string) => draftKey(workbench.build?.id ?? '', `trace-${id}`)

  function open(body: string, photo: string | null): void {
    part.value = body
    photoId.value = photo ?? list.value[0]?.id ?? null
    held.value = null
    started.value = photoId.value === null ? null : readStarted(keyOf(photoId.value))
    tool.value = !draft.value.first ? 'first' : !draft.value.second ? 'second' : 'corner'
    void photos.show(photoId.value)
  }

  /** Keeps what is not in the build yet, so that a reload loses nothing. */
  function keep(next: Started | null): void {
    started.value = next
    if (photoId.value !== null) keepNote(keyOf(photoId.value), next)
  }

  /** Changes the scale; once it is whole the build has it, and what was traced goes along. */
  function change(changed: Partial<ScaleDraft>): void {
    const next = { ...draft.value, ...changed }
    const result = scaleOf(next)
    const { build } = workbench
    const id = photoId.value
    const begun = started.value?.corners ?? []
    if ('lacks' in result || !build || id === null) return keep({ draft: next, corners: begun })
    const { bodies, photos: list } = rescaled(build, id, result.scale)
    workbench.change('Scale a photograph', (edited) => {
      edited.bodies = structuredClone(bodies) as typeof edited.bodies
      edited.photos = structuredClone(list) as typeof edited.photos
    })
    keep(begun.length > 0 ? { draft: next, corners: begun } : null)
    if (begun.length >= 3) setCorners(begun)
  }

  /** Puts a point of the build in as the place of A or B. */
  function takePoint(which: 'at' | 'other', id: string): void {
    const place = evaluation.current && pointOf(evaluation.current.measured, id)
    if (place?.known) change({ [which]: placeSeen(place.value, draft.value.seenFrom) })
  }

  /** Points of the build whose places are known. */
  const known = computed(() => {
    const { build } = workbench
    const { current } = evaluation
    if (!build || !current) return []
    return build.points.flatMap(({ id, name }) =>
      pointOf(current.measured, id).known ? [{ value: id, label: name }] : [],
    )
  })

  /** Sets what is chosen at a place of the picture. */
  function set(pixel: Pixel, nearPx: number): void {
    if (tool.value === 'corner') return addCorner(pixel, nearPx)
    const which = tool.value
    change({ [which]: pixel })
    tool.value = which === 'first' && !draft.value.second ? 'second' : 'corner'
  }

  function addCorner(pixel: Pixel, nearPx: number): void {
    if (corners.value.length < MAX_CORNERS) setCorners(withCorner(corners.value, pixel, nearPx))
  }

  function moveTo(mark: TraceMark, pixel: Pixel): void {
    held.value = null
    if (mark.tool === 'corner') setCorners(corners.value.with(mark.index, pixel))
    else change({ [mark.tool]: pixel })
  }

  const removeCorner = (index: number): void => setCorners(corners.value.toSpliced(index, 1))

  /** From three corners on they are an outline of the part; before that they are kept beside the build. */
  function setCorners(next: readonly Pixel[]): void {
    const { value: one } = map
    const outlines = body.value?.outlines ?? []
    const isWhole = one !== null && next.length >= 3
    if (isWhole) {
      const traced: Outline = {
        ...(outline.value ?? { photo: photoId.value ?? undefined }),
        view: SEEN_FROM[draft.value.seenFrom],
        corners: next.map(one.toPlace).map(([x, y]) => [tenth(x), tenth(y)] as const),
      }
      bay.changeBody(part.value, {
        outlines: outline.value ? outlines.with(at.value, traced) : [...outlines, traced],
      })
    } else if (outline.value) {
      const left = outlines.toSpliced(at.value, 1)
      bay.changeBody(part.value, { outlines: left.length > 0 ? left : undefined })
    }
    const isScaled = photo.value?.scale !== undefined && !('lacks' in scaled.value)
    keep(isWhole || (next.length === 0 && isScaled) ? null : { draft: draft.value, corners: next })
  }

  /** What was begun is of the scale as it was: another one, by undo or from another tab, comes before it. */
  watch(
    () => photo.value?.scale,
    (now, before) => {
      if (now && before && started.value) keep({ ...started.value, draft: draftOf(now) })
    },
  )

  const depth = computed(() => {
    const { value: one } = map
    const { cameraMm, nearerMm } = draft.value
    const units = workbench.build?.units
    const picture = photos.shown
    if (!one || !picture || !units || cameraMm === undefined || nearerMm === undefined) return null
    if (nearerMm >= cameraMm) return null
    const middle = one.toPlace([picture.widthPx / 2, picture.heightPx / 2])
    const fault = depthFault(outline.value?.corners ?? [], middle, cameraMm, nearerMm)
    return depthText(fault, { cameraMm, nearerMm }, units)
  })
  const placeOf = (pixel: Pixel): Place | null => map.value?.toPlace(pixel) ?? null

  return {
    part,
    photoId,
    photo,
    list,
    body,
    tool,
    draft,
    points,
    corners,
    outline,
    known,
    depth,
    held,
    crosses: computed(() => outline.value !== null && outlinePicture(outline.value)?.crosses === true),
    lacks: computed(() => ('lacks' in scaled.value ? scaled.value.lacks : [])),
    map,
    open,
    change,
    takePoint,
    set,
    moveTo,
    removeCorner,
    placeOf,
  }
})

/** A tenth of a millimetre is finer than any tracing. */
const tenth = (mm: number): number => Math.round(mm * 10) / 10

/** What was begun in an earlier visit; what cannot be read is as if it were not there. */
function readStarted(key: string): Started | null {
  const raw = keptNote(key)
  return isStarted(raw) ? withoutNulls(raw) : null
}

/** What was not told comes back from the store as null. */
function withoutNulls({ draft, corners }: Started): Started {
  const told = (place: ScaleDraft['at']): ScaleDraft['at'] => [place[0] ?? undefined, place[1] ?? undefined]
  return { corners, draft: { ...draft, at: told(draft.at), other: told(draft.other) } }
}

const isPixel = (raw: unknown): raw is Pixel =>
  Array.isArray(raw) && raw.length === 2 && raw.every((part) => Number.isFinite(part))

function isStarted(raw: unknown): raw is Started {
  if (typeof raw !== 'object' || raw === null) return false
  const { draft, corners } = raw as Partial<Record<keyof Started, unknown>>
  if (typeof draft !== 'object' || draft === null || !Array.isArray(corners)) return false
  const { seenFrom, at, other, first, second, distanceMm, cameraMm, nearerMm } = draft as Record<
    string,
    unknown
  >
  const figures = [distanceMm, cameraMm, nearerMm, ...[at, other].flat()]
  return (
    typeof seenFrom === 'string' &&
    seenFrom in SEEN_FROM &&
    [at, other].every((place) => Array.isArray(place) && place.length <= 2) &&
    figures.every((one) => one === undefined || one === null || Number.isFinite(one)) &&
    [first, second].every((one) => one === undefined || isPixel(one)) &&
    corners.every(isPixel)
  )
}

import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { Build } from '~~/core/file/build/build'
import { withoutPhoto } from '~~/core/measure/tracing/retraced'
import { newId } from '../storage/newId'
import { PICTURE_TYPES, pictureEnding } from '../storage/pictureKind'
import { pictureSize, smallPicture, UnusablePicture, type PictureSize } from '../storage/smallPicture'
import { askToPersist, storageReason, usePhotoRepository } from '../storage/storage'
import { texts } from '../texts/en'
import { useWorkbench } from './workbench'

/** A picture on screen. */
export interface ShownPicture extends PictureSize {
  readonly id: string
  /** An address within this page. */
  readonly url: string
}

/** The photographs of the open build: taken in, scaled down, shown. */
export const usePhotos = defineStore('photos', () => {
  const workbench = useWorkbench()
  const repository = usePhotoRepository()
  const shown = shallowRef<ShownPicture | null>(null)
  /** The build speaks of it, but its picture is not in this browser. */
  const isMissing = ref(false)
  const isTaking = ref(false)
  const failure = ref('')
  let latest = 0

  async function show(id: string | null): Promise<void> {
    const run = ++latest
    const buildId = workbench.build?.id
    hide()
    if (!buildId || id === null) return
    try {
      const stored = await repository.get(buildId, id)
      const ending = stored ? pictureEnding(stored.bytes) : null
      if (run !== latest) return
      if (!stored || !ending) {
        isMissing.value = true
        return
      }
      const blob = new Blob([stored.bytes as BlobPart], { type: PICTURE_TYPES[ending] })
      const size = await pictureSize(blob)
      if (run === latest) shown.value = { id, url: URL.createObjectURL(blob), ...size }
    } catch (error) {
      if (run === latest) failure.value = reasonOf(error)
    }
  }

  /** The address of a picture within this page, to be given back when it is no longer shown; null where it is not here. */
  async function addressOf(id: string): Promise<string | null> {
    const buildId = workbench.build?.id
    const stored = buildId ? await repository.get(buildId, id) : undefined
    const ending = stored ? pictureEnding(stored.bytes) : null
    if (!stored || !ending) return null
    return URL.createObjectURL(new Blob([stored.bytes as BlobPart], { type: PICTURE_TYPES[ending] }))
  }

  function hide(): void {
    if (shown.value) URL.revokeObjectURL(shown.value.url)
    shown.value = null
    isMissing.value = false
    failure.value = ''
  }

  /**
   * Takes a photograph in; the picture is stored before the build speaks of it.
   *
   * @param as - the id of a photograph whose picture is not here
   * @returns its id; null when it could not be taken
   */
  async function take(file: File, shows: string | null, as: string | null = null): Promise<string | null> {
    const buildId = workbench.build?.id
    if (!buildId) return null
    isTaking.value = true
    failure.value = ''
    askToPersist()
    try {
      const bytes = await smallPicture(file)
      const id = as ?? newId()
      await repository.put({ buildId, id, bytes })
      if (workbench.build?.id !== buildId) return null
      const name =
        file.name
          .replace(/\.[a-z0-9]+$/i, '')
          .trim()
          .slice(0, 200) || texts.trace.unnamed
      const takenAt = new Date().toISOString()
      if (as === null)
        workbench.change('Add a photograph', (draft) => {
          draft.photos = [...(draft.photos ?? []), { id, name, takenAt, ...(shows !== null && { shows }) }]
        })
      return id
    } catch (error) {
      failure.value = texts.trace.notTaken(file.name, reasonOf(error))
      return null
    } finally {
      isTaking.value = false
    }
  }

  /** Takes a photograph off the build; what was traced stays, and undo brings the picture back. */
  function remove(id: string): void {
    const { build } = workbench
    if (!build) return
    const { bodies, photos } = withoutPhoto(build, id)
    workbench.change('Remove a photograph', (draft) => {
      draft.bodies = structuredClone(bodies) as typeof draft.bodies
      draft.photos = structuredClone(photos) as typeof draft.photos
    })
  }

  watch(
    () => workbench.build?.id,
    () => hide(),
  )

  return { shown, isMissing, isTaking, failure, show, addressOf, hide, take, remove }
})

/** Photographs that show a body. */
export const photosOf = ({ photos = [] }: Build, body: string) => photos.filter(({ shows }) => shows === body)

const reasonOf = (error: unknown): string =>
  error instanceof UnusablePicture ? error.message : storageReason(error)

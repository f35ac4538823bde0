import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { MADE_UP_PARTS } from '~~/core/bay/shelf/madeUpParts'
import { parsePartText, partText } from '~~/core/bay/shelf/partFile'
import type { ShelfPart } from '~~/core/bay/shelf/shelfPart'
import { problemText } from '~~/core/file/parts/problem'
import { newId } from '../storage/newId'
import { download } from '../storage/download'
import { fileName } from '../storage/fileName'
import { storageReason, useShelfRepository } from '../storage/storage'
import { texts } from '../texts/en'

/** Ending of a part's file. */
const PART_ENDING = '.lurvan-part.json'
/** Largest file that is read at all, in bytes. */
const MOST_BYTES = 1_000_000

/** Parts to take from: made-up ones, and the builder's own, which stay in this browser and go out and in as files. */
export const useShelf = defineStore('shelf', () => {
  const repository = useShelfRepository()
  const own = shallowRef<readonly ShelfPart[]>([])
  const notice = ref('')
  const failure = ref('')
  const parts = computed(() => [
    ...own.value.map((part) => ({ part, isOwn: true })),
    ...MADE_UP_PARTS.map((part) => ({ part, isOwn: false })),
  ])

  /** Runs a storing action; what fails is told and nothing is changed on screen. */
  async function storing(action: () => Promise<void>): Promise<boolean> {
    try {
      await action()
      own.value = await repository.all()
      failure.value = ''
      return true
    } catch (error) {
      failure.value = texts.bay.shelf.failed(storageReason(error))
      return false
    }
  }

  const load = (): Promise<boolean> => storing(async () => undefined)
  const keep = (part: ShelfPart): Promise<boolean> => storing(() => repository.put(part))
  const forget = (id: string): Promise<boolean> => storing(() => repository.remove(id))

  function save(part: ShelfPart): void {
    download(fileName(part.name).replace(/\.lurvan\.json$/, PART_ENDING), partText(part), 'application/json')
  }

  /** Takes a part file in; one that is there already is never overwritten, it comes in beside it. */
  async function take(file: File): Promise<void> {
    notice.value = ''
    const words = texts.bay.shelf
    const refuse = (reason: string) => {
      failure.value = words.refused(file.name, reason)
    }
    if (file.size > MOST_BYTES) return refuse('it is larger than any part')
    const read = parsePartText(await file.text())
    if (!read.ok) return refuse(read.problems.map(problemText).join('; '))
    const isThere = own.value.some(({ id }) => id === read.value.id)
    const part = isThere ? { ...read.value, id: newId() } : read.value
    if (await keep(part)) notice.value = words.imported(part.name)
  }

  return { parts, notice, failure, load, keep, forget, save, take }
})

import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { LogEntry } from '~~/core/file/kinds/logKinds'
import { foundLines, logLines, mistakeCosts, openDefects } from '~~/core/jobs/log/logLines'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { log as words } from '../texts/log'
import { assign } from './assign'
import { usePhotos } from './photos'
import { useWorkbench } from './workbench'

type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** What happened on the open build. */
export const useLog = defineStore('log', () => {
  const workbench = useWorkbench()
  const photos = usePhotos()
  const search = ref('')
  const all = computed(() => (workbench.build ? logLines(workbench.build) : []))
  const found = computed(() => foundLines(all.value, search.value))
  const defects = computed(() => (workbench.build ? openDefects(workbench.build) : []))
  const mistakes = computed(() => (workbench.build ? mistakeCosts(workbench.build) : []))

  function add(name: string, photo?: string): string {
    const id = newId()
    workbench.change(words.changes.add, (draft) => {
      const entry = {
        id,
        name: name.slice(0, 200),
        at: today(),
        sort: 'note' as const,
        ...(photo && { photos: [photo] }),
      }
      draft.log = [...(draft.log ?? []), entry]
    })
    return id
  }
  function change(id: string, changed: Changed<Omit<LogEntry, 'id'>>): void {
    workbench.change(words.changes.change, (draft) => {
      assign(
        draft.log?.find((entry) => entry.id === id),
        changed,
      )
    })
  }
  /** Takes an entry away with its photographs; undo brings both back. */
  function remove(id: string): void {
    workbench.change(words.changes.remove, (draft) => {
      const gone = draft.log?.find((entry) => entry.id === id)?.photos ?? []
      draft.log = (draft.log ?? []).filter((entry) => entry.id !== id)
      const kept = new Set(draft.log.flatMap(({ photos: own = [] }) => own))
      if (draft.photos)
        draft.photos = draft.photos.filter((one) => !gone.includes(one.id) || kept.has(one.id))
    })
  }
  /** A photograph of an entry, or with a name the entry itself. */
  async function photograph(
    file: File,
    of: { readonly id: string } | { readonly name: string },
  ): Promise<void> {
    const photo = await photos.take(file, null)
    if (photo === null) return
    if ('name' in of) add(of.name || file.name.replace(/\.[a-z0-9]+$/i, ''), photo)
    else
      change(of.id, {
        photos: [...(all.value.find(({ entry }) => entry?.id === of.id)?.photos ?? []), photo],
      })
  }

  return { search, all, found, defects, mistakes, add, change, remove, photograph }
})

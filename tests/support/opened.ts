import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import type { Build } from '../../core/file/build/build'
import { changedBay } from '../../core/testdata/bay'
import { changedDemo, type RawBuild } from '../../core/testdata/builds'
import { useBuildRepository } from '../../app/storage/storage'
import { useWorkbench } from '../../app/stores/workbench'

let count = 0

/** Opens a demo with something changed in a fresh set of stores, as a page does. */
export const openedDemo = (edit: (raw: RawBuild) => void = () => undefined) => openedBuild(changedDemo(edit))

/** Opens the tight bay with something changed. */
export const openedBay = (edit: (raw: RawBuild) => void = () => undefined) => openedBuild(changedBay(edit))

/** Opens a build in a fresh set of stores. */
export async function openedBuild(of: Build) {
  setActivePinia(createPinia())
  const build = { ...of, id: `opened-${++count}` }
  await useBuildRepository().add(build, () => 'never')
  const workbench = useWorkbench()
  await workbench.open(build.id)
  return workbench
}

/** The open build, once everything is stored; proves that what is stored is what is shown. */
export async function storedBuild(): Promise<Build> {
  const workbench = useWorkbench()
  await workbench.settled()
  expect(workbench.hasUnsaved).toBe(false)
  const stored = await useBuildRepository().load(workbench.build?.id ?? '')
  if (!stored?.ok) throw new Error('not readable')
  expect(stored.value.build).toEqual(workbench.build)
  return stored.value.build
}

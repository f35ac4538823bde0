import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Body } from '~~/core/file/parts/body'
import { standsSentence } from '~~/core/show/text/plateText'
import { newId } from '../storage/newId'
import { plateStands as words } from '../texts/plateStands'
import { dropStands } from './dropStands'
import { usePlates } from './plates'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** Where the plate that is looked at stands in the vehicle: three of its holes, each at a point. */
export const usePlateStands = defineStore('plate-stands', () => {
  const workbench = useWorkbench()
  const sureness = useSureness()
  const plates = usePlates()
  /** What is missing for it; null where nothing is, or nobody says where it stands. */
  const missing = computed(() => {
    const standing = plates.found?.standing
    return standing && !standing.known ? standing.missing : null
  })
  const pointOf = (id: string) => workbench.build?.points.find((point) => point.id === id)
  /** Bodies that it can be bolted to; what it is bolted to now. */
  const bodies = computed((): readonly Body[] =>
    (workbench.build?.bodies ?? []).filter(({ kind }) => kind !== 'item'),
  )
  const body = computed(() => pointOf(plates.found?.plate.stands?.[0]?.point ?? '')?.body)
  const sentence = computed(() =>
    plates.found && workbench.build
      ? standsSentence(plates.found, workbench.build.units, sureness.result)
      : null,
  )

  /** On a body, by points of its own that are then to be read; or nobody says where. */
  function standOn(on: string | undefined): void {
    const own = plates.found?.plate
    if (!own) return
    const fresh = own.holes.slice(0, 3).map(({ id: hole }) => ({ hole, point: newId() }))
    workbench.change(
      on === undefined ? 'Say no more where a plate stands' : 'Say where a plate stands',
      (draft) => {
        const there = draft.plates?.find(({ id }) => id === own.id)
        if (!there) return
        dropStands(there, draft)
        if (on === undefined) return
        for (const { hole, point } of fresh)
          draft.points.push({ id: point, name: words.newPoint(there.name, hole), body: on })
        there.stands = fresh
      },
    )
  }

  /** Another hole is at a point; where that hole had one, the two change places. A name nobody changed follows. */
  function changeHole(k: number, hole: string): void {
    const id = plates.found?.plate.id
    workbench.change('Say which hole of a plate is at a point', (draft) => {
      const there = draft.plates?.find((one) => one.id === id)
      const own = there?.stands?.[k]
      if (!there || !own) return
      const nameOf = (of: string) => words.newPoint(there.name, of)
      const set = (stand: typeof own, to: string): void => {
        const point = draft.points.find((one) => one.id === stand.point)
        if (point?.name === nameOf(stand.hole)) point.name = nameOf(to)
        stand.hole = to
      }
      const other = there.stands?.find((one) => one.hole === hole)
      if (other) set(other, own.hole)
      set(own, hole)
    })
  }

  return { missing, bodies, body, sentence, standOn, changeHole }
})

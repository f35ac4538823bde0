import type { RouteLocationRaw } from 'vue-router'
import type { Missing } from '~~/core/base/known'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

/** Where a place in the file is entered: views by the beginning of its path. */
const VIEW_OF = [
  ['drivetrain.', 'strength'],
  ['weight.', 'weight'],
] as const
const SPEED = /^lines\[\d+\]\.speed$/
const READING = /^readings\[(\d+)\]/

/** Ways to the field that takes a figure: a view, or a drawer beside the one that is open, and the field in it. */
export function useFieldPlaces() {
  const route = useRoute()
  const workbench = useWorkbench()
  const readings = useReadings()
  const base = computed(() => `/b/${workbench.build?.id ?? ''}`)

  /** The way to a field by its place in the file; null where no field of its own takes it. */
  function toField(path: string): RouteLocationRaw | null {
    const view = VIEW_OF.find(([start]) => path.startsWith(start))?.[1]
    if (view) return { path: `${base.value}/${view}`, query: { field: path } }
    if (SPEED.test(path)) return { query: { ...route.query, drawer: 'parts', at: undefined, field: path } }
    const index = READING.exec(path)?.[1]
    const reading = index === undefined ? undefined : workbench.build?.readings[Number(index)]
    const step = reading && readings.steps.find((one) => one.reading?.id === reading.id)
    return step ? { path: `${base.value}/readings`, query: { step: step.id } } : null
  }
  /** The way to what is missing; what was never read is led to by the tour itself. */
  const toMissing = ({ path }: Missing): RouteLocationRaw =>
    toField(path) ?? { path: `${base.value}/readings` }
  return { toField, toMissing }
}

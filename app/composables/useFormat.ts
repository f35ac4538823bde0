import { computed } from 'vue'
import { formatAngle, formatLength, formatTravel } from '~~/core/base/units/format'
import type { UnitSettings } from '~~/core/base/units/unitSettings'
import { useWorkbench } from '~/stores/workbench'

const FALLBACK: UnitSettings = { length: 'mm', inchFraction: 16, angle: 'decimal' }

/** The open build's units, and figures shown in them. */
export function useFormat() {
  const workbench = useWorkbench()
  const units = computed(() => workbench.build?.units ?? FALLBACK)
  return {
    units,
    length: (mm: number) => formatLength(mm, units.value),
    travel: (mm: number) => formatTravel(mm, units.value),
    angle: (deg: number, decimals = 2) => formatAngle(deg, units.value, decimals),
  }
}

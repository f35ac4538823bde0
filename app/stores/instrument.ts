import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  SIMULATED_DEFAULTS,
  type InstrumentKind,
  type InstrumentReading,
} from '~~/core/measure/instruments/simulated'
import { READING_KINDS } from '~~/core/file/build/readingKinds'
import type { TourStep } from '~~/core/measure/tour/tour'
import { repeatFigures } from '~~/core/measure/figures/scatter'
import { localInstrument } from '../instruments/localInstrument'
import { serverInstrument } from '../instruments/serverInstrument'
import type { InstrumentConnection } from '../instruments/instrument'
import { useWorkbench } from './workbench'

/** The tool that is connected to the reading screen, and what it shows. */
export const useInstrument = defineStore('instrument', () => {
  const workbench = useWorkbench()
  const kind = ref<InstrumentKind | null>(null)
  const where = ref<'server' | 'local' | null>(null)
  const shown = shallowRef<InstrumentReading | null>(null)
  const isHeld = ref(false)
  const isLost = ref(false)
  let connection: InstrumentConnection | null = null
  let turn = 0
  const isConnected = computed(() => kind.value !== null)

  /** The tool that fits a step. */
  const kindFor = (step: TourStep): InstrumentKind =>
    READING_KINDS[step.quantity].unit === 'mm' ? 'laser' : 'level'

  /** What the simulation lets the tool lie on: the last reading of the step, else a usual figure. */
  function truthFor(step: TourStep): number {
    const { reading } = step
    const last =
      workbench.build && reading && 'values' in reading
        ? repeatFigures(workbench.build, reading)[0]
        : undefined
    return last ?? SIMULATED_DEFAULTS[kindFor(step)].truth
  }

  /** Connects the tool that fits a step: streamed by the server, or simulated here where there is none. */
  async function connect(step: TourStep): Promise<void> {
    close()
    const mine = ++turn
    const wanted = kindFor(step)
    kind.value = wanted
    const listener = {
      onReading: (reading: InstrumentReading) => {
        if (mine === turn) shown.value = reading
      },
      onLost: () => {
        if (mine === turn) isLost.value = true
      },
    }
    for (const instrument of [serverInstrument(wanted), localInstrument(wanted)]) {
      try {
        const opened = await instrument.connect(truthFor(step), listener)
        if (mine !== turn) return opened.close()
        connection = opened
        where.value = instrument.where
        return
      } catch {
        // The next one is tried.
      }
    }
  }

  function hold(): void {
    isHeld.value = !isHeld.value
    connection?.setHeld(isHeld.value)
  }

  function close(): void {
    turn++
    connection?.close()
    connection = null
    kind.value = null
    where.value = null
    shown.value = null
    isHeld.value = false
    isLost.value = false
  }

  /** The value shown, as text to be kept as a reading; null while there is none to trust. */
  const text = computed(() => {
    const { value: reading } = shown
    if (!reading || isLost.value) return null
    return reading.unit === 'mm'
      ? `${reading.value.toFixed(reading.decimals)} mm`
      : reading.value.toFixed(reading.decimals)
  })

  return { kind, where, shown, text, isHeld, isLost, isConnected, connect, hold, close }
})

/** Ids of the simulated tools in a build's drawer. */
export const SIMULATED_TOOLS = {
  level: {
    id: 'simulated-level',
    name: 'simulated level',
    kind: 'level',
    resolution: 0.01,
    accuracy: 0.1,
    simulated: true,
  },
  laser: {
    id: 'simulated-laser',
    name: 'simulated laser',
    kind: 'laser',
    resolution: 1,
    accuracy: 1,
    simulated: true,
  },
} as const

import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { NamedPoint } from '~~/core/file/parts/named'
import type { GivenPointReading } from '~~/core/file/kinds/givenReadings'
import type { SetupPointReading } from '~~/core/file/kinds/vehicleReadings'
import { centrelineReport, registrationReport } from '~~/core/show/text/registrationText'
import type { LengthUnit } from '~~/core/base/units/unitSettings'
import { newId } from '../storage/newId'
import { useReadings } from './readings'
import { useWorkbench } from './workbench'

export type Triple = [string, string, string]
export type Ways = ['rearward' | 'forward', 'left' | 'right', 'above' | 'below']

/** Three figures of a point as they were typed. */
export interface TypedTriple {
  readonly values: Triple
  readonly ways: Ways
  readonly unit?: LengthUnit
}

/** Datum points of the open build, and what they say about the setup being taken. */
export const useDatum = defineStore('datum', () => {
  const workbench = useWorkbench()
  const readings = useReadings()
  const points = computed(() => (workbench.build?.points ?? []).filter((point) => point.datum))
  /** Points that are no datum points but were measured from this setup's own line. */
  const others = computed(() =>
    (workbench.build?.points ?? []).filter((point) => !point.datum && shotReading(point.id) !== null),
  )
  const registration = computed(() =>
    workbench.build && readings.setup ? registrationReport(workbench.build, readings.setup) : null,
  )
  const centreline = computed(() =>
    workbench.build && readings.setup && (workbench.build.centrePairs?.length ?? 0) > 0
      ? centrelineReport(workbench.build, readings.setup)
      : null,
  )

  function given(pointId: string): TypedTriple | null {
    const reading = workbench.build?.readings.findLast(
      (one): one is GivenPointReading => one.kind === 'given-point' && one.point === pointId,
    )
    return reading
      ? {
          values: [reading.station, reading.offset, reading.height],
          ways: [reading.stationWay ?? 'rearward', reading.side ?? 'left', reading.heightWay ?? 'above'],
          unit: reading.unit,
        }
      : null
  }

  const shotReading = (pointId: string): SetupPointReading | null =>
    workbench.build?.readings.findLast(
      (one): one is SetupPointReading =>
        one.kind === 'setup-point' && one.point === pointId && one.setup === readings.setup?.id,
    ) ?? null

  function shot(pointId: string): TypedTriple | null {
    const reading = shotReading(pointId)
    const [along = '', across = '', up = ''] = reading?.values ?? []
    return reading
      ? {
          values: [along, across, up],
          ways: [reading.alongWay ?? 'rearward', reading.acrossSide ?? 'left', reading.upWay ?? 'above'],
          unit: reading.unit,
        }
      : null
  }

  /** Keeps where a datum point lies on the chassis. */
  function giveChassis(point: NamedPoint, [station, offset, height]: Triple, ways: Ways): void {
    const unit = workbench.build?.units.length
    const [stationWay, side, heightWay] = ways
    readings.add(`Place ${point.name}`, {
      id: newId(),
      kind: 'given-point',
      point: point.id,
      unit,
      station,
      stationWay,
      offset,
      side,
      height,
      heightWay,
    })
  }

  /** Keeps where this setup's own line and level found a point. */
  function shoot(point: NamedPoint, values: Triple, ways: Ways): void {
    const { build } = workbench
    if (!build || !readings.setup) return
    const tool = build.tools.find((one) => ['laser', 'tape', 'plumb'].includes(one.kind))?.id
    const [alongWay, acrossSide, upWay] = ways
    readings.add(`Measure ${point.name}`, {
      id: newId(),
      kind: 'setup-point',
      setup: readings.setup.id,
      point: point.id,
      ...(tool && { tool }),
      unit: build.units.length,
      values,
      alongWay,
      acrossSide,
      upWay,
    })
  }

  return { points, others, registration, centreline, given, shot, giveChassis, shoot }
})

import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import { compile } from '~~/core/model/compile'
import { evaluate, type Evaluation } from '~~/core/model/evaluateBuild'
import type { NamedPoint } from '~~/core/file/parts/named'
import type { Id } from '~~/core/file/parts/id'
import type { Reading } from '~~/core/file/build/reading'
import { READING_KINDS, wordsOf } from '~~/core/file/build/readingKinds'
import { measuredGeometry } from '~~/core/measure/geometry/geometry'
import { parseLength } from '~~/core/base/units/parseLength'
import { standsInTrials } from '~~/core/measure/targets/trial'
import { foretold, type ForetoldGap } from '~~/core/answers/trials/foretold'
import { trialPoses, type TrialPose } from '~~/core/answers/trials/trialPoses'
import { newId } from '../storage/newId'
import { buildBy, COMPILED_PARTS } from './buildParts'
import { useReadings } from './readings'
import { useWorkbench } from './workbench'

/** What a point is read by: along, across, up. */
export const POINT_FIGURES = ['point-station', 'point-offset', 'point-height'] as const
export type PointFigure = (typeof POINT_FIGURES)[number]

/** A point of the powertrain that can be read again in a trial, with what was read of it. */
export interface PointAgain {
  readonly point: NamedPoint
  /** As read in the first trial, in mm. */
  readonly first: Readonly<Record<PointFigure, number>>
  /** Raw texts of this trial; empty where it was not read. */
  readonly texts: Readonly<Record<PointFigure, string>>
}

/** How each lift-in stood: points read again in it, and gaps foretold for it. */
export const useTrials = defineStore('trials', () => {
  const workbench = useWorkbench()
  const readings = useReadings()
  // Nothing here hangs on where the levers stand now.
  const asRead = buildBy(() => workbench.build, COMPILED_PARTS)
  const geometry = computed(() => (asRead.value ? measuredGeometry(toRaw(asRead.value)) : null))
  const later = computed(() => (asRead.value?.trials ?? []).slice(1))
  const poses = computed<ReadonlyMap<Id, readonly TrialPose[]>>(
    () =>
      new Map(
        later.value.map(({ id }) => [id, asRead.value ? trialPoses(toRaw(asRead.value), id) : []] as const),
      ),
  )
  const foretoldGaps = computed<ReadonlyMap<Id, readonly ForetoldGap[]>>(
    () =>
      new Map(
        later.value.map(({ id }) => [id, asRead.value ? foretold(toRaw(asRead.value), id) : []] as const),
      ),
  )

  /** How each lift-in stood as packed. */
  const packed = computed<ReadonlyMap<Id, Evaluation>>(() => {
    const build = asRead.value
    if (!build) return new Map()
    const compiled = compile(toRaw(build))
    return new Map(build.trials.map((trial) => [trial.id, evaluate(compiled, trial.packed ?? {})]))
  })

  /** Mounts first, then what else of the powertrain was measured in full and is not only a touch point. */
  function pointsOf(trial: Id): PointAgain[] {
    const build = asRead.value
    if (!build || !geometry.value) return []
    const mounts = build.bodies.flatMap((body) =>
      'mounts' in body && body.mounts ? Object.values(body.mounts) : [],
    )
    const touching = new Set(build.gaps.map(({ point }) => point))
    return build.points
      .filter(({ id, body }) => standsInTrials(build, body) && (mounts.includes(id) || !touching.has(id)))
      .sort((a, b) => Number(mounts.includes(b.id)) - Number(mounts.includes(a.id)))
      .flatMap((point): PointAgain[] => {
        const place = geometry.value?.points.get(point.id)
        if (!place?.known) return []
        const [x, y, z] = place.value
        const textOf = (kind: PointFigure) => {
          const found = build.readings.findLast(
            (reading): reading is Extract<Reading, { kind: PointFigure }> =>
              reading.kind === kind && reading.point === point.id && reading.trial === trial,
          )
          return found?.values.at(-1) ?? ''
        }
        return [
          {
            point,
            first: { 'point-station': -x, 'point-offset': y, 'point-height': z },
            texts: {
              'point-station': textOf('point-station'),
              'point-offset': textOf('point-offset'),
              'point-height': textOf('point-height'),
            },
          },
        ]
      })
  }

  /**
   * Keeps a figure of a point as read in a trial, counted the way it was read first.
   *
   * @returns what is wrong with the text; empty when it is kept
   */
  function readAgain(trial: Id, { point, first }: PointAgain, kind: PointFigure, text: string): string {
    const { build } = workbench
    if (!build || !readings.setup || text.trim() === '') return ''
    const parsed = parseLength(text, build.units.length)
    if (!parsed.ok) return parsed.message
    const { way } = READING_KINDS[kind]
    const [positive, negative] = wordsOf(kind, way ?? '', null)
    readings.add('Read a point again', {
      kind,
      id: newId(),
      point: point.id,
      setup: readings.setup.id,
      trial,
      values: [text.trim()],
      unit: build.units.length,
      ...(way && { [way]: first[kind] >= 0 ? positive : negative }),
    })
    return ''
  }

  return { poses, packed, foretoldGaps, pointsOf, readAgain }
})

import { bodyName } from '../../measure/targets/target'
import { setupAttitude } from '../../measure/geometry/measured'
import { axleStateProblem } from '../../measure/targets/warnings'
import { repeatFigures } from '../../measure/figures/scatter'
import type { Detector, Mistake } from './mistake'

/** Live axles read while they hang, unloaded or unsettled: one doubt a setup. */
export const hangingAxles: Detector = (build) =>
  build.setups.flatMap((setup): Mistake[] => {
    const readings = build.readings.filter(
      (reading) =>
        'setup' in reading &&
        reading.setup === setup.id &&
        !reading.provisional &&
        !reading.accepted?.includes('hanging-axle') &&
        axleStateProblem(build, reading) !== null,
    )
    const [first] = readings
    if (!first) return []
    const names = [...new Set(readings.map((reading) => bodyName(build, reading)))].join(', ')
    return [
      {
        kind: 'hanging-axle',
        readingIds: readings.map((reading) => reading.id),
        sentence: `${names}: ${axleStateProblem(build, first)}.`,
        corrections: [
          {
            label: 'Keep it as provisional until it is read again',
            edits: readings.map((reading) => ({
              of: 'reading',
              id: reading.id,
              set: { provisional: true },
            })),
          },
        ],
      },
    ]
  })

/** A slope along an axis above this, in degrees, is a face; a lean of a face beyond it is an axis. */
const STEEP = 60

/** Levels held on a face and entered as along the axis, or the other way round: the two add up to 90°. */
export const faceOrTube: Detector = (build, isAsked) =>
  build.readings.flatMap((reading): Mistake[] => {
    if (!isAsked(reading)) return []
    if (reading.kind !== 'axis-level' && reading.kind !== 'axis-face') return []
    const shown = repeatFigures(build, reading)[0]
    if (shown === undefined) return []
    const name = bodyName(build, reading)
    const edit = (set: Record<string, unknown>) => [{ of: 'reading' as const, id: reading.id, set }]
    if (reading.kind === 'axis-level') {
      if (shown < STEEP) return []
      return [
        {
          kind: 'face-or-tube',
          readingIds: [reading.id],
          sentence: `${name}: ${shown}° along it would be a wall. It looks like a face, where plumb shows 90°.`,
          corrections: [
            {
              label: `${name} was read across a face`,
              edits: edit({ kind: 'axis-face', from: 'level', lean: reading.low, low: undefined }),
            },
          ],
        },
      ]
    }
    const lean = reading.from === 'level' ? Math.abs(90 - shown) : shown
    if (lean < STEEP) return []
    const along = {
      label: `${name} was read along, not across a face`,
      edits: edit({ kind: 'axis-level', low: reading.lean, lean: undefined, from: undefined }),
    }
    const other = reading.from === 'level' ? 'plumb' : 'level'
    const plumb = {
      label: `The display calls plumb ${other === 'plumb' ? '0°' : '90°'}`,
      edits: edit({ from: other }),
    }
    return [
      {
        kind: 'face-or-tube',
        readingIds: [reading.id],
        sentence: `${name}: a face that shows ${shown}° would lie nearly flat. Along and across add up to 90°; one was taken for the other.`,
        corrections: [plumb, along],
      },
    ]
  })

/** Readings against gravity from setups in which nobody read how the chassis stood. */
export const noAttitude: Detector = (build) =>
  build.setups.flatMap((setup): Mistake[] => {
    const levels = build.readings.filter(
      (reading) =>
        (reading.kind === 'axis-level' || reading.kind === 'axis-face' || reading.kind === 'shaft-level') &&
        reading.setup === setup.id &&
        reading.zero !== 'chassis',
    )
    if (levels.length === 0 || setupAttitude(build, setup).known) return []
    const names = [...new Set(levels.map((reading) => bodyName(build, reading)))].join(', ')
    return [
      {
        kind: 'no-attitude',
        readingIds: levels.map((reading) => reading.id),
        sentence: `${names}: read against gravity in "${setup.name}", where the chassis was not read. Read the chassis there too, or say that it stood level.`,
        corrections: [
          {
            label: `The chassis stood level in "${setup.name}"`,
            edits: [{ of: 'setup', id: setup.id, set: { datum: 'levelled' } }],
          },
        ],
      },
    ]
  })

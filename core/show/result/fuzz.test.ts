import { parseBuild, parseBuildText, buildText } from '../../file/open/parseBuild'
import { rawDemo } from '../../testdata/builds'
import { bend } from '../../testdata/bend'
import { seededRandom } from '../../base/chance/random'
import fourJoints from '../../../docs/examples/four-joints.lurvan.json'
import twoSetups from '../../../docs/examples/two-setups.lurvan.json'
import bay from '../../../demo/sedge-wagon.lurvan.json'
import hauler from '../../../demo/sorrel-hauler.lurvan.json'
import van from '../../../demo/osier-van.lurvan.json'
import { gearCurves } from '../../answers/curves/gearCurves'
import { dimensionsOf } from '../parts/dimensions'
import { crossStrengths } from '../parts/strengthOf'
import { tubesThatDo } from '../parts/tubesThatDo'
import { USUAL_CROSSES, USUAL_TUBES } from '../../file/parts/stock'
import { lowOrder } from '../../bay/ground/lowOrder'
import { rockedGaps } from '../../bay/rocking'
import { evaluateBuild } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { draftOf, scaleOf } from '../../measure/tracing/scaleDraft'
import { legsAnswer, mountsAnswer, tiltAnswer } from '../../vehicle/weight/unitAnswers'
import { newWayInPlan, swingSetup } from '../../bay/swing/swingOf'
import { hangAnswer, weightAnswer } from '../../vehicle/weight/weightOf'
import { resultJson } from './resultJson'

describe('builds that are bent anywhere', () => {
  it('are refused with places or checked to the end: no crash, no endless figure, no verdict without a value', () => {
    const random = seededRandom(6)
    const files = [rawDemo(), twoSetups, fourJoints]
    let checked = 0
    for (let run = 0; run < 700; run++) {
      const raw = structuredClone(files[run % files.length]) as object
      bend(raw, random)
      if (random.uniform() < 0.3) bend(raw, random)
      const parsed = parseBuild(raw)
      if (!parsed.ok) {
        for (const { message } of parsed.problems) expect(message.length).toBeGreaterThan(5)
        continue
      }
      checked++
      const text = JSON.stringify(resultJson(parsed.value, undefined, run % 10 === 0 ? 40 : 0))
      expect(text).not.toMatch(/Infinity|NaN/)
      const { checks, lines } = JSON.parse(text) as ReturnType<typeof resultJson>
      for (const check of checks) {
        if (check.quantity === 'centring-pilot' || check.verdict === 'unknown') continue
        expect([run, check.id, check.value]).toEqual([run, check.id, expect.any(Number)])
        if (check.verdict === 'holds' && check.margin !== null) expect(check.margin).toBeGreaterThanOrEqual(0)
        if (check.verdict === 'out') expect(check.basis.length).toBeGreaterThan(5)
      }
      for (const line of lines)
        if (line.known) expect(line.ride!.joints.every(({ angleDeg }) => angleDeg < 90)).toBe(true)
      const again = parseBuildText(buildText(parsed.value))
      // As text: a nought loses its sign in it.
      expect(again.ok && buildText(again.value)).toBe(buildText(parsed.value))
    }
    expect(checked).toBeGreaterThan(150)
  })
})

describe('whole lines that are bent anywhere', () => {
  const PARTS = [
    'lines',
    'drivetrain',
    'bodies',
    'levers',
    'limits',
    'tubes',
    'crosses',
    'positions',
  ] as const
  const rich = (file: unknown): any => ({
    ...structuredClone(file as object),
    tubes: structuredClone(USUAL_TUBES),
    crosses: structuredClone(USUAL_CROSSES),
  })

  it('are refused with a place, or checked, mapped and told part by part without an endless figure', () => {
    const random = seededRandom(11)
    let [answered, refused] = [0, 0]
    for (let run = 0; run < 320; run++) {
      const raw = rich(run % 2 ? hauler : van)
      bend(raw[PARTS[run % PARTS.length]!], random)
      const parsed = parseBuild(raw)
      if (!parsed.ok) {
        refused++
        for (const { path, message } of parsed.problems) {
          expect([run, path]).toEqual([run, expect.stringMatching(/^[a-zA-Z]/)])
          expect(message.length).toBeGreaterThan(5)
        }
        continue
      }
      answered++
      const build = parsed.value
      const text = JSON.stringify(resultJson(build))
      expect([run, /Infinity|NaN/.test(text)]).toEqual([run, false])
      const evaluation = evaluateBuild(build, {})
      for (const line of evaluation.lines) {
        dimensionsOf(line.line, line.ride)
        line.line.shafts.forEach((_, shaft) => tubesThatDo(build, line, shaft))
        crossStrengths(build, line)
        gearCurves(build, line)
      }
      expect(buildText(build).length).toBeGreaterThan(1000)
    }
    expect(answered).toBeGreaterThan(100)
    expect(refused).toBeGreaterThan(50)
  })
})

describe('placings that are bent anywhere', () => {
  const PARTS = [
    'gaps',
    'trials',
    'positions',
    'mating',
    'weight',
    'wayIn',
    'bodies',
    'levers',
    'photos',
  ] as const
  /** The tight bay with a part traced over a photograph, counted from its last trial. */
  const rich = () => {
    const raw: any = structuredClone(bay)
    raw.countedFrom = raw.trials.at(-1).id
    raw.photos = ['left', 'behind'].map((seenFrom, i) => ({
      id: `photo-${i}`,
      name: `from ${seenFrom}`,
      shows: 'air-filter',
      scale: {
        seenFrom,
        points: [
          [100, 400],
          [900, 380],
        ],
        places:
          i === 0
            ? [[100, 50]]
            : [
                [0, 0],
                [400, 20],
              ],
        distanceMm: 400,
        cameraMm: 3000,
        nearerMm: 100,
      },
    }))
    raw.bodies.find(({ id }: { id: string }) => id === 'air-filter').outlines = [
      {
        view: 'side',
        corners: [
          [0, 0],
          [90, 0],
          [90, 60],
        ],
        photo: 'photo-0',
      },
    ]
    return raw
  }

  it('are refused with a place, or answered without an endless figure, and nothing of them is lost', () => {
    const random = seededRandom(8)
    let [answered, refused] = [0, 0]
    for (let run = 0; run < 360; run++) {
      const raw = rich()
      bend(raw[PARTS[run % PARTS.length]!], random)
      const parsed = parseBuild(raw)
      if (!parsed.ok) {
        refused++
        for (const { path, message } of parsed.problems) {
          expect([run, path]).toEqual([run, expect.stringMatching(/^[a-zA-Z]/)])
          expect(message.length).toBeGreaterThan(5)
        }
        continue
      }
      answered++
      const build = parsed.value
      expect(JSON.stringify(build.mating ?? null)).toBe(JSON.stringify(raw.mating ?? null))
      const answers = [
        build.weight ? [weightAnswer(build.weight), hangAnswer(build.weight)] : [],
        build.weight ? [legsAnswer(build.weight), tiltAnswer(build, build.weight)] : [],
        (build.photos ?? []).map(({ scale }) => (scale ? placedBy(scaleOf(draftOf(scale))) : null)),
        swingSetup(build, build.wayIn ?? newWayInPlan(build)),
        run % 4 === 0 ? [resultJson(build), standing(build)] : null,
      ]
      // JSON writes what is no number as null, so it is looked for before.
      expect([run, numbersOf(answers).every(Number.isFinite)]).toEqual([run, true])
    }
    expect(answered).toBeGreaterThan(80)
    expect(refused).toBeGreaterThan(20)
  })
})

/** A corner of the picture on the vehicle; nothing where it is not scaled. */
const placedBy = (scaled: ReturnType<typeof scaleOf>) =>
  'map' in scaled ? [scaled.map.mmPerPx, ...scaled.map.toPlace([0, 0])] : scaled.lacks.length

/** What is told of it as it stands, besides its checks. */
function standing(build: Build) {
  const now = evaluateBuild(build, {})
  return [
    rockedGaps(build, now, 3),
    lowOrder(build, now, { front: 60, rear: 20 }),
    build.weight ? mountsAnswer(build, now.measured, build.weight) : null,
  ]
}

function numbersOf(value: unknown): number[] {
  if (typeof value === 'number') return [value]
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersOf) : []
}

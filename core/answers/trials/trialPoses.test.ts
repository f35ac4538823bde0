import { findMistakes } from '../mistakes/findMistakes'
import type { Build } from '../../file/build/build'
import { changedBay } from '../../testdata/bay'
import { AGAIN, readAgainIn } from '../../testdata/readAgain'
import { seededRandom } from '../../base/chance/random'
import { evaluateBuild } from '../../model/evaluateBuild'
import { runMonteCarlo } from '../uncertainty/monteCarlo'
import { checkFigureId, sampleModel } from '../uncertainty/sampleModel'
import { foretold } from './foretold'
import { trialPoses } from './trialPoses'

/** The tight bay, its powertrain points read again in the second trial as they stand at a setting of the levers. */
const readAgain = (
  settings: Record<string, number>,
  points: readonly string[] = AGAIN,
  error: (point: string, axis: number) => number = () => 0,
  edit: (raw: any) => void = () => undefined,
): Build =>
  changedBay((raw) => {
    readAgainIn('trial-2', settings, points, error)(raw)
    edit(raw)
  })

const gapOf = (build: Build, id: string) => {
  const found = evaluateBuild(build, {}).gaps.find(({ gap }) => gap.id === id)
  return found?.ride.known ? found.ride.value.gapMm : NaN
}
/** A gap that was read in the second trial, with the tail packed up 10. */
const IN_SECOND = changedBay().readings.flatMap((reading) =>
  reading.kind === 'gap' && reading.trial === 'trial-2' ? [reading.gap] : [],
)[0]!

describe('how the powertrain stood in a trial', () => {
  it('is as packed while nothing was read again', () => {
    expect(trialPoses(changedBay(), 'trial-2')).toEqual([])
    expect(trialPoses(readAgain({ tail: 10 }, AGAIN.slice(0, 2)), 'trial-2')).toEqual([])
  })

  it('is what was read: packed 10, moved 7, and a wrong spacer is named', () => {
    const [pose] = trialPoses(readAgain({ tail: 7 }), 'trial-2')
    expect(pose?.points).toEqual(expect.arrayContaining([...AGAIN]))
    expect(pose?.rms).toBeLessThan(0.01)
    const tail = pose?.levers.find(({ lever }) => lever.id === 'tail')
    expect(tail).toMatchObject({ packed: 10, moved: expect.closeTo(7, 2), disagrees: true })
    for (const one of pose?.levers ?? [])
      if (one.lever.id !== 'tail') expect([one.lever.id, one.disagrees]).toEqual([one.lever.id, false])
  })

  it('is no contradiction to what was read of the same points first', () => {
    const kinds = (build: Build) => findMistakes(build).map(({ kind, sentence }) => [kind, sentence])
    expect(kinds(readAgain({ tail: 7 }))).toEqual(kinds(changedBay()))
  })

  it('agrees with what was packed when it was', () => {
    const [pose] = trialPoses(readAgain({ tail: 10 }), 'trial-2')
    expect(pose?.levers.some(({ disagrees }) => disagrees)).toBe(false)
  })

  it('tells the point that does not fit the others', () => {
    const points = [...AGAIN, 't-box-member']
    const wrong = readAgain({ tail: 10 }, points, (point, axis) =>
      point === 'output-joint' && axis === 2 ? 9 : 0,
    )
    const [pose] = trialPoses(wrong, 'trial-2')
    expect(pose?.suspect).toBe('output-joint')
    expect(pose?.rms).toBeGreaterThan(1)
  })

  it('carries the gaps read in it, whatever was packed', () => {
    const packedSeven = changedBay((raw) => {
      raw.trials[1].packed = { tail: 7 }
    })
    expect(gapOf(readAgain({ tail: 7 }), IN_SECOND)).toBeCloseTo(gapOf(packedSeven, IN_SECOND), 2)
    expect(Math.abs(gapOf(changedBay(), IN_SECOND) - gapOf(packedSeven, IN_SECOND))).toBeGreaterThan(0.2)
  })

  it('has a ± that covers what was packed in all but one of twenty', () => {
    const { normal } = seededRandom(11)
    let [covered, asked] = [0, 0]
    for (let run = 0; run < 60; run++) {
      const build = readAgain({ tail: 10 }, AGAIN, () => normal() * 0.8)
      const [pose] = trialPoses(build, 'trial-2')
      for (const { lever, moved, plusMinus } of pose?.levers ?? []) {
        if (lever.id !== 'tail' && lever.id !== 'fronts') continue
        asked++
        if (Math.abs(moved - (lever.id === 'tail' ? 10 : 0)) <= plusMinus) covered++
      }
    }
    expect(asked).toBe(120)
    expect(covered / asked).toBeGreaterThan(0.92)
  })
})

describe('levers that count from a trial', () => {
  const counted = (settings: Record<string, number>, points: readonly string[] = AGAIN) =>
    readAgain(
      settings,
      points,
      () => 0,
      (raw) => (raw.countedFrom = 'trial-2'),
    )
  const placesAt = (build: Build, settings: Record<string, number>) =>
    AGAIN.map((point) => {
      const place = evaluateBuild(build, settings).placed.points.get(point)
      return place?.known ? place.value : [NaN, NaN, NaN]
    })
  const near = (
    got: readonly (readonly number[])[],
    wanted: readonly (readonly number[])[],
    within: number,
  ) =>
    got.forEach((place, i) =>
      place.forEach((figure, k) => expect(Math.abs(figure - wanted[i]![k]!)).toBeLessThan(within)),
    )

  it('leave it where it was read at what was packed, and move it from there', () => {
    const build = counted({ tail: 7 })
    // Packed 10 it stands as if it were 7; two more make 9, all of it taken off is 3 lower than it was first.
    near(placesAt(build, { tail: 10 }), placesAt(changedBay(), { tail: 7 }), 0.01)
    near(placesAt(build, { tail: 12 }), placesAt(changedBay(), { tail: 9 }), 0.02)
    near(placesAt(build, {}), placesAt(changedBay(), { tail: -3 }), 0.02)
  })

  it('give a gap that was read there back as it was read, with no more doubt than its reading', () => {
    const build = counted({ tail: 7 })
    const at = (one: Build) => {
      const evaluation = evaluateBuild(one, { tail: 10 })
      const found = evaluation.gaps.find(({ gap }) => gap.id === IN_SECOND)!
      const { figures } = runMonteCarlo(sampleModel(one, { tail: 10 }, evaluation), {
        samples: 2000,
        seed: 4,
      })
      return {
        mm: found.ride.known ? found.ride.value.gapMm : NaN,
        plusMinus: figures[checkFigureId(found.check)]!.plusMinus,
      }
    }
    const packed = changedBay()
    expect(at(build).mm).toBeCloseTo(at(packed).mm, 6)
    expect(at(build).plusMinus).toBeLessThan(at(packed).plusMinus * 1.05)
  })

  it('change nothing while too few points were read, and are refused for a trial that is not there', () => {
    const few = counted({ tail: 7 }, AGAIN.slice(0, 2))
    near(placesAt(few, { tail: 10 }), placesAt(changedBay(), { tail: 10 }), 1e-9)
    expect(() => changedBay((raw) => (raw.countedFrom = 'trial-9'))).toThrow(/countedFrom/)
  })

  it('foretell from the first trial, whatever they count from now', () => {
    const again = (raw: any) => {
      const first = raw.readings.find(({ gap }: { gap?: string }) => gap === 'box-member')
      raw.readings.push({ ...first, id: 'member-again', trial: 'trial-2', values: ['36'] })
    }
    const plain = foretold(
      readAgain({ tail: 7 }, AGAIN, () => 0, again),
      'trial-2',
    )
    const now = foretold(
      readAgain(
        { tail: 7 },
        AGAIN,
        () => 0,
        (raw) => {
          again(raw)
          raw.countedFrom = 'trial-2'
        },
      ),
      'trial-2',
    )
    expect(now.map(({ gap, readMm }) => [gap, readMm])).toEqual([['box-member', expect.closeTo(36, 6)]])
    expect(now).toEqual(plain)
  })
})

import bay from '../../../demo/sedge-wagon.lurvan.json'
import { seededRandom } from '../../base/chance/random'
import type { Build } from '../../file/build/build'
import type { WeldEntry } from '../../file/kinds/weldKinds'
import { evaluateBuild } from '../../model/evaluateBuild'
import { weldedSentence, weldedTold } from '../../show/text/weldedText'
import { parseBuild } from '../../file/open/parseBuild'
import { shopJson } from '../../show/result/shopJson'
import { changedBay } from '../../testdata/bay'
import { AGAIN, placeReadings, placesAt, readAgainIn } from '../../testdata/readAgain'
import { changedFigures, standingIn } from './changedFigures'
import { weldedStand } from './weldedStand'

const WELDED = { id: 'welded', name: 'after welding', packed: { tail: 10 } }
const weld: WeldEntry = {
  ...changedBay().welds![0]!,
  tackedIn: 'trial-2',
  weldedIn: 'welded',
}

/** The tight bay, its tail packed up 10 and tacked, read again as it stands welded, the packing untouched. */
const welded = (
  drawn: Record<string, number>,
  points: readonly string[] = AGAIN,
  error: (point: string, axis: number) => number = () => 0,
  edit: (raw: any) => void = () => undefined,
): Build =>
  changedBay((raw) => {
    edit(raw)
    readAgainIn('trial-2', { tail: 10 }, AGAIN, error)(raw)
    raw.trials.push(WELDED)
    readAgainIn('welded', drawn, points, error)(raw)
  })

const standOf = (build: Build, of: WeldEntry = weld) => {
  const stand = weldedStand(build, of)
  if (!stand.known) throw new Error(stand.missing[0]?.what)
  return stand.value
}
const angles = (settings: Record<string, number>) => {
  const ride = evaluateBuild(changedBay(), settings).lines[0]!.ride
  return ride.known ? ride.value.anglesDeg : []
}

describe('where the powertrain stands welded', () => {
  it('is told by its points against where it stood tacked, and by every joint', () => {
    const { points, joints, worse } = standOf(welded({ tail: 7 }))
    const tail = points.find(({ point }) => point === 'mount-tail')!
    expect(tail.upMm.by).toBeCloseTo(-3, 2)
    expect(tail.leftMm.by).toBeCloseTo(0, 2)
    const [before, after] = [angles({ tail: 10 }), angles({ tail: 7 })]
    expect(joints).toHaveLength(after.length)
    joints.forEach(({ index, angleDeg }) => {
      expect(angleDeg.from).toBeCloseTo(before[index]!, 3)
      expect(angleDeg.to).toBeCloseTo(after[index]!, 3)
      expect(angleDeg.by).toBeCloseTo(after[index]! - before[index]!, 3)
    })
    expect(Math.max(...joints.map(({ angleDeg }) => Math.abs(angleDeg.by)))).toBeGreaterThan(0.2)
    expect(worse).toEqual([])
  })

  it('names what is worse than it was, the gravest first', () => {
    const { worse } = standOf(welded({ tail: 20 }))
    const named = worse.map(({ id, verdict }) => `${id} ${verdict}`)
    expect(named.slice(0, 2).sort()).toEqual(['gap/sump-rack out', 'rear/torsional out'])
    expect(named.slice(2).sort()).toEqual([
      'gap/bell-tunnel tight',
      'gap/shift-floor tight',
      'rear/pair tight',
    ])
  })

  it('is judged from the position as chosen where it was not read tacked', () => {
    const { joints } = standOf(welded({ tail: 7 }), { ...weld, tackedIn: undefined })
    const build = changedBay()
    const chosen = build.positions.find(({ id }) => id === build.chosen)!.settings
    joints.forEach(({ index, angleDeg }) =>
      expect(angleDeg.from).toBeCloseTo(angles({ ...chosen })[index]!, 6),
    )
  })

  /** Nothing but the line, which is all that the angles rest on. */
  const bare = (raw: any) => {
    for (const list of ['crossmembers', 'copedTubes', 'mounts', 'plates', 'bolts', 'services', 'temporaries'])
      Reflect.deleteProperty(raw, list)
    raw.readings = raw.readings.filter(({ kind }: any) => kind !== 'gap')
    raw.gaps = []
  }

  it('has a ± that covers what it really drew in 93 of a hundred at the least', () => {
    const random = seededRandom(711)
    let [covered, all] = [0, 0]
    const real = angles({ tail: 8 }).map((angle, k) => angle - angles({ tail: 10 })[k]!)
    for (let run = 0; run < 30; run++) {
      const error = () => random.uniform() * 2 - 1
      for (const { index, angleDeg } of standOf(welded({ tail: 8 }, AGAIN, error, bare)).joints) {
        all++
        if (Math.abs(angleDeg.by - real[index]!) <= angleDeg.plusMinus) covered++
      }
    }
    expect(all).toBe(60)
    expect(covered / all).toBeGreaterThan(0.93)
  })

  it('is unknown, with what is wanted, until three points were read', () => {
    const wants = (build: Build, of = weld) => {
      const stand = weldedStand(build, of)
      return stand.known ? [] : stand.missing.map(({ what }) => what)
    }
    const three = ['three points of the powertrain, not in one line, each read three ways once welded']
    expect(wants(welded({}, AGAIN.slice(0, 2)))).toEqual(three)
    expect(wants(welded({}, []))).toEqual(three)
    expect(wants(welded({}), { ...weld, weldedIn: undefined })).toEqual(['a lift-in after welding'])
  })

  it('says why points do not tell it, and is refused where there is no such lift-in', () => {
    // Both fronts and the middle between them.
    const inLine = changedBay((raw) => {
      raw.points.push({ id: 'between', name: 'between the fronts', body: 'powertrain' })
      const [left, right] = ['mount-left', 'mount-right'].map(placesAt({}))
      const middle = left!.map((figure, k) => (figure + right![k]!) / 2) as [number, number, number]
      raw.readings.push(...placeReadings('between', middle))
      raw.trials.push(WELDED)
      readAgainIn('welded', {}, ['mount-left', 'mount-right'])(raw)
      raw.readings.push(...placeReadings('between', middle, 'welded'))
    })
    const stand = weldedStand(inLine, weld)
    expect(stand.known ? '' : stand.missing[0]!.what).toMatch(/^after welding: .*line/)
    const raw = structuredClone(bay) as any
    raw.welds[0].weldedIn = 'nowhere'
    const parsed = parseBuild(raw)
    expect(parsed.ok ? [] : parsed.problems).toEqual([
      expect.objectContaining({ path: 'welds[0].weldedIn', message: 'there is no trial "nowhere"' }),
    ])
  })

  it('is nought to the last against itself, and as published', () => {
    const build = welded({ tail: 7 })
    const ids = ['point/mount-tail/heightMm', 'line/rear/ride/joints[0].angleDeg', 'no such figure']
    const [there, here] = [standingIn(build, 'trial-2'), standingIn(build, 'welded')]
    for (const one of changedFigures(here, here, ids)) expect([one.by, one.plusMinus]).toEqual([0, 0])
    const [forth, back] = [changedFigures(there, here, ids), changedFigures(here, there, ids)]
    expect(forth).toHaveLength(2)
    forth.forEach(({ by, plusMinus }, k) => {
      expect(back[k]!.by).toBeCloseTo(-by, 12)
      expect(back[k]!.plusMinus).toBeCloseTo(plusMinus, 12)
      expect(plusMinus).toBeGreaterThan(0)
    })
    const { welds } = shopJson({ ...build, welds: [weld] }, evaluateBuild(build, {}))
    expect(welds[0]!.value!.joints.map(({ angleDeg }) => angleDeg.by)).toEqual(
      standOf(build).joints.map(({ angleDeg }) => angleDeg.by),
    )
  })

  it('is said in a sentence: as it was, otherwise, or worse', () => {
    const said = (drawn: Record<string, number>) => {
      const build = welded(drawn)
      return weldedSentence(weldedTold(build, standOf(build)))
    }
    expect(said({ tail: 10 })).toEqual({
      text: 'It stands as it stood tacked, as far as the readings tell.',
      verdict: 'holds',
    })
    expect(said({ tail: 7 }).text).toMatch(
      /^It stands otherwise, and nothing is worse: joint 1 [+−]0\.\d\d° ± 0\.\d\d°/,
    )
    expect(said({ tail: 20 })).toMatchObject({
      text: expect.stringMatching(/^Worse than tacked: .*torsional.*\.$/),
      verdict: 'out',
    })
  })
})

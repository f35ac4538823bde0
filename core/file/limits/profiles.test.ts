import { evaluateBuild } from '../../model/evaluateBuild'
import { parseBuild } from '../open/parseBuild'
import { changedDemo, rawDemo } from '../../testdata/builds'
import { PROFILES } from './profiles'

const profiles = Object.entries(PROFILES)

describe.each(profiles)('the profile %s', (key, profile) => {
  it('is sound in a build file, and says why for each of its limits', () => {
    expect(profile.profile).toBe(key)
    expect(parseBuild({ ...rawDemo(), limits: profile })).toMatchObject({ ok: true })
    for (const { basis } of profile.entries) expect(basis.length).toBeGreaterThan(20)
  })

  it('leaves no room between its figures for a value that is neither', () => {
    for (const entry of profile.entries) {
      const rising = [entry.failBelow, entry.warnBelow, entry.warnAbove, entry.failAbove].filter(
        (end) => end !== undefined,
      )
      expect(rising.length).toBeGreaterThan(0)
      expect(rising).toEqual([...rising].sort((a, b) => a - b))
    }
  })
})

describe('the profiles', () => {
  const marginOf = (profile: keyof typeof PROFILES, check: string) => {
    const build = changedDemo((raw) => void (raw.limits = PROFILES[profile]))
    return evaluateBuild(build, {}).checks.find(({ id }) => id === check)!
  }

  it('judge one line by their own figures: 699 rad/s² is out on the road and within on the trail', () => {
    const [road, trail] = [marginOf('road', 'rear/torsional'), marginOf('trail', 'rear/torsional')]
    expect(road.value).toBeCloseTo(trail.value!, 9)
    expect([road.verdict, trail.verdict]).toEqual(['out', 'tight'])
    expect(trail.margin! - road.margin!).toBeCloseTo(300, 6)
  })

  it('keep heavy work farther from the critical speed', () => {
    expect(
      marginOf('road', 'rear/critical/1').margin! - marginOf('heavy', 'rear/critical/1').margin!,
    ).toBeCloseTo(0.05, 9)
  })
})

import { PROFILES } from './profiles'
import { limitsText, parseLimitsText } from './profileFile'
import { isChangedLimit, originalProfile, usualLimit } from './usualLimit'

const own = {
  ...PROFILES.trail,
  profile: 'own' as const,
  entries: PROFILES.trail.entries.map((entry) =>
    entry.id === 'torsional' ? { ...entry, failAbove: 900, basis: 'we are used to it' } : entry,
  ),
}

describe('limits in a file of their own', () => {
  it('come back as they went out', () => {
    expect(parseLimitsText(limitsText(own))).toEqual({ ok: true, value: own })
  })

  it.each([
    ['no JSON', '{', '', 'the file is no JSON'],
    ['another file', '{"format":"lurvan-build","version":1}', 'format', 'must be one of: lurvan-limits'],
    [
      'edges the wrong way round',
      limitsText(own).replace('"failAbove": 900', '"failAbove": 9'),
      'limits.entries[1]',
      'tight must lie inside out: the figures have to rise from left to right',
    ],
    [
      'an unknown quantity',
      limitsText(own).replace('"tube-shear"', '"colour"'),
      'limits.entries',
      'must be one of',
    ],
    [
      'one name twice',
      limitsText(own).replace('"id": "inertia"', '"id": "rollers"'),
      'limits.entries',
      'is already used',
    ],
  ])('are refused as %s, with the place', (_what, text, path, message) => {
    const read = parseLimitsText(text)
    if (read.ok) throw new Error('taken')
    expect(read.problems[0]!.path).toContain(path)
    expect(read.problems[0]!.message).toContain(message)
  })
})

describe('a limit of the builder’s own', () => {
  it('is told from the starting figure of the profile it came from', () => {
    expect(originalProfile(own)).toBe(PROFILES.trail)
    const changed = own.entries.filter((entry) => isChangedLimit(own, entry)).map(({ id }) => id)
    expect(changed).toEqual(['torsional'])
    expect(usualLimit(own, { id: 'torsional' })).toMatchObject({ warnAbove: 500, failAbove: 700 })
    expect(PROFILES.road.entries.some((entry) => isChangedLimit(PROFILES.road, entry))).toBe(false)
  })
})

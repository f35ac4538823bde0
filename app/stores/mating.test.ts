import { openedBay, storedBuild } from '../../tests/support/opened'
import { useMating } from './mating'

/** What a chain comes to now. */
const pilot = () => useMating().stacks.find(({ stack }) => stack.id === 'pilot')!
const knownOf = <T>(answer: { known: true; value: T } | { known: false }): T => {
  if (!answer.known) throw new Error('it is not known')
  return answer.value
}

describe('stacks of sizes', () => {
  it('follow a part that is changed, and go back with undo', async () => {
    const workbench = await openedBay()
    const mating = useMating()
    // 178 - 152.4 - 12 + 2 - 2.5, each at its worst: 0.3 + 0.15 + 0.05 + 0.2 + 0.3.
    const before = knownOf(pilot().answer)
    expect([before.nominal, ...before.worst]).toEqual([
      expect.closeTo(13.1, 9),
      expect.closeTo(12.1, 9),
      expect.closeTo(14.1, 9),
    ])
    mating.changePart('pilot', 'p3', { nominalMm: 15.5 })
    expect(knownOf(pilot().answer).nominal).toBeCloseTo(9.6, 9)
    expect(knownOf(pilot().answer).verdict).toBe('out')
    const stored = await storedBuild()
    expect(stored.mating!.stacks[0]!.parts[2]!.nominalMm).toBe(15.5)
    await workbench.undo()
    await workbench.settled()
    expect(knownOf(pilot().answer).nominal).toBeCloseTo(13.1, 9)
  })

  it('say what is missing while a part has no size', async () => {
    await openedBay()
    const mating = useMating()
    mating.addPart('pilot')
    const { answer, scale } = pilot()
    expect(answer.known === false && answer.missing[0]!.what).toContain('Pilot in its bush: the size of')
    expect(scale).toBeNull()
    const added = pilot().stack.parts.at(-1)!
    mating.removePart('pilot', added.id)
    expect(pilot().answer.known).toBe(true)
  })

  it('are begun in the parts of their kind, named, given a window and deleted', async () => {
    await openedBay((raw) => delete raw.mating)
    const mating = useMating()
    mating.addStack('release')
    const [{ stack }] = mating.stacks as [(typeof mating.stacks)[number]]
    expect(stack.parts.map(({ counts }) => counts)).toEqual(expect.arrayContaining(['adds', 'takes']))
    mating.changeStack(stack.id, { name: 'Bearing', minMm: 1, maxMm: 3 })
    expect((await storedBuild()).mating!.stacks[0]).toMatchObject({ name: 'Bearing', minMm: 1, maxMm: 3 })
    mating.removeStack(stack.id)
    expect((await storedBuild()).mating!.stacks).toEqual([])
  })
})

describe('dial rounds', () => {
  it('are read spot by spot: a housing out to one side by half the total of its sine', async () => {
    await openedBay((raw) => delete raw.mating)
    const mating = useMating()
    mating.addRound('bore')
    const { id, spots } = mating.rounds[0]!.round
    expect(spots.map(({ clockDeg }) => clockDeg)).toEqual([0, 45, 90, 135, 180, 225, 270, 315])
    // 0.2 mm out toward 3 o'clock.
    for (const { clockDeg } of spots)
      mating.readSpot(id, clockDeg, (0.2 * Math.sin((clockDeg * Math.PI) / 180)).toFixed(6))
    const { totalMm, bore } = knownOf(mating.rounds[0]!.answer)
    expect(totalMm).toBeCloseTo(0.4, 5)
    expect(bore).not.toBeNull()
    mating.changeRound(id, { totalMaxMm: 0.3 })
    expect(knownOf(mating.rounds[0]!.answer).verdict).toBe('out')
  })

  it('keep what was read when they are read at fewer places and at more again', async () => {
    await openedBay((raw) => delete raw.mating)
    const mating = useMating()
    mating.addRound('face')
    const { id } = mating.rounds[0]!.round
    mating.readSpot(id, 45, ' 0.07 ')
    mating.readSpot(id, 90, '0.1')
    mating.setPlaces(id, 4)
    expect(mating.rounds[0]!.round.spots).toContainEqual({ clockDeg: 45, text: '0.07' })
    expect(mating.rounds[0]!.round.spots).toHaveLength(5)
    mating.setPlaces(id, 8)
    expect(mating.rounds[0]!.round.spots.map(({ text }) => text).filter(Boolean)).toEqual(['0.07', '0.1'])
    mating.removeRound(id)
    expect((await storedBuild()).mating!.rounds).toEqual([])
  })
})

import cart from '../../../demo/burdock-cart.lurvan.json'
import { chainGears } from '../../vehicle/strength/chainGears'
import type { BoltEntry } from '../../file/kinds/boltKinds'
import { parseBuild } from '../../file/open/parseBuild'
import { boltLines, boltName } from '../../show/text/boltText'
import { resultJson } from '../../show/result/resultJson'
import { demoBuild } from '../../testdata/demos'
import { boltAnswer } from './boltAnswer'

const build = demoBuild('burdock-cart')
const plate = build.bolts![0]!
const block = build.bolts![1]!
const known = (entry: BoltEntry) => {
  const found = boltAnswer(build, entry)
  if (!found.known) throw new Error(found.missing[0]!.what)
  return found.value
}
const said = (entry: BoltEntry) => boltLines(entry, known(entry), build.units)
const slotOf = (changed: object, rest: object = {}) =>
  ({ ...plate, ...rest, slot: { ...plate.slot!, ...changed } }) as BoltEntry

describe('bolts of a build', () => {
  it('are as long as what they clamp asks for, and as tight as their class bears', () => {
    const answer = known(plate)
    // 16 and two washers of 2, a nut of 7.2 and two pitches of 1.25: 29.7.
    expect(answer.through).toMatchObject({ neededMm: expect.closeTo(29.7, 9), lengthMm: 30 })
    expect(boltName(plate, answer)).toBe('M8 × 30, 8.8')
    expect(answer.tightening.torqueNm).toBeCloseTo(26.4, 1)
    const sleeve = said({ ...plate, gripMm: 8, slot: undefined }).map(({ text }) => text)
    expect(sleeve[1]).toContain('22.0 mm of it thread')
    const shank = said({ ...plate, gripMm: 70, nutWasherMm: 0, headWasherMm: 0, slot: undefined })
    expect(shank.some(({ isOut }) => isOut)).toBe(false)
    expect(said({ ...plate, gripMm: 8, slidesAtMm: 4, isFullThread: true, slot: undefined })).toContainEqual({
      text: expect.stringContaining('thread lies where the parts slide'),
      isOut: true,
    })
  })

  it('go into a hole as deep as its metal asks for, and say when they bottom', () => {
    expect(known(block).blind).toMatchObject({
      engagementMm: 10,
      neededMm: 26.5,
      lengthMm: 30,
      bottoms: false,
    })
    expect(boltName(block, known(block))).toBe('M10 × 30, 8.8')
    const soft = said({ ...block, into: 'aluminium' })
    expect(soft[1]!.text).toContain('into aluminium 20.0 mm at the least')
    expect(soft.at(-1)).toEqual({ text: expect.stringContaining('stands on the bottom'), isOut: true })
  })

  it('hold in a slot by friction what a chain pulls, as long as its lever goes', () => {
    const answer = known(plate).slot!
    if (!answer.known) throw new Error('not known')
    const gears = chainGears(build, build.chains![0]!)
    const pull = gears.known ? 1.3 * Math.max(...gears.value.map(({ pullN }) => pullN)) : NaN
    const { preloadN } = known(plate).tightening
    // 8 across, 30 of the lever, twice 1 for its place.
    expect(answer.value).toMatchObject({
      ...{ lengthMm: 40, coverMm: 5, isCovered: true },
      holdsN: expect.closeTo(0.15 * preloadN * 4, 6),
      factor: expect.closeTo((0.15 * preloadN * 4) / pull, 9),
    })
    const lines = (entry: BoltEntry) => said(entry).slice(2)
    expect(lines(slotOf({ bolts: 1, washerOuterMm: 12 })).map(({ isOut }) => isOut)).toEqual([
      false,
      true,
      true,
    ])
    expect(lines(slotOf({ bolts: 8, state: 'blasted' })).every(({ isOut }) => !isOut)).toBe(true)
    expect(lines(slotOf({ chain: undefined, loadN: 2000 }))[2]!.text).toMatch(/times what pulls$/)
    expect(lines(slotOf({ lever: undefined }))[0]).toMatchObject({
      missing: [{ what: 'how far it moves along its slot' }],
    })
    expect(lines(slotOf({ lever: undefined, travelMm: 12, chain: undefined }))).toEqual([
      { text: 'slot 22.0 mm long', isOut: false },
      expect.objectContaining({ isOut: false }),
    ])
  })

  it('are refused in a metal of no name, and told unknown without a pitch, a chain or a lever', () => {
    const raw = structuredClone(cart) as any
    raw.bolts[1].into = 'wood'
    const paths = (value: unknown) => {
      const parsed = parseBuild(value)
      return parsed.ok ? [] : parsed.problems.map(({ path }) => path).sort()
    }
    expect(paths(raw)).toEqual(['bolts[1].into'])
    // What is gone leaves its bolt, and is asked for.
    const missing = (changed: object) => {
      const { slot } = known(slotOf(changed))
      return slot?.known ? [] : slot?.missing.map(({ what }) => what)
    }
    expect(missing({ lever: 'nothing' })).toEqual(['the lever that moves it along its slot'])
    expect(missing({ chain: 'nowhere' })).toEqual(['the chain that pulls along its slot'])
    const odd = boltAnswer(build, { ...plate, sizeMm: 9 })
    expect(odd.known ? '' : odd.missing[0]!.what).toContain('no coarse pitch is known for 9 mm')
    const told = (resultJson(build) as any).bolts
    expect(told[0].value.slot.value.lengthMm).toBe(40)
  })
})

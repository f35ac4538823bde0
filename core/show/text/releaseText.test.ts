import bay from '../../../demo/sedge-wagon.lurvan.json'
import { releasePanes } from '../../drawing/releaseScene'
import type { HeldEntry } from '../../file/kinds/releaseKinds'
import type { Vec3 } from '../../base/linalg/vec3'
import { parseBuild } from '../../file/open/parseBuild'
import { releaseOf } from '../../making/ways/heldEntry'
import { releaseSentence, wayText } from './releaseText'

const held = (contacts: Record<string, Vec3>, pins: Record<string, object> = {}): HeldEntry => ({
  id: 'part',
  name: 'part',
  contacts: Object.entries(contacts).map(([id, pushes]) => ({ id, name: id, pushes })),
  pins: Object.entries(pins).map(([id, pin]) => ({ id, name: id, along: [0, 0, 1], ...pin })),
})
const said = (part: HeldEntry) => {
  const found = releaseOf(part)
  if (!found.known) throw new Error(found.missing[0]!.what)
  return releaseSentence(part, found.value)
}

describe('parts that are to come out again', () => {
  it('have a way, told in words', () => {
    expect(said(held({}))).toBe('It comes out any way: nothing touches it.')
    expect(said(held({ floor: [0, 0, 1] }))).toBe('It comes out straight up.')
    expect(said(held({ floor: [0, 0, 1], wall: [-1, 0, 0] }))).toBe('It comes out rearward, leaning 45° up.')
    expect(said(held({ floor: [0, 0, 1] }, { stud: {} }))).toBe('It comes out straight up, and no other way.')
    expect(said(held({ shelf: [0, 0, 1], lid: [0, 0, -1] }))).toMatch(/^It comes out by sliding/)
    expect(wayText([0, 1, 0])).toBe('straight to the left')
  })

  it('lose the fewest bolts first, or are proved trapped with what keeps them', () => {
    const crossed = { long: { along: [1, 0, 0], canBeDrawn: true }, upright: {} }
    expect(said(held({ floor: [0, 0, 1] }, crossed))).toBe(
      'Take out long; then it comes out straight up, and no other way.',
    )
    const boxed: Record<string, Vec3> = {
      floor: [0, 0, 1],
      lid: [0, 0, -1],
      front: [-1, 0, 0],
      back: [1, 0, 0],
      left: [0, -1, 0],
    }
    const all: Record<string, Vec3> = { ...boxed, right: [0, 1, 0] }
    expect(said(held(all))).toBe(
      'It is trapped: there is no way out. Without back, floor, front, left, lid and right, any one of them, it would come out.',
    )
    expect(said(held(all, { bolt: { canBeDrawn: true } }))).toContain(
      'even with all that can be drawn taken out',
    )
    expect(said(held({ ...all, lid: [0, 0, -1], lid2: [0, 0, -1] }))).toContain('Without back, floor')
  })

  it('are drawn by what is seen of them from each side', () => {
    const part = held({ floor: [0, 0, 2], wall: [0, -1, 0] }, { stud: {} })
    const found = releaseOf(part)
    const [side, top] = releasePanes(part, found.known ? found.value.bestWay : null, 300)
    expect(side!.contacts.map(({ id }) => id)).toEqual(['floor'])
    expect(top!.contacts.map(({ id }) => id)).toEqual(['wall'])
    expect(side!.way!.to[1]).toBeLessThan(side!.way!.from[1])
    expect([top!.way, top!.pins]).toEqual([null, []])
  })

  it('are refused without a direction, or with two of one name', () => {
    const raw = structuredClone(bay) as any
    raw.releases[0].contacts[0].pushes = [0, 0, 0]
    raw.releases[0].pins[0].id = 'rails'
    const parsed = parseBuild(raw)
    expect(parsed.ok ? [] : parsed.problems.map(({ path }) => path).sort()).toEqual([
      'releases[0].contacts[0].pushes',
      'releases[0].pins[0].id',
    ])
  })
})

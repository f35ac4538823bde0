import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useLevers } from './levers'
import { useMaking } from './making'

const checksOf = () => useMaking().found!.checks.map(({ quantity, verdict }) => `${quantity} ${verdict}`)

describe('what is made of a build', () => {
  it('is one way of several, changed and taken back', async () => {
    const workbench = await openedBay()
    const making = useMaking()
    expect(making.way!.way.id).toBe('box')
    making.changeMember({ chosen: 'flat' })
    await storedBuild()
    expect(checksOf()).toContain('member-stress out')
    making.changeWay('flat', { heightMm: 16 })
    await storedBuild()
    // (10 / 16)² of 67.7 %.
    expect(making.rows[0]!.share).toBe('26 %')
    expect((await storedBuild()).crossmembers![0]).toMatchObject({
      chosen: 'flat',
      ways: [{ heightMm: 16 }, {}, {}, {}],
    })
    await workbench.undo()
    await workbench.undo()
    await storedBuild()
    expect(making.way!.way.id).toBe('box')
    expect(checksOf()).toContain('member-stress holds')
  })

  it('tells the K of its metal from a strip', async () => {
    await openedBay()
    const making = useMaking()
    making.changeStrip('flat', { blankMm: 200, firstMm: 107 })
    making.changeStrip('flat', { secondMm: 107, angleDeg: 90 })
    making.changeStrip('flat', { firstMm: 106.5 })
    expect((await storedBuild()).crossmembers![0]!.ways[0]!.strip).toEqual({
      blankMm: 200,
      firstMm: 106.5,
      secondMm: 107,
      angleDeg: 90,
    })
  })

  it('takes another way, and lets one go but not the one it is made by', async () => {
    await openedBay()
    const making = useMaking()
    making.addWay('bent')
    await storedBuild()
    expect(making.rows.map(({ kind }) => kind)).toEqual(['bent', 'folded', 'straight', 'ledges', 'bent'])
    making.removeWay('box')
    making.removeWay('plain')
    expect((await storedBuild()).crossmembers![0]!.ways.map(({ id }) => id).slice(0, 3)).toEqual([
      'flat',
      'box',
      'ledges',
    ])
  })

  it('is stale once a lever moves the gearbox after it was taken as made', async () => {
    await openedBay()
    const making = useMaking()
    expect(making.change).toBeNull()
    making.takeAsMade()
    await storedBuild()
    expect(making.change).toMatchObject({ isStale: false })
    const { made } = (await storedBuild()).crossmembers![0]!
    expect(made).toMatchObject({
      position: 'a',
      pad: { forwardMm: expect.closeTo(-986, 6), upMm: expect.closeTo(14, 6) },
    })
    useLevers().set('Pack the tail', { tail: 3 })
    expect(making.change).toMatchObject({ isStale: true, movedMm: expect.closeTo(3, 0) })
  })

  it('is begun between two seats that are to be read, with the limits of what is made, and goes with them', async () => {
    await openedDemo()
    const making = useMaking()
    expect(making.found).toBeNull()
    making.add()
    const build = await storedBuild()
    const [member] = build.crossmembers!
    expect(
      build.points.filter(({ id }) => [member!.left, member!.right].includes(id)).map(({ body }) => body),
    ).toEqual(['chassis', 'chassis'])
    expect(member!.pad).toBe('mount-tail')
    expect(build.limits.entries.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['member-stress', 'member-sag', 'member-ground']),
    )
    expect(making.way!.figures.known).toBe(false)
    expect(making.template).toBeNull()
    making.remove()
    const left = await storedBuild()
    expect(left.crossmembers).toEqual([])
    expect(left.points.map(({ id }) => id)).toContain('mount-tail')
    expect(left.points.some(({ id }) => id === member!.left)).toBe(false)
  })

  it('is printed with its name, stock and position', async () => {
    await openedBay()
    const making = useMaking()
    const texts = making.printed!.marks.flatMap((mark) => (mark.form === 'text' ? [mark.text] : []))
    expect(texts).toContain('gearbox bar')
    expect(texts).toContain('40 × 40 × 3 tube, seen from behind, left end at the left')
    expect(texts.some((text) => /^to position A, 20\d\d-\d\d-\d\d$/.test(text))).toBe(true)
    expect(making.printed!.size[0]).toBeCloseTo(746.7, 1)
    const scene = making.scene(700)!
    expect(scene.known && scene.value.ground!.mm).toBe(281)
  })
})

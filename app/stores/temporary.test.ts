import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useTemporary } from './temporary'

describe('what of a build is temporary', () => {
  it('is counted while it is open, says which gaps it makes smaller, is made good, and undone', async () => {
    const workbench = await openedBay()
    const temporary = useTemporary()
    expect(temporary.sentence).toBe('2 things are not yet as they will be.')
    expect(temporary.all.map(({ id }) => id)).toEqual(['cooler-dummy', 'bell-bolts', 'head-gasket'])
    const bound = () => temporary.boundOf(temporary.all.find(({ id }) => id === 'cooler-dummy')!)
    expect(bound()).toMatch(
      /^It is 6.0 mm larger than the real part on purpose: .*charge cooler.* up to 6.0 mm more\.$/,
    )
    temporary.close('cooler-dummy')
    await storedBuild()
    expect([temporary.sentence, bound()]).toEqual(['One thing is not yet as it will be.', null])
    temporary.close('bell-bolts')
    await storedBuild()
    expect([temporary.sentence, temporary.isOpen]).toEqual(['Nothing temporary is left.', false])
    temporary.reopen('head-gasket')
    expect((await storedBuild()).temporaries!.at(-1)!.closedAt).toBeUndefined()
    for (let k = 0; k < 3; k++) await workbench.undo()
    await storedBuild()
    expect(temporary.sentence).toContain('2 things')
  })

  it('begins with a stand-in, is changed, and goes', async () => {
    await openedDemo()
    const temporary = useTemporary()
    expect(temporary.sentence).toBeNull()
    temporary.add()
    const [one] = (await storedBuild()).temporaries!
    expect(one).toMatchObject({ kind: 'stand-in', since: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) })
    temporary.change(one!.id, { body: 'chassis', largerMm: 3, kind: 'dummy', where: 'under it' })
    await storedBuild()
    expect(temporary.boundOf(temporary.all[0]!)).toContain('It is 3.0 mm larger')
    temporary.remove(one!.id)
    expect((await storedBuild()).temporaries).toEqual([])
  })
})

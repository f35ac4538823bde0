import { openedBay, openedDemo, storedBuild } from '../../tests/support/opened'
import { useReleases } from './releases'

describe('parts of a build that are to come out again', () => {
  it('are freed by what is drawn, trapped by what is added, and undone', async () => {
    const workbench = await openedBay()
    const releases = useReleases()
    expect(releases.sentence).toBe(
      'It comes out straight down, and no other way. It slides along downpipe, right in front.',
    )
    releases.changeContact('downpipe', { pushes: [0, 0, 1] })
    await storedBuild()
    expect([releases.isOut, releases.sentence]).toEqual([false, expect.stringMatching(/^It is trapped/)])
    releases.removePin('dowel')
    await storedBuild()
    expect(releases.sentence).toMatch(/^Take out four rail bolts; then it comes out by sliding/)
    await workbench.undo()
    await workbench.undo()
    await storedBuild()
    expect(releases.isOut).toBe(true)
    expect(releases.panes(300)[0]!.way).not.toBeNull()
  })

  it('begin with one face, take others and bolts, and go', async () => {
    await openedDemo()
    const releases = useReleases()
    expect(releases.sentence).toBeNull()
    releases.add()
    releases.rename('starter')
    releases.addContact()
    releases.addPin()
    const [part] = (await storedBuild()).releases!
    expect([part!.name, part!.contacts.length, part!.pins.length]).toEqual(['starter', 2, 1])
    releases.changePin(part!.pins[0]!.id, { along: [1, 0, 0], canBeDrawn: undefined, isOneWay: true })
    releases.removeContact(part!.contacts[1]!.id)
    const [later] = (await storedBuild()).releases!
    expect(later!.pins[0]).toEqual({ id: part!.pins[0]!.id, name: 'bolt', along: [1, 0, 0], isOneWay: true })
    expect(releases.sentence).toBe('It comes out straight forward, and no other way. It slides along face.')
    releases.remove()
    expect((await storedBuild()).releases).toEqual([])
  })
})

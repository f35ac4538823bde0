import { openedBay, storedBuild } from '../../tests/support/opened'
import { useCards } from './cards'
import { usePlates } from './plates'

const cardOf = async () => (await storedBuild()).plates![0]!.bosses!.card

describe('a plate by an impression on card', () => {
  it('is marked cross by cross and hole by hole, then round its metal; each goes back by undo', async () => {
    const workbench = await openedBay((raw) => (raw.plates[0].bosses.tapes = []))
    const [cards, plates] = [useCards(), usePlates()]
    expect(cards.card).toBeNull()
    cards.begin('card-photo')
    await storedBuild()
    expect([cards.tool, cards.open.length]).toEqual(['first', 7])
    cards.set([100, 100])
    cards.set([500, 100])
    cards.change({ apartMm: 200 })
    await storedBuild()
    // Half a millimetre a pixel; the holes are as they were taped on the plate, C where its bolt is.
    const places = plates.found!.answer.plate
    if (!places.known) throw new Error('it is taped')
    expect(cards.tool).toEqual({ hole: 'A' })
    for (const [, [x, y]] of places.value.places) cards.set([600 + 2 * x, 700 - 2 * y])
    await storedBuild()
    expect([cards.tool, cards.open]).toEqual(['outline', []])
    expect(plates.sentence).toMatch(/^It fits/)
    cards.chosen = { hole: 'C' }
    const [x, y] = places.value.places.get('C')!
    cards.set([600 + 2 * x + 8, 700 - 2 * y])
    await storedBuild()
    // Four millimetres to the right are beyond its play.
    expect(plates.sentence).toContain('Open hole C')
    cards.set([10, 10])
    cards.set([20, 10])
    cards.set([20, 20])
    expect((await cardOf())!.outline).toHaveLength(3)
    cards.dropCorner()
    expect((await cardOf())!.outline).toHaveLength(2)
    await workbench.undo()
    expect((await cardOf())!.outline).toHaveLength(3)
    cards.change({ isBack: true })
    await storedBuild()
    expect(plates.found!.check.verdict).toBe('out')
    plates.removeHole('C')
    expect((await cardOf())!.marks!.map(({ hole }) => hole)).toEqual(['A', 'B', 'D', 'E'])
    cards.remove()
    expect(await cardOf()).toBeUndefined()
  })

  it('is of the face that is chosen', async () => {
    await openedBay()
    const cards = useCards()
    cards.side = 'plate'
    cards.begin('card-photo')
    expect((await storedBuild()).plates![0]!.plate!.card).toEqual({ photo: 'card-photo' })
    expect(cards.marks).toEqual([])
    cards.dropTapes()
    expect((await storedBuild()).plates![0]!.plate!.tapes).toEqual([])
    cards.side = 'bosses'
    expect(cards.card).toBeNull()
  })
})

import { openedBay, storedBuild } from '../../tests/support/opened'
import { useTrials, type PointAgain } from './trials'
import { useWorkbench } from './workbench'

/** Reads a point again in a trial as it was read first, but for its height. */
function readHigher(trials: ReturnType<typeof useTrials>, trial: string, again: PointAgain, byMm: number) {
  const { first } = again
  const said = (kind: keyof typeof first, size: number) =>
    trials.readAgain(trial, again, kind, Math.abs(size).toFixed(2))
  return [
    said('point-station', first['point-station']),
    said('point-offset', first['point-offset']),
    said('point-height', first['point-height'] + byMm),
  ]
}

describe('how a lift-in stood', () => {
  it('is told by its mounts read again, and where a spacer is not what was said', async () => {
    await openedBay()
    const trials = useTrials()
    expect(trials.poses.get('trial-3')).toEqual([])
    const mounts = trials.pointsOf('trial-3').slice(0, 3)
    const { body } = mounts[0]!.point
    const { build } = useWorkbench()
    const told = build!.bodies.find(({ id }) => id === body)!
    if (!('mounts' in told) || !told.mounts) throw new Error('mounts come first')
    const tail = told.mounts.tail
    expect(new Set(mounts.map(({ point }) => point.id))).toEqual(new Set(Object.values(told.mounts)))

    for (const again of mounts)
      expect(readHigher(trials, 'trial-3', again, again.point.id === tail ? 10 : 6)).toEqual(['', '', ''])
    const [pose] = trials.poses.get('trial-3')!
    expect(pose!.points).toHaveLength(3)
    expect(pose!.rms).toBeLessThan(0.5)
    const moved = Object.fromEntries(pose!.levers.map((one) => [one.lever.id, one]))
    expect(moved.fronts!.moved).toBeCloseTo(6, 1)
    expect(moved.tail!.moved).toBeCloseTo(10, 1)
    expect([moved.fronts!.disagrees, moved.tail!.disagrees]).toEqual([false, false])

    // The spacer under the tail was 4 mm, not 10.
    const again = trials.pointsOf('trial-3').find(({ point }) => point.id === tail)!
    expect(again.texts['point-height']).not.toBe('')
    readHigher(trials, 'trial-3', again, 4)
    const corrected = trials.poses.get('trial-3')![0]!.levers.find(({ lever }) => lever.id === 'tail')!
    expect(corrected.moved).toBeCloseTo(4, 1)
    expect(corrected.packed).toBe(10)
    expect(corrected.disagrees).toBe(true)
  })

  it('counts a figure the way it was read first, and keeps none that cannot be understood', async () => {
    const workbench = await openedBay()
    const trials = useTrials()
    const [again] = trials.pointsOf('trial-2')
    const before = workbench.build!.readings.length
    expect(trials.readAgain('trial-2', again!, 'point-offset', 'about ten')).not.toBe('')
    expect(trials.readAgain('trial-2', again!, 'point-offset', ' ')).toBe('')
    expect(workbench.build!.readings).toHaveLength(before)
    expect(trials.readAgain('trial-2', again!, 'point-offset', '212')).toBe('')
    const kept = (await storedBuild()).readings.at(-1)!
    const side = again!.first['point-offset'] >= 0 ? 'left' : 'right'
    expect(kept).toMatchObject({ kind: 'point-offset', trial: 'trial-2', side, values: ['212'] })
    await workbench.undo()
    await storedBuild()
    expect(trials.pointsOf('trial-2')[0]!.texts['point-offset']).toBe('')
  })

  it('foretells the gaps that were read before: what agrees differs by no more than its ±', async () => {
    await openedBay((raw) => {
      const [sump, head] = ['g1', 'g2'].map((id) => raw.readings.find((one: { id: string }) => one.id === id))
      raw.readings.push({ ...sump, id: 'sump-again', trial: 'trial-3', values: ['15'] })
      raw.readings.push({ ...head, id: 'head-again', trial: 'trial-3', values: ['60'] })
    })
    const trials = useTrials()
    const [sump, head] = trials.foretoldGaps.get('trial-3')!
    // 6 mm under the front mounts lift the sump from 9 mm by about as much.
    expect([sump!.readMm.toFixed(6), sump!.agrees]).toEqual(['15.000000', true])
    expect(Math.abs(sump!.foretoldMm - 15)).toBeLessThan(sump!.plusMinus)
    expect([head!.readMm.toFixed(6), head!.agrees]).toEqual(['60.000000', false])
    expect(Math.abs(head!.foretoldMm - 60)).toBeGreaterThan(head!.plusMinus)
    expect([...trials.packed.keys()]).toEqual(['trial-1', 'trial-2', 'trial-3'])
  })
})

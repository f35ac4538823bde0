import { nextTick } from 'vue'
import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useLevers } from './levers'
import { useOwnLimits } from './ownLimits'

describe('limits of one’s own', () => {
  it('mark the checks that they decide, and none once they are as they were', async () => {
    const workbench = await openedDemo()
    const own = useOwnLimits()
    expect(own.checks.size).toBe(0)
    workbench.change('Change a limit', (draft) => {
      draft.limits.entries.find(({ id }) => id === 'torsional')!.failAbove = 900
      draft.limits.profile = 'own'
    })
    await nextTick()
    expect([...own.checks]).toEqual(['rear/torsional'])
    // A lever that moves looks nothing up again.
    const before = own.checks
    useLevers().hold('wedge', -1)
    await nextTick()
    expect(own.checks).toBe(before)
    await workbench.undo()
    await storedBuild()
    await nextTick()
    expect(own.checks.size).toBe(0)
  })
})

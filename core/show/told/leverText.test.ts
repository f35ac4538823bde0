import runabout from '../../../demo/teasel-runabout.lurvan.json'
import { parseBuild } from '../../file/open/parseBuild'
import type { Lever } from '../../file/build/lever'
import { changedBay } from '../../testdata/bay'
import { changeInstruction, leverInstruction, leverName } from './leverText'

const bay = changedBay()
const leverOf = (id: string, changed: Partial<Lever> = {}): Lever => ({
  ...bay.levers.find((lever) => lever.id === id)!,
  ...changed,
})

describe('a lever in words', () => {
  it('is told by where it is packed, with the spacers that make it', () => {
    expect(leverName(bay, leverOf('tail'))).toBe('tail at the crossmember')
    expect(leverInstruction(bay, leverOf('tail'), 8)).toBe('Pack the tail up 8.0 mm (5 + 3)')
    expect(leverInstruction(bay, leverOf('tail'), -3)).toBe('Lower the tail 3.0 mm')
    expect(leverInstruction(bay, leverOf('fronts'), 7)).toBe('Pack both front mounts up 7.0 mm (5 + 2)')
    expect(leverInstruction(bay, leverOf('radiator-fore'), 4)).toBe('Move radiator 4.0 mm forward')
  })

  it('goes by what the builder calls it', () => {
    const named = leverOf('tail', { name: 'rear torque mount' })
    expect(leverName(bay, named)).toBe('rear torque mount')
    expect(leverInstruction(bay, named, 8)).toBe('Pack the rear torque mount up 8.0 mm (5 + 3)')
    expect(leverInstruction(bay, named, -3)).toBe('Lower the rear torque mount 3.0 mm')
    expect(changeInstruction(bay, { lever: named, amount: 8, change: 3 })).toBe(
      'Pack the rear torque mount up 3.0 mm (3), to 8.0 mm up in all',
    )
  })

  it('of the engine that lies across is named after its own mounts', () => {
    const parsed = parseBuild(structuredClone(runabout))
    if (!parsed.ok) throw new Error('demo')
    const names = parsed.value.levers.map((lever) => leverName(parsed.value, lever))
    expect(names).toContain('rear torque mount')
    expect(names.join()).not.toContain('crossmember')
  })
})

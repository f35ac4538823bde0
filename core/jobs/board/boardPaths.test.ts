import { bought, ownTask, planOf, workBuild } from '../../testdata/workBuild'
import { boardPaths } from './boardPaths'
import { workScene } from './workScene'

describe('the pen of the board of work', () => {
  const plan = planOf(
    workBuild([ownTask('exhaust', 3), bought('shaft', 10), ownTask('fit', 3, { after: ['shaft'] })]),
  )
  const scene = workScene(plan)
  // Fourteen days and a last mark: 100 px a day.
  const paths = boardPaths(scene, { widthPx: 100 * scene.days, rowPx: 30 })
  const ofLook = (look: string, isDeciding: boolean) =>
    paths.bars.find((one) => one.look === look && one.isDeciding === isDeciding)?.d

  it('draws bars to the scale of the days, those that decide apart', () => {
    expect([scene.days, scene.rows.map(({ key }) => key)]).toEqual([15, ['shaft', 'exhaust', 'fit']])
    // Half an hour of Monday's two; the way of ten days; taken in on day 10.
    expect(ofLook('way', true)).toBe('M25 7H1000v16H25z')
    expect(ofLook('work', true)?.split('z')[0]).toBe('M0 7H25v16H0')
    expect(ofLook('work', false)).toBeUndefined()
    // From half an hour of Monday to an hour and a half of Tuesday.
    expect(ofLook('fit', false)).toBe('M25 37H175v16H25z')
  })

  it('draws what waits for what, and no more than is there', () => {
    expect(paths.decidingLinks).toMatch(/^M1012\.5 15H1012\.5V75$/)
    expect([paths.links, paths.wanted]).toEqual(['', null])
    expect(boardPaths(workScene(plan, '2026-12-06'), { widthPx: 1500, rowPx: 30 }).wanted).toBe('M600 0V90')
  })

  it('leaves nothing too short to be seen', () => {
    const narrow = boardPaths(scene, { widthPx: scene.days, rowPx: 30 })
    for (const { d } of narrow.bars)
      for (const [, left, right] of d.matchAll(/M([\d.]+) \d+H([\d.]+)v/g))
        expect(Number(right) - Number(left)).toBeGreaterThanOrEqual(5)
  })
})

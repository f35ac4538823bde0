import { askedIds } from '../../testdata/askedIds'
import { evaluateBuild } from '../../model/evaluateBuild'
import { bareBuild, newBuild } from './newBuild'
import { parseBuildText } from '../open/parseBuild'
import { USUAL_CROSSES, USUAL_TUBES } from '../parts/stock'
import { measuringTour } from '../../measure/tour/tour'
import { resultJson } from '../../show/result/resultJson'
import { beginBuild } from './beginBuild'
import { LAYOUT_KEYS, LAYOUTS } from './layouts'
import { withLayout } from './withLayout'

const WANTED = {
  id: 'empty',
  name: 'Empty',
  units: { length: 'mm', inchFraction: 16, angle: 'decimal' },
  profile: 'road',
  date: '2026-01-01',
} as const
const bare = bareBuild(WANTED)

describe('layouts to start from', () => {
  it('are all there', () => expect(LAYOUTS.map(({ key }) => key)).toEqual([...LAYOUT_KEYS]))

  it.each(LAYOUTS.map((layout) => [layout.key, layout] as const))(
    '%s is a file that opens, says what to read, and judges nothing it does not know',
    (_key, layout) => {
      const build = withLayout(bare, layout)
      const parsed = parseBuildText(JSON.stringify(build))
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
      expect(parsed.value.lines).toHaveLength(layout.lines.length)
      const { verdict, lines } = evaluateBuild(parsed.value, {})
      expect(lines.every(({ ride }) => !ride.known)).toBe(true)
      // A disc that nobody said has a pilot is out, whatever is read.
      expect(verdict).toBe(layout.key === 'disc-front' ? 'out' : 'unknown')
      const asked = askedIds(measuringTour(parsed.value, 'setup-1'))
      for (const line of parsed.value.lines) {
        expect(asked).toContain(line.driving)
        expect(asked).toContain(line.driven)
        for (const { bearing } of line.shafts) if (bearing) expect(asked).toContain(bearing.point)
      }
      expect(resultJson(parsed.value).lines.map(({ name }) => name)).toEqual(
        layout.lines.map(({ name }) => name),
      )
    },
  )

  it.each(LAYOUT_KEYS)('%s begins a build that opens, judged by all that its shafts need', (key) => {
    const build = beginBuild({ ...WANTED, profile: 'trail' }, key)
    expect(parseBuildText(JSON.stringify(build))).toMatchObject({ ok: true })
    const has = (quantity: string) => build.limits.entries.some((limit) => limit.quantity === quantity)
    const shafts = build.lines.flatMap((line) => line.shafts)
    if (shafts.some(({ slip }) => slip))
      expect([has('slip-left'), has('spline-engaged')]).toEqual([true, true])
    if (shafts.some(({ plunge }) => plunge)) expect(has('plunge-left')).toBe(true)
  })

  it('cannot begin with one that there is not', () =>
    expect(() => beginBuild(WANTED, 'nothing' as never)).toThrow('no layout nothing'))

  it('take the usual stock into a file of their own', () => {
    const stocked = { ...withLayout(bare, LAYOUTS[0]!), tubes: USUAL_TUBES, crosses: USUAL_CROSSES }
    expect(parseBuildText(JSON.stringify(stocked))).toMatchObject({ ok: true })
  })

  it('stand beside each other in one build, with names, ids and bodies that do not clash', () => {
    const all = LAYOUTS.reduce(withLayout, newBuild(WANTED))
    const parsed = parseBuildText(JSON.stringify(all))
    expect(parsed).toMatchObject({ ok: true })
    const names = all.lines.map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    expect(all.bodies.filter(({ kind }) => kind === 'transfer-case')).toHaveLength(1)
    expect(all.bodies.filter(({ kind }) => kind === 'axle')).toHaveLength(2)
  })
})

import { evaluateBuild } from '../model/evaluateBuild'
import { parseBuildText } from '../file/open/parseBuild'
import { changedBay } from '../testdata/bay'
import { bodyOnSpacers, likelyBody } from './bodyOnSpacers'

const bay = changedBay(() => undefined)
const raised = bodyOnSpacers(
  bay,
  { name: 'body', ...likelyBody(bay), rangeMm: [0, 75], stepMm: 5 },
  { body: 'body-1', lever: 'spacers-1' },
)
const gapMm = (build: typeof bay, id: string, settings: Record<string, number> = {}): number => {
  const row = evaluateBuild(build, settings).gaps.find(({ gap }) => gap.id === id)
  if (!row?.ride.known) throw new Error(`${id} is not known`)
  return row.ride.value.gapMm
}

describe('a body on spacers', () => {
  it('takes sheet metal for what is drawn as a line, and leaves frame and crossmembers alone', () => {
    const { outlines, gaps } = likelyBody(bay)
    expect([...outlines].sort()).toEqual(['bonnet', 'firewall', 'tunnel, left', 'tunnel, right'])
    expect(gaps).toEqual(
      new Set([
        'head-firewall',
        'rocker-bonnet',
        'inlet-bonnet',
        'bell-tunnel',
        'box-left',
        'box-right',
        'radiator-bonnet',
        'airbox-bonnet',
      ]),
    )
  })

  it('changes no gap until a spacer is set', () => {
    for (const { gap } of evaluateBuild(bay, {}).gaps)
      expect(gapMm(raised, gap.id)).toBeCloseTo(gapMm(bay, gap.id), 9)
  })

  it.each([
    ['bell-tunnel', 25],
    ['rocker-bonnet', 25 / Math.hypot(0.06, 1)],
    ['box-left', (25 * 0.15) / Math.hypot(1, 0.15)],
    ['head-firewall', 0],
    ['sump-rack', 0],
  ])('of 25 mm opens %s by %d mm, as far as it lies in the way', (id, mm) => {
    expect(gapMm(raised, id, { 'spacers-1': 25 }) - gapMm(bay, id)).toBeCloseTo(mm, 6)
  })

  it('is a file that opens again, and what was off on the way in stays off', () => {
    const parsed = parseBuildText(JSON.stringify(raised))
    expect(parsed).toMatchObject({ ok: true })
    const wasOff = bay.wayIn?.off.filter((key) => key === 'chassis/bonnet').length ?? 0
    expect(raised.wayIn?.off.filter((key) => key === 'body-1/bonnet')).toHaveLength(wasOff)
    expect(raised.wayIn?.off).not.toContain('chassis/bonnet')
  })
})

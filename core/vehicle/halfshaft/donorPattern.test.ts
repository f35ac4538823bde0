import type { DonorPattern } from '../../file/parts/donorPattern'
import { patternOf, patternStep } from './donorPattern'

const READ: DonorPattern = {
  id: 'left',
  name: 'left front',
  settled: true,
  outerPieceMm: 410,
  innerPieceMm: 330,
  overlapBottomedMm: 120,
  overlapPulledMm: 162,
}
const said = (read: DonorPattern) => {
  const found = patternOf(read)
  return found.known ? found.value : found.missing.map(({ what }) => what)
}

describe('a pattern from two donors', () => {
  it('goes step by step: settled, pieces, bottomed, pulled out', () => {
    const steps = [
      {},
      { settled: true },
      { settled: true, outerPieceMm: 410 },
      { settled: true, outerPieceMm: 410, innerPieceMm: 330 },
      { settled: true, outerPieceMm: 410, innerPieceMm: 330, overlapBottomedMm: 120 },
      READ,
    ]
    expect(steps.map((step) => patternStep({ id: 'left', name: 'left front', ...step }))).toEqual([
      'settle',
      'pieces',
      'pieces',
      'bottomed',
      'pulled',
      'done',
    ])
  })

  it('tells the length once all is measured, with the wish of the builder', () => {
    expect(said(READ)).toMatchObject({ shaftMm: 599, overlapMm: 141, strokeMm: 42, canClamp: true })
    expect(said({ ...READ, offsetMm: 5, clampMm: 150 })).toMatchObject({
      shaftMm: 604,
      overlapMm: 136,
      canClamp: false,
    })
  })

  it('names all that is missing, and what contradicts', () => {
    expect(said({ id: 'left', name: 'left front', outerPieceMm: 410 })).toEqual([
      'the vehicle settled at ride height',
      'length of the inner piece',
      'overlap with the inner joint bottomed',
      'overlap with the inner joint pulled out',
    ])
    expect(said({ ...READ, overlapPulledMm: 100 })).toEqual([
      'bottomed, the pieces overlap less than pulled out: the marks are swapped',
    ])
  })
})

import { drawErrors, nextNormal, nextUniform, seededState } from './random'

describe('drawErrors', () => {
  it('draws what one by one would be drawn, tails included, and leaves the state where that would', () => {
    const [rows, halfWidth, scatter] = [50_000, 0.3, 0.8]
    const [columns, single] = [seededState(7), seededState(7)]
    const errors = new Float64Array(rows)
    drawErrors(columns, errors, rows, halfWidth, scatter)
    let farthest = 0
    for (let row = 0; row < rows; row++) {
      const wanted = halfWidth * (2 * nextUniform(single) - 1) + scatter * nextNormal(single)
      expect(errors[row]).toBeCloseTo(wanted, 12)
      farthest = Math.max(farthest, Math.abs(wanted))
    }
    expect(nextUniform(columns)).toBe(nextUniform(single))
    // Beyond the ziggurat's last layer, so that its tail was drawn as well.
    expect(farthest).toBeGreaterThan(3.45 * scatter)
  })

  it('has the mean and spread that were asked for', () => {
    const rows = 200_000
    const errors = new Float64Array(rows)
    drawErrors(seededState(1), errors, rows, 1, 0.5)
    const mean = errors.reduce((sum, one) => sum + one, 0) / rows
    const variance = errors.reduce((sum, one) => sum + (one - mean) ** 2, 0) / rows
    expect(mean).toBeCloseTo(0, 2)
    expect(variance).toBeCloseTo(1 / 3 + 0.25, 2)
  })

  it('draws nothing for what is exact', () => {
    const state = seededState(3)
    const errors = new Float64Array(4).fill(9)
    drawErrors(state, errors, 4, 0, 0)
    expect([...errors]).toEqual([0, 0, 0, 0])
    expect(nextUniform(state)).toBe(nextUniform(seededState(3)))
  })
})

/**
 * AᵀA and Aᵀb of conditions, as equations to eliminate by: the least squares of more conditions than unknowns.
 *
 * @param rows - condition by condition: its figures on the unknowns, then what is left of it
 * @param unknowns - how many
 * @param into - as many rows of as many figures and one
 */
export function normalEquations(
  rows: Float64Array,
  count: number,
  unknowns: number,
  into: Float64Array,
): void {
  const wide = unknowns + 1
  for (let i = 0; i < unknowns; i++)
    for (let j = 0; j < wide; j++) {
      let sum = 0
      for (let k = 0; k < count; k++) sum += (rows[wide * k + i] as number) * (rows[wide * k + j] as number)
      into[wide * i + j] = sum
    }
}

/**
 * Four linear equations by elimination with pivots, in place: row by row the figures on the unknowns, then the right side, which the answers take.
 *
 * With fixed bounds it is twice as fast as for any number, and poses are found by the hundred thousand.
 *
 * @returns false where they have no one answer
 */
export function eliminateFour(m: Float64Array): boolean {
  for (let i = 0; i < 4; i++) {
    let pivot = i
    let size = Math.abs(m[6 * i] as number)
    for (let k = i + 1; k < 4; k++) {
      const other = Math.abs(m[5 * k + i] as number)
      if (other > size) {
        size = other
        pivot = k
      }
    }
    if (!(size > 1e-12)) return false
    if (pivot !== i)
      for (let j = i; j < 5; j++) {
        const kept = m[5 * i + j] as number
        m[5 * i + j] = m[5 * pivot + j] as number
        m[5 * pivot + j] = kept
      }
    const by = 1 / (m[6 * i] as number)
    for (let k = i + 1; k < 4; k++) {
      const factor = (m[5 * k + i] as number) * by
      for (let j = i + 1; j < 5; j++)
        m[5 * k + j] = (m[5 * k + j] as number) - factor * (m[5 * i + j] as number)
    }
  }
  for (let i = 3; i >= 0; i--) {
    let sum = m[5 * i + 4] as number
    for (let j = i + 1; j < 4; j++) sum -= (m[5 * i + j] as number) * (m[5 * j + 4] as number)
    m[5 * i + 4] = sum / (m[6 * i] as number)
  }
  return true
}

/** Six linear equations, likewise. */
export function eliminateSix(m: Float64Array): boolean {
  for (let i = 0; i < 6; i++) {
    let pivot = i
    let size = Math.abs(m[8 * i] as number)
    for (let k = i + 1; k < 6; k++) {
      const other = Math.abs(m[7 * k + i] as number)
      if (other > size) {
        size = other
        pivot = k
      }
    }
    if (!(size > 1e-12)) return false
    if (pivot !== i)
      for (let j = i; j < 7; j++) {
        const kept = m[7 * i + j] as number
        m[7 * i + j] = m[7 * pivot + j] as number
        m[7 * pivot + j] = kept
      }
    const by = 1 / (m[8 * i] as number)
    for (let k = i + 1; k < 6; k++) {
      const factor = (m[7 * k + i] as number) * by
      if (factor === 0) continue
      for (let j = i + 1; j < 7; j++)
        m[7 * k + j] = (m[7 * k + j] as number) - factor * (m[7 * i + j] as number)
    }
  }
  for (let i = 5; i >= 0; i--) {
    let sum = m[7 * i + 6] as number
    for (let j = i + 1; j < 6; j++) sum -= (m[7 * i + j] as number) * (m[7 * j + 6] as number)
    m[7 * i + 6] = sum / (m[8 * i] as number)
  }
  return true
}

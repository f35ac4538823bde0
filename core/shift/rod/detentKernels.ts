import type { Cells, Kernel, Row } from '../../base/columns/kernel'

const DEGREES = 180 / Math.PI

/** What the plays of both pins and the lost motion of a cable let the gearbox's arm turn, in degrees: from its length, and that lost motion. Parameter: both plays. */
export const PLAYS_LET: Kernel = {
  name: 'lost motion of a shift rod',
  page: 'shift',
  outputs: 1,
  run: (count, [armMm, cable], [lost], [playMm]) => {
    for (let i: Row = 0; i < count; i++) lost[i] = ((playMm + cable[i]) / armMm[i]) * DEGREES
  },
}

/** What is left of a detent: what it draws in, less half the lost motion and how far off the gearbox's arm stands at the worst. From those, the errors last. */
export const leftOfDetent = (errors: number): Kernel => ({
  name: 'what is left of a detent',
  page: 'shift',
  outputs: 1,
  run: (count, from, [left]) => {
    const cells = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let most = 0
      for (let k = 2; k < errors + 2; k++) most = Math.max(most, Math.abs((cells[k] as Cells)[i]))
      left[i] = (cells[0] as Cells)[i] - most - (cells[1] as Cells)[i] / 2
    }
  },
})

/** The largest of some figures, whatever their signs. */
export const largestOf = (figures: number): Kernel => ({
  name: 'the largest error with the engine rocked',
  page: 'shift',
  outputs: 1,
  run: (count, from, [largest]) => {
    const cells = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let most = 0
      for (let k = 0; k < figures; k++) most = Math.max(most, Math.abs((cells[k] as Cells)[i]))
      largest[i] = most
    }
  },
})

/** What a detent draws in: a share of the step to the next that is nearest, in degrees. From up to ten detents in their order, in radians. */
export const detentCapture = (detents: number, share: number): Kernel => ({
  name: 'what a detent draws in',
  page: 'shift',
  outputs: 1,
  run: (count, from, [capture]) => {
    const columns = from as unknown as readonly { [row in Row]: number }[]
    for (let i: Row = 0; i < count; i++) {
      let least = Infinity
      for (let k = 1; k < detents; k++) {
        const [before, here] = [columns[k - 1], columns[k]]
        if (before && here) least = Math.min(least, Math.abs(here[i] - before[i]))
      }
      capture[i] = share * least * DEGREES
    }
  },
})

import type { Kernel, Row } from '../../base/columns/kernel'

/**
 * A bar that is there, moved to where it is wanted by a plate at each rail: how far forward, inward and up each plate takes its end.
 *
 * From where the gearbox stands between the rails (from left, from right, ahead, over left, over right); parameters: the same of the bar between its own
 * bolts. Gives forward, inward at left and right, up at left and right.
 */
export const MEMBER_MOVED: Kernel = {
  name: 'plates that move an old bar',
  page: 'crossmembers',
  outputs: 5,
  run: (
    count,
    [fromLeft, fromRight, ahead, overLeft, overRight],
    [forward, inLeft, inRight, upLeft, upRight],
    [left, right, own, up],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      forward[i] = ahead[i] - own
      inLeft[i] = fromLeft[i] - left
      inRight[i] = fromRight[i] - right
      upLeft[i] = overLeft[i] - up
      upRight[i] = overRight[i] - up
    }
  },
}

/**
 * Stress of an old bar and of the plates that move it, the larger, as a share of what they yield at in per cent.
 *
 * A plate bears its end's part of the load as far off as it goes forward: `6·F·e/(w·t²)`. From how far that is and the bar's own share; parameters: the
 * load of the end that bears more, the plate's modulus, yield.
 */
export const MOVED_SHARE: Kernel = {
  name: 'stress of an old bar and its plates',
  page: 'crossmembers',
  outputs: 1,
  run: (count, [forward, bar], [share], [load, modulus, yields]) => {
    for (let i: Row = 0; i < count; i++)
      share[i] = Math.max(bar[i], (100 * load * Math.abs(forward[i])) / (modulus * yields))
  },
}

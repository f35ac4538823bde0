import type { Kernel, Row } from '../../base/columns/kernel'

const DEGREES = 180 / Math.PI

/**
 * Where a pad stands between two others: along the straight way from the left one to the right, how far ahead of it, and how far its seat lies above each.
 *
 * From three points, forward, left and up; parameter: from the pad down to its seat. Gives the ways from left and right, the way ahead, and both heights.
 */
export const MEMBER_SPAN: Kernel = {
  name: 'where the gearbox stands between the rails',
  page: 'crossmembers',
  outputs: 5,
  run: (count, from, [fromLeft, fromRight, ahead, overLeft, overRight], [seat]) => {
    const [lx, ly, lz, rx, ry, rz, px, py] = from
    const pz = from[8]
    for (let i: Row = 0; i < count; i++) {
      const wayX = rx[i] - lx[i]
      const wayY = ry[i] - ly[i]
      const span = Math.sqrt(wayX * wayX + wayY * wayY)
      const dx = px[i] - lx[i]
      const dy = py[i] - ly[i]
      const along = (dx * wayX + dy * wayY) / span
      fromLeft[i] = along
      fromRight[i] = span - along
      ahead[i] = (dy * wayX - dx * wayY) / span
      overLeft[i] = pz[i] - seat - lz[i]
      overRight[i] = pz[i] - seat - rz[i]
    }
  },
}

/**
 * A bar with a level part at each rail and one under the gearbox, laid out straight: whatever it is bent or folded of.
 *
 * From the ways of the pad from left and right and how far its mid-line lies above those at the rails. Parameters: the left end beyond its pad and
 * inward of it, the pad to the left and to the right, the right end inward and beyond; what a corner begins early, by half its tangent, and the metal in
 * it by its angle. Gives the blank, the middles of the four corners from the left end, both turns in degrees (up going right is positive), and the least
 * that stays straight.
 */
export const MEMBER_BLANK: Kernel = {
  name: 'blank of a crossmember',
  page: 'crossmembers',
  outputs: 8,
  run: (
    count,
    [fromLeft, fromRight, upLeft, upRight],
    [blank, first, second, third, fourth, turnLeft, turnRight, least],
    [leftOut, leftIn, padLeft, padRight, rightIn, rightOut, early, metal],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const runLeft = fromLeft[i] - leftIn - padLeft
      const runRight = fromRight[i] - rightIn - padRight
      const isInOrder = runLeft > 0 && runRight > 0
      const left = Math.atan2(upLeft[i], runLeft)
      const right = Math.atan2(-upRight[i], runRight)
      const backLeft = early * Math.tan(Math.abs(left) / 2)
      const backRight = early * Math.tan(Math.abs(right) / 2)
      const arcLeft = metal * Math.abs(left)
      const arcRight = metal * Math.abs(right)
      const endLeft = leftOut + leftIn - backLeft
      const slopeLeft = Math.sqrt(runLeft * runLeft + upLeft[i] * upLeft[i]) - 2 * backLeft
      const pad = padLeft + padRight - backLeft - backRight
      const slopeRight = Math.sqrt(runRight * runRight + upRight[i] * upRight[i]) - 2 * backRight
      const endRight = rightIn + rightOut - backRight
      first[i] = isInOrder ? endLeft + arcLeft / 2 : NaN
      second[i] = first[i] + arcLeft + slopeLeft
      third[i] = second[i] + arcLeft / 2 + pad + arcRight / 2
      fourth[i] = third[i] + arcRight + slopeRight
      blank[i] = fourth[i] + arcRight / 2 + endRight
      turnLeft[i] = left * DEGREES
      turnRight[i] = right * DEGREES
      least[i] = isInOrder ? Math.min(endLeft, slopeLeft, pad, slopeRight, endRight) : NaN
    }
  },
}

/**
 * A bar on two pads under one load: the largest stress, as a share of what the metal yields at in per cent, and how far it sags under the load.
 *
 * `M = F·a·b/L` and `F·a²·b²/(3·E·I·L)` of a bar that rests on its ends, which of one section is the worse way; a load beside its axis twists it, most
 * in the shorter arm, and `√(σ² + 3τ²)` counts (von Mises).
 * From the ways to both ends and the way beside; parameters: the load, E·I, the section's modulus, the shear for each N·mm of torsion, yield.
 */
export const MEMBER_BENDING: Kernel = {
  name: 'how a crossmember bears its load',
  page: 'crossmembers',
  outputs: 2,
  run: (
    count,
    [fromLeft, fromRight, aside],
    [share, sag],
    [load, stiffness, modulus, shearPerTorque, yields],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const a = fromLeft[i]
      const b = fromRight[i]
      const span = a + b
      const isBetween = a > 0 && b > 0
      const bending = (load * a * b) / (span * modulus)
      const shear = ((load * Math.abs(aside[i]) * Math.max(a, b)) / span) * shearPerTorque
      share[i] = isBetween ? (100 * Math.sqrt(bending * bending + 3 * shear * shear)) / yields : NaN
      sag[i] = isBetween ? (load * a * a * b * b) / (3 * stiffness * span) : NaN
    }
  },
}

/**
 * A straight bar from rail to rail: its length, and the room between it and the seat, for spacers.
 *
 * From the ways of the pad from left and right and how far its seat lies above each rail's face; parameters: both ends beyond their pads together, and the
 * bar's top above the rails' faces.
 */
export const MEMBER_STRAIGHT: Kernel = {
  name: 'a straight bar between the rails',
  page: 'crossmembers',
  outputs: 2,
  run: (count, [fromLeft, fromRight, overLeft, overRight], [blank, fill], [ends, raised]) => {
    for (let i: Row = 0; i < count; i++) {
      const span = fromLeft[i] + fromRight[i]
      const rises = overLeft[i] - overRight[i]
      const isBetween = fromLeft[i] > 0 && fromRight[i] > 0
      blank[i] = isBetween ? Math.sqrt(span * span + rises * rises) + ends : NaN
      fill[i] = overLeft[i] - raised - (rises * fromLeft[i]) / span
    }
  },
}

/** The lowest of what hangs so far below the left rail, the right one and the seat; parameters: how far, minus infinity where nothing does. */
export const MEMBER_LOW: Kernel = {
  name: 'lowest line of a crossmember',
  page: 'crossmembers',
  outputs: 1,
  run: (count, [left, right, pad], [lowest], [belowRails, belowPad]) => {
    for (let i: Row = 0; i < count; i++)
      lowest[i] = Math.min(left[i] - belowRails, right[i] - belowRails, pad[i] - belowPad)
  },
}

/**
 * Unbalance that a balance grade leaves, in g·mm for each kg of shaft: the grade over the angular speed (ISO 21940).
 *
 * @param gradeMmS - in mm/s, such as 16
 * @example residualUnbalance(2 * Math.PI, 60) // 1000
 */
export const residualUnbalance = (gradeMmS: number, speedRpm: number): number =>
  (gradeMmS * 1000) / ((speedRpm * 2 * Math.PI) / 60)

/** Steel of a section by its length, kg a metre: `0.02466·t·(D − t)` of a round tube, `0.0314·t·(a − t)` of a square one, in mm. */
export const roundKgPerM = (outerMm: number, wallMm: number): number => 0.02466 * wallMm * (outerMm - wallMm)
export const squareKgPerM = (sideMm: number, wallMm: number): number => 0.0314 * wallMm * (sideMm - wallMm)

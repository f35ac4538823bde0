// The yardstick of the bench: what a line of two joints costs when it is written out by hand, with nothing general about it.

/** Normal deviates by the polar method. */
function normals(): () => number {
  let spare = NaN
  return () => {
    if (!Number.isNaN(spare)) {
      const kept = spare
      spare = NaN
      return kept
    }
    for (;;) {
      const x = 2 * Math.random() - 1
      const y = 2 * Math.random() - 1
      const square = x * x + y * y
      if (square >= 1 || square === 0) continue
      const stretch = Math.sqrt((-2 * Math.log(square)) / square)
      spare = y * stretch
      return x * stretch
    }
  }
}

/**
 * Twelve normals drawn, two joint angles, the equivalent angle and the length, so many times over.
 *
 * @returns their sum, so that nothing is left out as unused
 */
export function plainKernel(samples: number): number {
  const normal = normals()
  let sum = 0
  for (let sample = 0; sample < samples; sample++) {
    const front = [-1178 + normal(), -4 + normal(), 56 + normal()] as const
    const rear = [-2317 + normal(), 15 + normal(), -60 + normal()] as const
    const drivingFall = 0.07 + 0.002 * normal() + 0.001 * normal()
    const drivingPlan = 0.002 * normal()
    const drivenFall = 0.06 + 0.002 * normal() + 0.001 * normal()
    const drivenPlan = 0.002 * normal()
    const ax = -Math.cos(drivingFall) * Math.cos(drivingPlan)
    const ay = Math.cos(drivingFall) * Math.sin(drivingPlan)
    const az = -Math.sin(drivingFall)
    const cx = -Math.cos(drivenFall) * Math.cos(drivenPlan)
    const cy = Math.cos(drivenFall) * Math.sin(drivenPlan)
    const cz = -Math.sin(drivenFall)
    let bx = rear[0] - front[0]
    let by = rear[1] - front[1]
    let bz = rear[2] - front[2]
    const length = Math.sqrt(bx * bx + by * by + bz * bz)
    bx /= length
    by /= length
    bz /= length
    const mx = ay * bz - az * by
    const my = az * bx - ax * bz
    const mz = ax * by - ay * bx
    const nx = by * cz - bz * cy
    const ny = bz * cx - bx * cz
    const nz = bx * cy - by * cx
    const first = Math.atan2(Math.sqrt(mx * mx + my * my + mz * mz), ax * bx + ay * by + az * bz)
    const second = Math.atan2(Math.sqrt(nx * nx + ny * ny + nz * nz), bx * cx + by * cy + bz * cz)
    const twist = Math.atan2(
      bx * (my * nz - mz * ny) + by * (mz * nx - mx * nz) + bz * (mx * ny - my * nx),
      mx * nx + my * ny + mz * nz,
    )
    // In phase the joints' unevenness are vectors a right angle and the planes' twist apart, which double.
    const [e, f] = [Math.tan(first / 2) ** 2, Math.tan(second / 2) ** 2]
    const squeeze = Math.sqrt(Math.max(0, e * e + f * f - 2 * e * f * Math.cos(2 * twist)))
    sum += first + second + length + 2 * Math.asin(Math.sqrt(squeeze / (1 + squeeze)))
  }
  return sum
}

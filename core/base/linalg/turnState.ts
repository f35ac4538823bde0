/** The rotation of a unit quaternion (w, x, y, z), row by row into the first nine figures of a move. */
export function rotationInto(move: Float64Array, q: Float64Array): void {
  const w = q[0] as number
  const x = q[1] as number
  const y = q[2] as number
  const z = q[3] as number
  move[0] = 1 - 2 * (y * y + z * z)
  move[1] = 2 * (x * y - w * z)
  move[2] = 2 * (x * z + w * y)
  move[3] = 2 * (x * y + w * z)
  move[4] = 1 - 2 * (x * x + z * z)
  move[5] = 2 * (y * z - w * x)
  move[6] = 2 * (x * z - w * y)
  move[7] = 2 * (y * z + w * x)
  move[8] = 1 - 2 * (x * x + y * y)
}

/**
 * Turns a unit quaternion by a small turn about the axes, in radians. A turn by δ puts ½ δ q to it; to Newton any such way is as good, as
 * long as it is brought back to unit length.
 */
export function turnQuaternion(q: Float64Array, a: number, b: number, c: number): void {
  const w = q[0] as number
  const x = q[1] as number
  const y = q[2] as number
  const z = q[3] as number
  const nw = w - (a * x + b * y + c * z) / 2
  const nx = x + (a * w + b * z - c * y) / 2
  const ny = y + (b * w + c * x - a * z) / 2
  const nz = z + (c * w + a * y - b * x) / 2
  const size = Math.sqrt(nw * nw + nx * nx + ny * ny + nz * nz)
  q[0] = nw / size
  q[1] = nx / size
  q[2] = ny / size
  q[3] = nz / size
}

import { JOINTS } from '../file/parts/joints'
import type { Column, Graph, VectorColumns } from '../base/columns/graph'
import type { Kernel } from '../base/columns/kernel'
import type { JointKind } from '../file/parts/lineSpec'
import { peakOf } from './peakOf'
import { newTurnForces, workForces } from './turnForces'

/** Instants of half a turn; with the parabola through the highest one its peak is known to a tenth of a per cent. */
const STEPS = 24

/** Of one line: how many joints; kernels of the same shape are the same, so that the loops see one kind only. */
const kernels = new Map<number, Kernel>()

/**
 * Greatest force of each bearing over a turn, one a shaft but the last, in N: from the axes, the normals of the joints' planes, the lengths and
 * the reaches in mm. Parameters: torque in Nm, then for each joint 1 for a cross joint, then the phase of each shaft in radians.
 */
function bearingForces(joints: number): Kernel {
  const there = kernels.get(joints)
  if (there) return there
  const work = newTurnForces(joints)
  const squares = Array.from({ length: joints - 2 }, () => new Float64Array(STEPS))
  const kernel: Kernel = {
    name: 'force on the centre bearing',
    page: 'couples',
    outputs: joints - 2,
    run: (count, from, to, parameters) => {
      const cells = from as unknown as readonly Float64Array[]
      const figures = parameters as readonly number[]
      const shafts = joints - 1
      work.isCross.set(figures.slice(1, joints + 1))
      work.phases.set(figures.slice(joints + 1))
      const normalsAt = 3 * (joints + 1)
      const lengthsAt = normalsAt + 3 * joints
      for (let row = 0; row < count; row++) {
        for (let i = 0; i < normalsAt; i++) work.axes[i] = cells[i]?.[row] ?? NaN
        for (let i = 0; i < 3 * joints; i++) work.normals[i] = cells[normalsAt + i]?.[row] ?? NaN
        for (let i = 0; i < shafts; i++) work.lengths[i] = cells[lengthsAt + i]?.[row] ?? NaN
        for (let i = 0; i < shafts - 1; i++) work.reaches[i] = cells[lengthsAt + shafts + i]?.[row] ?? NaN
        for (let step = 0; step < STEPS; step++) {
          workForces(work, figures[0] ?? NaN, (Math.PI * step) / STEPS)
          for (let shaft = 0; shaft < shafts - 1; shaft++) {
            const x = work.force[3 * shaft] ?? NaN
            const y = work.force[3 * shaft + 1] ?? NaN
            const z = work.force[3 * shaft + 2] ?? NaN
            const cell = squares[shaft]
            if (cell) cell[step] = x * x + y * y + z * z
          }
        }
        squares.forEach((cell, shaft) => {
          const out = to[shaft] as unknown as Float64Array
          out[row] = Math.sqrt(peakOf(cell))
        })
      }
    },
  }
  kernels.set(joints, kernel)
  return kernel
}

/**
 * The steps to the greatest force of every centre bearing of a line.
 *
 * @param reaches - from the front joint to the bearing, one a shaft but the last
 * @param torqueNm - of the driving axis
 * @returns in N, one a shaft but the last
 */
export const bearingForceColumns = (
  graph: Graph,
  kinds: readonly JointKind[],
  axes: readonly VectorColumns[],
  normals: readonly VectorColumns[],
  spans: readonly Column[],
  reaches: readonly Column[],
  phases: readonly number[],
  torqueNm: number,
): readonly Column[] =>
  graph.step(
    bearingForces(kinds.length),
    [...axes.flat(), ...normals.flat(), ...spans, ...reaches],
    [torqueNm, ...kinds.map((kind) => (JOINTS[kind].isConstant ? 0 : 1)), ...phases],
  )

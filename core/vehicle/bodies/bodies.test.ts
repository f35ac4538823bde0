import fc from 'fast-check'
import { newGraph, type VectorColumns } from '../../base/columns/graph'
import { workedOnce } from '../../base/columns/kernel'
import { newRun } from '../../base/columns/run'
import { known } from '../../base/known'
import { MOVED_POINT, TURNED_DIRECTION } from '../../base/linalg/moveKernels'
import { moveDirection, movePoint, turnMove } from '../../base/linalg/mat3'
import { unit, type Vec3 } from '../../base/linalg/vec3'
import { vectorAt } from '../../measure/geometry/geometry'
import type { AxleBody } from '../../file/parts/body'
import { demoBuild } from '../../testdata/builds'
import { turnedColumns } from '../moves/turnedColumns'
import { axlesOf } from '../../file/parts/bodies'

const coordinate = fc.double({ min: -3000, max: 3000, noNaN: true })
const place = fc.tuple(coordinate, coordinate, coordinate) as fc.Arbitrary<Vec3>
const small = fc.double({ min: -25, max: 25, noNaN: true })

describe('rigid moves on columns', () => {
  it('take points and directions where the plain move takes them', () => {
    fc.assert(
      fc.property(place, place, small, (pivot, point, degrees) => {
        const move = turnMove(pivot, unit([0.2, 1, -0.3]), (degrees * Math.PI) / 180)
        const columns = [...move.rotation.flat(), ...move.shift]
        const moved = workedOnce(MOVED_POINT, [...columns, ...point])
        movePoint(move, point).forEach((part, i) => expect(moved[i]).toBeCloseTo(part, 8))
        const turned = workedOnce(TURNED_DIRECTION, [...columns.slice(0, 9), ...point])
        moveDirection(move, point).forEach((part, i) => expect(turned[i]).toBeCloseTo(part, 8))
      }),
      { seed: 14, numRuns: 80 },
    )
  })
})

describe('an axle on columns', () => {
  it('turns its points and directions as the move it tells, whichever way its nose faces', () => {
    fc.assert(
      fc.property(
        place,
        place,
        small,
        fc.constantFrom('forward', 'rearward'),
        (centre, point, degrees, noseFaces) => {
          const build = demoBuild()
          const graph = newGraph()
          const source = ([x, y, z]: Vec3): VectorColumns => [
            graph.source(x),
            graph.source(y),
            graph.source(z),
          ]
          const wedge = graph.source(0)
          const axle = { ...axlesOf(build)[0]!, noseFaces } as AxleBody
          const move = turnedColumns(graph, axle, [wedge], '', () => known(source(centre)))!
          const [moved, turned] = [move.point(source(point)), move.direction(source(point))]
          const run = newRun(graph, 1)
          run.set(wedge, degrees)
          run.bring([...moved, ...turned, ...move.columns], 1)
          const plain = move.moveAt(run.figure)
          const [goes, points] = [vectorAt(run.figure)(moved), vectorAt(run.figure)(turned)]
          movePoint(plain, point).forEach((part, i) => expect(goes[i]).toBeCloseTo(part, 8))
          moveDirection(plain, point).forEach((part, i) => expect(points[i]).toBeCloseTo(part, 8))
          // A nose that goes up rises on the side it faces.
          const ahead: Vec3 = noseFaces === 'forward' ? [1, 0, 0] : [-1, 0, 0]
          if (Math.abs(degrees) > 1e-3)
            expect(Math.sign(moveDirection(plain, ahead)[2])).toBe(Math.sign(degrees))
        },
      ),
      { seed: 15, numRuns: 60 },
    )
  })
})

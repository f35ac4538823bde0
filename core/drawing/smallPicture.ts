import type { Evaluation } from '../model/evaluateBuild'
import type { Build } from '../file/build/build'
import type { Verdict } from '../file/build/limit'
import { lineScene } from './lineScene'
import { SMALL } from './smallSize'
import type { Part, Shape, ViewPoint } from './shape'

/** A build from the side, small: plain paths, ready to be kept and drawn without the build itself. */
export interface SmallPicture {
  readonly shapes: readonly { readonly part: Part; readonly path: string; readonly isUsual: boolean }[]
  readonly joints: readonly { readonly x: number; readonly y: number; readonly verdict: Verdict }[]
}

const EDGE = 6
/** What goes on beyond the picture, or would make it small for nothing, has no say in its scale. */
const BOUNDLESS: readonly Part[] = ['rail', 'ground', 'axis-line']

/** @returns null where nothing is drawn yet */
export function smallPicture(build: Build, now: Evaluation): SmallPicture | null {
  const { shapes, joints } = lineScene(build, now)
  // Shafts that run across the vehicle are seen from the front.
  const isAcross =
    build.lines.length > 0 && build.lines.every(({ flow }) => flow === 'left' || flow === 'right')
  const view = isAcross ? 'front' : 'side'
  const drawn = shapes[view].filter(({ part }) => part !== 'axis-line')
  const corners = drawn.filter(({ part }) => !BOUNDLESS.includes(part)).flatMap(cornersOf)
  if (corners.length === 0 || !corners.flat().every(Number.isFinite)) return null
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)]
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const scale = Math.min(
    (SMALL.width - 2 * EDGE) / Math.max(1, right - left),
    (SMALL.height - 2 * EDGE) / Math.max(1, high - low),
  )
  const x = (mm: number) => SMALL.width / 2 + (mm - (left + right) / 2) * scale
  const y = (mm: number) => SMALL.height / 2 - (mm - (low + high) / 2) * scale
  const within = (one: number) => Math.max(-SMALL.width, Math.min(2 * SMALL.width, one)).toFixed(1)
  const spot = ([across, up]: ViewPoint) => `${within(x(across))} ${within(y(up))}`
  return {
    shapes: drawn.map((shape) => ({
      part: shape.part,
      isUsual: shape.isUsual === true,
      path:
        shape.form === 'circle'
          ? roundPath(x(shape.centre[0]), y(shape.centre[1]), shape.radius * scale)
          : `M${shape.points.map(spot).join('L')}${shape.form === 'polygon' ? 'Z' : ''}`,
    })),
    joints: joints.map(({ at, verdict }) => ({ x: x(at[view][0]), y: y(at[view][1]), verdict })),
  }
}

const cornersOf = (shape: Shape): readonly ViewPoint[] => {
  if (shape.form !== 'circle') return shape.points
  const { centre, radius } = shape
  return [
    [centre[0] - radius, centre[1] - radius],
    [centre[0] + radius, centre[1] + radius],
  ]
}

const roundPath = (x: number, y: number, radius: number): string => {
  const [from, r] = [`${(x - radius).toFixed(1)} ${y.toFixed(1)}`, radius.toFixed(1)]
  return `M${from}a${r} ${r} 0 1 0 ${(2 * radius).toFixed(1)} 0a${r} ${r} 0 1 0 ${(-2 * radius).toFixed(1)} 0Z`
}

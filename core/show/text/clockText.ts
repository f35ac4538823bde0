import { clockSplines } from '../../line/clockSplines'
import type { LineFigures } from '../../line/lineFigures'
import { phasesOf } from '../../line/phases'
import type { Line } from '../../file/parts/lineSpec'
import { formatAngle } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { degrees } from '../../base/units/angle'

/** How the splines of a line are best put together, in words and as the phases they come to. */
export interface ClockAdvice {
  /** What to turn: "shaft 2: rear yoke two teeth anticlockwise, seen from behind". */
  readonly turns: readonly string[]
  /** Of the one joint that runs as unevenly: before and after. */
  readonly before: string
  readonly after: string
  /** It would take away less than a tenth of what is left. */
  readonly isWorthless: boolean
  /** Phases after it, one a shaft, in degrees. */
  readonly phasesDeg: readonly number[]
  /** What to mark before the spline is pulled apart. */
  readonly paint: string
}

/** Clocking that takes away less than this share of the angle is not worth pulling a spline apart. */
const WORTH = 0.1

const COUNTS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]

/** @returns null for a line without a spline whose teeth are told */
export function clockAdvice(
  line: Line,
  { train: chain }: LineFigures,
  units: UnitSettings,
): ClockAdvice | null {
  const found = clockSplines(
    chain,
    phasesOf(line),
    line.shafts.map(({ splineTeeth }) => splineTeeth),
  )
  if (!found) return null
  const [before, after] = [found.before, found.after].map(({ equivalentAngle }) =>
    degrees(equivalentAngle),
  ) as [number, number]
  const turned = new Map(found.shafts.map(({ shaft, turns, stepDeg }) => [shaft, turns * stepDeg]))
  const many = line.shafts.length > 1
  const moved = found.shafts.filter(({ turns }) => turns !== 0)
  return {
    turns: moved.map(({ shaft, turns }) => {
      const count = Math.abs(turns)
      const teeth = `${COUNTS[count] ?? String(count)} ${count === 1 ? 'tooth' : 'teeth'}`
      // Right-handed about the rearward axis is anticlockwise for whoever looks forward from behind.
      const way = turns > 0 ? 'anticlockwise' : 'clockwise'
      return `${many ? `shaft ${shaft + 1}: ` : ''}rear yoke ${teeth} ${way}, seen from behind`
    }),
    before: formatAngle(before, units, 2),
    after: formatAngle(after, units, 2),
    isWorthless: before <= 0 || (before - after) / before < WORTH,
    phasesDeg: line.shafts.map(({ phaseDeg = 0 }, shaft) => wrapped(phaseDeg + (turned.get(shaft) ?? 0))),
    paint: moved.length > 0 ? PAINT : '',
  }
}

const PAINT =
  'Paint a line over both halves of the spline as it is now, pull it apart, count the teeth from the line, and paint a second one where it goes together.'

/** Yokes are the same after half a turn. */
function wrapped(deg: number): number {
  const within = deg - 180 * Math.round(deg / 180)
  return Math.abs(within) < 1e-9 ? 0 : within
}

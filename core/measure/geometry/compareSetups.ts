import { mapKnown } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import { pooledSquares } from '../figures/scatter'
import { differenceOf, figureOf, plusMinusOf, type SpreadFigure } from '../figures/spreadFigure'
import { readingContext } from './readingContext'

/** One quantity as two setups tell it, in the chassis frame. */
export interface ComparedQuantity {
  readonly name: string
  readonly quantity: 'fall' | 'roll' | 'axis' | 'station' | 'offset' | 'height'
  /** Id of the axis or point; empty for the chassis. */
  readonly target: Id
  readonly unit: 'deg' | 'mm'
  /** Null where the setup did not read it. */
  readonly first: number | null
  readonly second: number | null
  /** Second less first. */
  readonly difference: number | null
  /** Two standard deviations of the difference. */
  readonly plusMinus: number | null
  /** True when they differ by more than their ± together: something moved, or somebody misread. */
  readonly isApart: boolean
}

/**
 * Every quantity that at least one of two setups read, side by side: as the readings of that setup alone tell it.
 *
 * The attitude of the chassis differs between setups by nature and is listed without a verdict.
 */
export function compareSetups(build: Build, first: Setup, second: Setup): ComparedQuantity[] {
  const sides = [first, second].map((setup) => sideOf(build, setup)) as [Side, Side]
  return [
    ...(['fall', 'roll'] as const).map((quantity) =>
      compared(`chassis ${quantity}`, quantity, '', 'deg', sides, false),
    ),
    ...build.axes.map((axis) => compared(axis.name, 'axis', axis.id, 'deg', sides, true)),
    ...build.points.flatMap((point) =>
      (['station', 'offset', 'height'] as const).map((quantity) =>
        compared(`${point.name}, ${quantity}`, quantity, point.id, 'mm', sides, true),
      ),
    ),
  ].filter(({ first: a, second: b }) => a !== null || b !== null)
}

type Side = (quantity: ComparedQuantity['quantity'], target: Id) => SpreadFigure | null

/** What one setup alone says: its own readings of each quantity, everything else as it is. */
function sideOf(build: Build, setup: Setup): Side {
  const isOurs = (reading: Reading) => 'setup' in reading && reading.setup === setup.id
  const own = {
    ...build,
    readings: build.readings.filter((reading) => isOurs(reading) || !('setup' in reading)),
  }
  // How steady a hand is, all its readings tell.
  const context = readingContext(own, pooledSquares(build))
  const has = (kinds: readonly string[], target: Id) =>
    own.readings.some(
      (reading) =>
        isOurs(reading) &&
        kinds.includes(reading.kind) &&
        (target === '' ||
          ('axis' in reading && reading.axis === target) ||
          ('point' in reading && reading.point === target)),
    )
  return (quantity, target) => {
    if (quantity === 'fall' || quantity === 'roll') {
      if (!has([`chassis-${quantity}`], '')) return null
      return figureOf(
        context,
        mapKnown(context.attitude(setup), ({ rearLowDeg, leftLowDeg }) =>
          quantity === 'fall' ? rearLowDeg : leftLowDeg,
        ),
      )
    }
    if (quantity === 'axis') {
      const axis = own.axes.find((one) => one.id === target)
      if (!axis || !has(['axis-level', 'axis-face'], target)) return null
      return figureOf(
        context,
        mapKnown(context.axis(axis), ({ fallDeg }) => fallDeg),
      )
    }
    const point = own.points.find((one) => one.id === target)
    if (!point || !has([`point-${quantity}`, 'setup-point'], target)) return null
    return figureOf(context, context.point(point)[quantity])
  }
}

function compared(
  name: string,
  quantity: ComparedQuantity['quantity'],
  target: Id,
  unit: 'deg' | 'mm',
  [sideA, sideB]: readonly [Side, Side],
  isFixed: boolean,
): ComparedQuantity {
  const a = sideA(quantity, target)
  const b = sideB(quantity, target)
  const apart = a && b ? differenceOf(a, b) : null
  const difference = apart?.value ?? null
  const plusMinus = apart && plusMinusOf(apart)
  return {
    name,
    quantity,
    target,
    unit,
    first: a?.value ?? null,
    second: b?.value ?? null,
    difference,
    plusMinus,
    isApart:
      isFixed &&
      difference !== null &&
      plusMinus !== null &&
      // Figures without any doubt differ by more than their rounding or not at all.
      Math.abs(difference) > Math.max(plusMinus, 1e-9),
  }
}

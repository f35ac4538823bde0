import type { seededRandom } from '../base/chance/random'
import type { Build } from '../file/build/build'
import type { Reading } from '../file/build/reading'

type Random = ReturnType<typeof seededRandom>

/** A figure anywhere within ± so much. */
export const evenly =
  (random: Random) =>
  (half: number): number =>
    half * (2 * random.uniform() - 1)

/**
 * What a zero error that reads the right-hand end too high adds to the figure of a level reading, as a share of it: a display that
 * looks to the left or front then shows rear or left too little low.
 */
export function zeroShare(reading: Reading): number {
  const of = reading as unknown as Record<string, string | undefined>
  const isLow = ['rear', 'left'].includes(of.low ?? of.lean ?? '')
  const isShownLess = ['left', 'front'].includes(of.display ?? '')
  const isComplement = of.from === 'level'
  return (isLow ? 1 : -1) * (isShownLess ? -1 : 1) * (isComplement ? -1 : 1)
}

const OTHER_WAY: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  side: { left: 'right', right: 'left' },
  way: { above: 'below', below: 'above', rearward: 'forward', forward: 'rearward' },
}

/** The vehicle as a hand reads it: a level with a zero error of its own, a tape, and the scatter of both. */
export function readOnce(truth: Build, random: Random): Build {
  const even = evenly(random)
  const zero = even(0.1)
  const readings = truth.readings.map((reading) => {
    if (!('values' in reading)) return reading
    const isLength = reading.kind.startsWith('point')
    const turned = zero * zeroShare(reading)
    const values = reading.values.map((value) =>
      String(Number(value) + (isLength ? even(1) + 0.8 * random.normal() : turned + 0.08 * random.normal())),
    )
    // A hand types the figure without a sign and says which way.
    const isOver = values.some((value) => value.startsWith('-'))
    const ways = Object.entries(OTHER_WAY).flatMap(([key, other]) => {
      const said = (reading as unknown as Record<string, string>)[key]
      return isOver && said !== undefined ? [[key, other[said] ?? said]] : []
    })
    return { ...reading, values: values.map((value) => value.replace('-', '')), ...Object.fromEntries(ways) }
  })
  return { ...truth, readings } as Build
}


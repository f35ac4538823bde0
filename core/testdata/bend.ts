import type { Random } from '../base/chance/random'

/** Figures and words that readings are made of, and some that they are not. */
const TEXTS = [
  '0.01',
  '0.000001',
  '89',
  '60',
  '179',
  '3.3',
  '1000',
  '0',
  '1e5',
  '"',
  '12"',
  'rear',
  'front',
  'left',
  'right',
]
const FACTORS = [0, -1, 10, 1000, 0.001, 0.5, 1.7]

const pick = <T>(list: readonly T[], random: Random): T => list[Math.floor(random.uniform() * list.length)] as T

/** Bends one place of a file a little, so that most of what comes out is still a build. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export function bend(value: any, random: Random): void {
  const keys = Object.keys(value)
  if (keys.length === 0) return
  const key = pick(keys, random)
  const there = value[key]
  if (typeof there === 'object' && there !== null && random.uniform() < 0.92) return bend(there, random)
  if (typeof there === 'number') value[key] = there * pick(FACTORS, random)
  else if (typeof there === 'string' && random.uniform() < 0.7) value[key] = pick(TEXTS, random)
  else if (Array.isArray(value)) value.splice(Number(key), 1)
  else Reflect.deleteProperty(value, key)
}

/** Amounts no builder would set, and some he would. */
const AMOUNTS = [0, 1, -1, 5, -5, 30, -30, 999.999, -999.999, 1000, -1000, 1e-9]

/** A setting of levers that may be far beyond any range. */
export const wildSettings = (levers: readonly { readonly id: string }[], random: Random) =>
  Object.fromEntries(
    levers.flatMap(({ id }) => (random.uniform() < 0.5 ? [] : [[id, pick(AMOUNTS, random)]])),
  )

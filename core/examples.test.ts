import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { runInThisContext } from 'node:vm'
import { radians } from './base/units/angle'

/** An example of a comment: `@example parseAngle("3°") // { ok: true, value: 3 }`. */
interface Example {
  readonly file: string
  readonly said: string
  readonly expression: string
  readonly result: string
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory()
      ? filesIn(join(folder, entry.name))
      : entry.name.endsWith('.ts') && !entry.name.endsWith('.test.ts')
        ? [join(folder, entry.name)]
        : [],
  )
}

const EXAMPLES = filesIn(__dirname).flatMap((file): Example[] =>
  [...readFileSync(file, 'utf8').matchAll(/@example (.+?) \/\/ (.+)$/gm)].map(
    ([, expression = '', result = '']) => ({
      file,
      said: `${relative(__dirname, file)}: ${expression}`,
      expression,
      result,
    }),
  ),
)

/** What examples may name beside what their own file exports. */
const NAMES = { radians, units: { length: 'mm', inchFraction: 16, angle: 'decimal' } }

/** An expression of a comment of our own, with names for its file's exports. */
function worked(expression: string, names: Readonly<Record<string, unknown>>): unknown {
  const made = runInThisContext(`(function (${Object.keys(names).join(', ')}) { return (${expression}) })`)
  return (made as (...values: unknown[]) => unknown)(...Object.values(names))
}

/** Figures to the ninth digit, whatever they stand in. */
const rounded = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Number(one.toFixed(9)) + 0 : one)),
  )

describe('examples in comments', () => {
  it('are there', () => {
    expect(EXAMPLES.length).toBeGreaterThan(12)
  })

  it.each(EXAMPLES.map((example) => [example.said, example] as const))('%s', async (_, example) => {
    const exports = (await import(example.file)) as Record<string, unknown>
    const names = { ...NAMES, ...exports }
    expect(rounded(worked(example.expression, names))).toEqual(rounded(worked(example.result, {})))
  })
})

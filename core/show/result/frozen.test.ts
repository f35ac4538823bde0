import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { parseBuildText } from '../../file/open/parseBuild'
import { resultJson } from './resultJson'
import frozen from '../../testdata/version-1/figures.json'

const FOLDER = join(__dirname, '../../testdata/version-1')

/** Everything in which a result is off by more than the ninth digit, or says other words; by its place. */
function differences(found: unknown, wanted: unknown, place = ''): string[] {
  if (typeof found === 'number' && typeof wanted === 'number')
    return Math.abs(found - wanted) <= 1e-7 + 1e-9 * Math.abs(wanted)
      ? []
      : [`${place}: ${found}, was ${wanted}`]
  if (typeof wanted !== 'object' || wanted === null || typeof found !== 'object' || found === null)
    return found === wanted ? [] : [`${place}: ${String(found)}, was ${String(wanted)}`]
  return Object.keys(wanted).flatMap((key) =>
    differences(
      (found as Record<string, unknown>)[key],
      (wanted as Record<string, unknown>)[key],
      `${place}.${key}`,
    ),
  )
}

/** What is taken for granted in these builds, and was not said in words when they were saved. */
const SAID_SINCE = /which way its display looked was not always said/

describe('builds of version 1 as they were saved', () => {
  it.each(frozen.map((one) => [`${one.file} at ${JSON.stringify(one.settings)}`, one] as const))(
    '%s gives the figures, verdicts and words it gave',
    (_, { file, settings, result }) => {
      const parsed = parseBuildText(readFileSync(join(FOLDER, `${file}.lurvan.json`), 'utf8'))
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
      const amounts = settings as Readonly<Record<string, number>>
      const build = { ...parsed.value, positions: [{ id: 'p', name: 'P', settings: amounts }], chosen: 'p' }
      const now = resultJson(build)
      const assumptions = now.assumptions.filter((one) => !SAID_SINCE.test(one))
      expect(differences({ ...now, assumptions }, result)).toEqual([])
    },
  )
})

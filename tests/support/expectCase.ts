import { CoreError } from '../../core/base/errors'
import { disagreements, type Tolerance } from '../../core/testdata/reference'

/** One file of independent cases. */
interface CaseFile {
  readonly tolerance: {
    readonly default: Tolerance
    readonly keys: Readonly<Record<string, Tolerance | undefined>>
  }
  readonly cases: readonly unknown[]
}

/** Cases by their names, for `it.each`. */
export const casesOf = (file: CaseFile) => (file.cases as any[]).map((one) => [one.id, one] as const)

/** Expects everything that a case tells to have been found, and to agree. */
export function expectAgreement(
  { tolerance }: CaseFile,
  found: Readonly<Record<string, unknown>>,
  want: Readonly<Record<string, unknown>>,
): void {
  const keys = Object.keys(want)
  expect(Object.keys(found)).toEqual(expect.arrayContaining(keys))
  const got = Object.fromEntries(keys.map((key) => [key, found[key]]))
  const allowed = Object.fromEntries(keys.map((key) => [key, tolerance.keys[key] ?? tolerance.default]))
  expect(disagreements(got, want, allowed)).toEqual([])
}

/** Expects of one case what it tells: its figures, or a refusal. */
export function expectCase(
  file: CaseFile,
  { input, expect: want }: any,
  work: (input: any) => Readonly<Record<string, unknown>>,
): void {
  if (want.error) expect(() => work(input)).toThrow(CoreError)
  else expectAgreement(file, work(input), want)
}

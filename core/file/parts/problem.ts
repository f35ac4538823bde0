/** One thing wrong with a file, at its place, such as `lines[0].joints[1].kind`. */
export interface FileProblem {
  readonly path: string
  readonly message: string
}

/** A file that was read, or everything that is wrong with it. */
export type ReadResult<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly FileProblem[] }

/** A refusal with a single reason. */
export const refused = (path: string, message: string): { ok: false; problems: FileProblem[] } => ({
  ok: false,
  problems: [{ path, message }],
})

/** "lines[0].joints[1].kind: must be one of …", or the message alone for the file as a whole. */
export const problemText = (problem: FileProblem): string =>
  problem.path === '' ? problem.message : `${problem.path}: ${problem.message}`

import { ValidationError } from 'yup'
import { PROFILES } from '../limits/profiles'
import { buildSchema, type Build } from '../build/build'

import { doorProblems } from '../door/door'
import { jsonFault, lineAndColumn } from '../door/jsonFault'
import { migrate } from './migrate'
import { refused, type FileProblem, type ReadResult } from '../parts/problem'
import { referenceProblems } from '../references/references'

/** Largest file that is read, in characters. */
export const MAX_FILE_CHARACTERS = 5_000_000
/** More problems than this in one file are not listed. */
const MAX_PROBLEMS = 25

/**
 * A build from data of unknown origin: version, shape, then every name that points somewhere.
 *
 * @returns the build with absent lists filled in and unknown fields kept, or all problems with their places
 * @see docs/format.md
 */
export function parseBuild(raw: unknown): ReadResult<Build> {
  const atDoor = doorProblems(raw)
  if (atDoor.length > 0) return { ok: false, problems: atDoor }
  const migrated = migrate(raw)
  if (!migrated.ok) return migrated
  const { build: current, placeInFile } = migrated.value
  const asInFile = (problems: readonly FileProblem[]): ReadResult<Build> => ({
    ok: false,
    problems: problems
      .slice(0, MAX_PROBLEMS)
      .map(({ path, message }) => ({ path: placeInFile(path), message })),
  })
  try {
    buildSchema.validateSync(current, { strict: true, abortEarly: false })
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return asInFile(problemsOf(error))
  }
  // The schema has just proved the shape; this is the one place where it becomes the type.
  const build = withDefaults(current as unknown as Build)
  const problems = referenceProblems(build)
  return problems.length > 0 ? asInFile(problems) : { ok: true, value: build }
}

/** A build from the text of a file; also refuses what is too large or not JSON, with the line and column. */
export function parseBuildText(text: string): ReadResult<Build> {
  if (text.length > MAX_FILE_CHARACTERS) return refused('', 'the file is larger than 5 MB')
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return refused('', jsonFault(text))
  }
  const parsed = parseBuild(raw)
  return parsed.ok ? parsed : { ok: false, problems: parsed.problems.map((one) => placed(one, text)) }
}

/** A problem of the file as a whole is one of its first line. */
const placed = (problem: FileProblem, text: string): FileProblem =>
  problem.path === ''
    ? {
        path: '',
        message: `${lineAndColumn(text, text.length - text.trimStart().length)}: ${problem.message}`,
      }
    : problem

/** The text of a build's file. */
export const buildText = (build: Build): string => `${JSON.stringify(build, null, 2)}\n`

function withDefaults(raw: Build): Build {
  const positions = raw.positions?.length ? raw.positions : [{ id: 'a', name: 'A', settings: {} }]
  return {
    ...raw,
    id: raw.id ?? 'build',
    units: {
      ...raw.units,
      length: raw.units?.length ?? 'mm',
      inchFraction: raw.units?.inchFraction ?? 16,
      angle: raw.units?.angle ?? 'decimal',
    },
    tools: raw.tools ?? [],
    setups: raw.setups ?? [],
    points: raw.points ?? [],
    axes: raw.axes ?? [],
    readings: raw.readings ?? [],
    trials: raw.trials ?? [],
    bodies: raw.bodies ?? [{ id: 'chassis', kind: 'chassis', name: 'chassis' }],
    drivetrain: raw.drivetrain ?? {},
    states: raw.states ?? [],
    lines: raw.lines ?? [],
    levers: raw.levers ?? [],
    gaps: raw.gaps ?? [],
    positions,
    chosen: raw.chosen ?? positions[0]?.id ?? 'a',
    limits: raw.limits ?? PROFILES.road,
  }
}

function problemsOf(error: ValidationError): FileProblem[] {
  const single = error.inner.length > 0 ? error.inner : [error]
  const problems: FileProblem[] = []
  for (const one of single) {
    const path = one.path ?? ''
    // One place, one message: a missing kind also fails the list of kinds.
    if (!problems.some((other) => other.path === path))
      problems.push({ path, message: one.errors[0] ?? one.message })
  }
  return problems
}

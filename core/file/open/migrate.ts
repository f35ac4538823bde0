import { FORMAT_NAME, FORMAT_VERSION } from '../build/build'
import { refused, type ReadResult } from '../parts/problem'
import { fromVersion1, placeInVersion1 } from './version1'

type RawBuild = Record<string, unknown>

/** Turns a file of version n into one of version n + 1, and tells where a place of the new one stood in the old. */
export interface Migration {
  readonly step: (raw: RawBuild) => RawBuild
  readonly placeBefore: (place: string) => string
}

/** Migrations by the version they start from. */
export const MIGRATIONS: Readonly<Record<number, Migration>> = {
  1: { step: fromVersion1, placeBefore: placeInVersion1 },
}

/** A file at the newest version, and where a place in it stands in the file as it came. */
export interface Migrated {
  readonly build: RawBuild
  readonly placeInFile: (place: string) => string
}

/**
 * Brings a parsed file to the newest version.
 *
 * @param newest - version to reach
 * @returns the file at `newest`, or why it is refused: not a build, no version, a newer one, a step that is missing
 */
export function migrate(
  raw: unknown,
  migrations: Readonly<Record<number, Migration>> = MIGRATIONS,
  newest: number = FORMAT_VERSION,
): ReadResult<Migrated> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return refused('', 'this is not a Lurvan build: the file must hold one object')
  }
  let build = raw as RawBuild
  if (build.format !== FORMAT_NAME) return refused('format', `must be "${FORMAT_NAME}"`)
  const version = build.version
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refused('version', 'must be a whole number from 1')
  }
  if (version > newest) {
    return refused(
      'version',
      `this file was written by a newer Lurvan (version ${version}; this one reads up to ${newest})`,
    )
  }
  let placeInFile = (place: string): string => place
  for (let from = version; from < newest; from++) {
    const migration = migrations[from]
    if (!migration) return refused('version', `version ${from} can no longer be read`)
    build = { ...migration.step(build), version: from + 1 }
    const earlier = placeInFile
    placeInFile = (place) => earlier(migration.placeBefore(place))
  }
  return { ok: true, value: { build, placeInFile } }
}

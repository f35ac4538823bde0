import { FORMAT_NAME, FORMAT_VERSION } from './build'
import { refused, type ReadResult } from './problem'

type RawBuild = Record<string, unknown>

/** Turns a file of version n into one of version n + 1. */
export type Migration = (raw: RawBuild) => RawBuild

/** Migrations by the version they start from; version 1 is the first, so there are none yet. */
export const MIGRATIONS: Readonly<Record<number, Migration>> = {}

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
): ReadResult<RawBuild> {
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
  for (let from = version; from < newest; from++) {
    const step = migrations[from]
    if (!step) return refused('version', `version ${from} can no longer be read`)
    build = { ...step(build), version: from + 1 }
  }
  return { ok: true, value: build }
}

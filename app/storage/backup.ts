import { strFromU8, strToU8, unzipSync, zipSync, type Unzipped, type UnzipFileInfo } from 'fflate'
import type { Build } from '~~/core/project/build'
import { buildText, MAX_FILE_CHARACTERS, parseBuildText } from '~~/core/project/parseBuild'
import { problemText } from '~~/core/project/problem'
import { FILE_ENDING, fileName } from './fileName'

const MAX_BACKUP_BYTES = 100_000_000
const MAX_BACKUP_FILES = 500
/** A character may take up to four bytes. */
const MAX_FILE_BYTES = 4 * MAX_FILE_CHARACTERS
const TOO_LARGE = 'the file is larger than 5 MB'

/** A file that could not be taken in, and why. */
export interface RefusedFile {
  readonly file: string
  readonly reasons: readonly string[]
}

/** Builds read from files, and the files that were refused; the one does not stop the other. */
export interface ReadFiles {
  readonly builds: readonly Build[]
  readonly refused: readonly RefusedFile[]
}

/**
 * All builds as one zip of ordinary build files.
 *
 * Packed without a helper thread: the package would start one from a blob, which the page's policy forbids.
 */
export function backupZip(builds: readonly Build[]): Uint8Array {
  const files: Record<string, Uint8Array> = {}
  for (const build of builds) files[unusedName(fileName(build.name), files)] = strToU8(buildText(build))
  return zipSync(files, { level: 6 })
}

function unusedName(wanted: string, taken: Readonly<Record<string, unknown>>): string {
  const stem = wanted.slice(0, -FILE_ENDING.length)
  let name = wanted
  for (let count = 2; name in taken; count++) name = `${stem}-${count}${FILE_ENDING}`
  return name
}

/** Builds from a build file or a backup, whichever it is. */
export function readBuildFile(file: string, bytes: Uint8Array): ReadFiles {
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b
  if (!isZip) return readOne(file, bytes)
  if (bytes.length > MAX_BACKUP_BYTES) return refuse(file, 'the backup is larger than 100 MB')
  let found: Entries
  try {
    found = unzipped(bytes)
  } catch {
    return refuse(file, 'the backup is damaged and cannot be unpacked')
  }
  const names = Object.keys(found.entries)
  if (names.length + found.refused.length === 0) return refuse(file, 'the backup holds no build files')
  const read = names.map((name) => readOne(name, found.entries[name] as Uint8Array))
  return {
    builds: read.flatMap((one) => one.builds),
    refused: [...found.refused, ...read.flatMap((one) => one.refused)],
  }
}

interface Entries {
  readonly entries: Unzipped
  /** Build files that were not even unpacked; what is no build file is passed over. */
  readonly refused: readonly RefusedFile[]
}

function unzipped(bytes: Uint8Array): Entries {
  let count = 0
  const refused: RefusedFile[] = []
  // Sizes are looked at before anything is unpacked, so that a small zip cannot fill the memory.
  const filter = (entry: UnzipFileInfo): boolean => {
    if (!entry.name.endsWith('.json')) return false
    const reason =
      entry.originalSize > MAX_FILE_BYTES
        ? TOO_LARGE
        : ++count > MAX_BACKUP_FILES
          ? `a backup is read up to ${MAX_BACKUP_FILES} builds; bring this one in on its own`
          : null
    if (reason) refused.push({ file: entry.name, reasons: [reason] })
    return reason === null
  }
  return { entries: unzipSync(bytes, { filter }), refused }
}

function readOne(file: string, bytes: Uint8Array): ReadFiles {
  if (bytes.length > MAX_FILE_BYTES) return refuse(file, TOO_LARGE)
  const parsed = parseBuildText(strFromU8(bytes))
  if (parsed.ok) return { builds: [parsed.value], refused: [] }
  return { builds: [], refused: [{ file, reasons: parsed.problems.map(problemText) }] }
}

const refuse = (file: string, reason: string): ReadFiles => ({
  builds: [],
  refused: [{ file, reasons: [reason] }],
})

import { strFromU8, strToU8, unzip, zip, type Unzipped } from 'fflate'
import type { Build } from '~~/core/project/build'
import { buildText, MAX_FILE_CHARACTERS, parseBuildText } from '~~/core/project/parseBuild'
import { problemText } from '~~/core/project/problem'
import { FILE_ENDING, fileName } from './fileName'

const MAX_BACKUP_BYTES = 100_000_000
const MAX_BACKUP_FILES = 500

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

/** All builds as one zip of ordinary build files. */
export function backupZip(builds: readonly Build[]): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {}
  for (const build of builds) files[unusedName(fileName(build.name), files)] = strToU8(buildText(build))
  return new Promise((resolve, reject) => {
    zip(files, { level: 6 }, (error, data) => (error ? reject(error) : resolve(data)))
  })
}

function unusedName(wanted: string, taken: Readonly<Record<string, unknown>>): string {
  const stem = wanted.slice(0, -FILE_ENDING.length)
  let name = wanted
  for (let count = 2; name in taken; count++) name = `${stem}-${count}${FILE_ENDING}`
  return name
}

/** Builds from a build file or a backup, whichever it is. */
export async function readBuildFile(file: string, bytes: Uint8Array): Promise<ReadFiles> {
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b
  if (!isZip) return readOne(file, bytes)
  if (bytes.length > MAX_BACKUP_BYTES) return refuse(file, 'the backup is larger than 100 MB')
  let entries: Unzipped
  try {
    entries = await unzipped(bytes)
  } catch {
    return refuse(file, 'the backup is damaged and cannot be unpacked')
  }
  const names = Object.keys(entries)
  if (names.length === 0) return refuse(file, 'the backup holds no build files')
  const read = names.map((name) => readOne(name, entries[name] as Uint8Array))
  return { builds: read.flatMap((one) => one.builds), refused: read.flatMap((one) => one.refused) }
}

function unzipped(bytes: Uint8Array): Promise<Unzipped> {
  let count = 0
  return new Promise((resolve, reject) => {
    unzip(
      bytes,
      // Sizes are looked at before anything is unpacked, so that a small zip cannot fill the memory.
      {
        filter: (entry) =>
          entry.name.endsWith('.json') &&
          entry.originalSize <= MAX_FILE_CHARACTERS &&
          ++count <= MAX_BACKUP_FILES,
      },
      (error, data) => (error ? reject(error) : resolve(data)),
    )
  })
}

function readOne(file: string, bytes: Uint8Array): ReadFiles {
  if (bytes.length > 4 * MAX_FILE_CHARACTERS) return refuse(file, 'the file is larger than 5 MB')
  const parsed = parseBuildText(strFromU8(bytes))
  if (parsed.ok) return { builds: [parsed.value], refused: [] }
  return { builds: [], refused: [{ file, reasons: parsed.problems.map(problemText) }] }
}

const refuse = (file: string, reason: string): ReadFiles => ({
  builds: [],
  refused: [{ file, reasons: [reason] }],
})

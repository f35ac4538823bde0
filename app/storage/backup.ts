import {
  strFromU8,
  strToU8,
  unzipSync,
  zipSync,
  type Unzipped,
  type UnzipFileInfo,
  type Zippable,
} from 'fflate'
import type { Build } from '~~/core/project/build'
import { buildText, MAX_FILE_CHARACTERS, parseBuildText } from '~~/core/project/parseBuild'
import { problemText } from '~~/core/project/problem'
import { FILE_ENDING, fileName } from './fileName'
import { PICTURE_TYPES, pictureEnding } from './pictureKind'

const MAX_BACKUP_BYTES = 300_000_000
const MAX_BACKUP_FILES = 500
/** Pictures of one backup at the most, and the largest of them: ours are some hundreds of kilobytes. */
const MAX_PICTURES = 2000
const MAX_PICTURE_BYTES = 5_000_000
/** A character may take up to four bytes. */
const MAX_FILE_BYTES = 4 * MAX_FILE_CHARACTERS
const TOO_LARGE = 'the file is larger than 5 MB'

/** A picture of a build, by the id of its photograph. */
export interface PictureFile {
  readonly id: string
  readonly bytes: Uint8Array
}

/** A build and the pictures that were there for it. */
export interface PicturedBuild {
  readonly build: Build
  readonly pictures: readonly PictureFile[]
}

/** A file that could not be taken in, and why. */
export interface RefusedFile {
  readonly file: string
  readonly reasons: readonly string[]
}

/** Builds read from files, and the files that were refused; the one does not stop the other. */
export interface ReadFiles {
  readonly builds: readonly PicturedBuild[]
  readonly refused: readonly RefusedFile[]
}

/**
 * All builds as one zip of ordinary build files, each with its pictures in a folder beside it.
 *
 * Packed without a helper thread: the package would start one from a blob, which the page's policy forbids.
 */
export function backupZip(builds: readonly PicturedBuild[]): Uint8Array {
  const files: Zippable = {}
  for (const { build, pictures } of builds) {
    const name = unusedName(fileName(build.name), files)
    files[name] = strToU8(buildText(build))
    for (const { id, bytes } of picturesOf(build, pictures))
      // Pictures are packed already.
      files[`${folderOf(name)}${id}.${pictureEnding(bytes)}`] = [bytes, { level: 0 }]
  }
  return zipSync(files, { level: 6 })
}

/** Those pictures that a build speaks of. */
export function picturesOf({ photos = [] }: Build, pictures: readonly PictureFile[]): PictureFile[] {
  const wanted = new Set(photos.map(({ id }) => id))
  return pictures.filter(({ id, bytes }) => wanted.has(id) && pictureEnding(bytes) !== null)
}

/** The folder of a build file's pictures. */
const folderOf = (name: string): string => `${name.replace(/\.json$/, '').replace(/\.lurvan$/, '')}.photos/`
const PICTURE = new RegExp(
  `^(.*\\.photos/)([A-Za-z0-9_-]{1,64})\\.(?:${Object.keys(PICTURE_TYPES).join('|')})$`,
)

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
  if (bytes.length > MAX_BACKUP_BYTES) return refuse(file, 'the backup is larger than 300 MB')
  let found: Entries
  try {
    found = unzipped(bytes)
  } catch {
    return refuse(file, 'the backup is damaged and cannot be unpacked')
  }
  const names = Object.keys(found.entries).filter((name) => name.endsWith('.json'))
  if (names.length + found.refused.length === 0) return refuse(file, 'the backup holds no build files')
  const read = names.map((name) => ({ name, ...readOne(name, found.entries[name] as Uint8Array) }))
  const taken = new Set<string>()
  const builds = read.flatMap(({ name, builds: list }) =>
    list.map(({ build }) => ({
      build,
      pictures: picturesOf(build, picturesIn(found.entries, folderOf(name), taken)),
    })),
  )
  return {
    builds,
    refused: [
      ...found.refused,
      ...read.flatMap((one) => one.refused),
      ...lostPictures(found.entries, builds, taken),
    ],
  }
}

/** The pictures of one folder; their names are noted as taken. */
function picturesIn(entries: Unzipped, folder: string, taken: Set<string>): PictureFile[] {
  return Object.entries(entries).flatMap(([name, bytes]) => {
    const [, there, id] = PICTURE.exec(name) ?? []
    if (there !== folder || id === undefined) return []
    taken.add(name)
    return [{ id, bytes }]
  })
}

/** Pictures that came to no build, each with its reason. */
function lostPictures(
  entries: Unzipped,
  builds: readonly PicturedBuild[],
  taken: ReadonlySet<string>,
): RefusedFile[] {
  const kept = new Set(builds.flatMap(({ pictures }) => pictures.map(({ bytes }) => bytes)))
  return Object.entries(entries).flatMap(([name, bytes]) => {
    if (name.endsWith('.json') || kept.has(bytes)) return []
    const why =
      pictureEnding(bytes) === null
        ? 'it is no picture'
        : taken.has(name)
          ? 'its build does not speak of it'
          : 'there is no build file beside it'
    return [{ file: name, reasons: [why] }]
  })
}

interface Entries {
  readonly entries: Unzipped
  /** Files that were not even unpacked; what is neither a build nor one of its pictures is passed over. */
  readonly refused: readonly RefusedFile[]
}

function unzipped(bytes: Uint8Array): Entries {
  let [count, pictures, bytesOfPictures] = [0, 0, 0]
  const refused: RefusedFile[] = []
  const buildReason = ({ originalSize }: UnzipFileInfo): string | null => {
    if (originalSize > MAX_FILE_BYTES) return TOO_LARGE
    const isOver = ++count > MAX_BACKUP_FILES
    return isOver ? `a backup is read up to ${MAX_BACKUP_FILES} builds; bring this one in on its own` : null
  }
  const pictureReason = ({ originalSize }: UnzipFileInfo): string | null => {
    if (originalSize > MAX_PICTURE_BYTES) return 'the picture is larger than 5 MB'
    bytesOfPictures += originalSize
    const isOver = ++pictures > MAX_PICTURES || bytesOfPictures > MAX_BACKUP_BYTES
    return isOver ? `a backup is read up to ${MAX_PICTURES} pictures of together 300 MB` : null
  }
  // Sizes are looked at before anything is unpacked, so that a small zip cannot fill the memory.
  const filter = (entry: UnzipFileInfo): boolean => {
    const isBuild = entry.name.endsWith('.json')
    if (!isBuild && !PICTURE.test(entry.name)) return false
    const reason = isBuild ? buildReason(entry) : pictureReason(entry)
    if (reason) refused.push({ file: entry.name, reasons: [reason] })
    return reason === null
  }
  return { entries: unzipSync(bytes, { filter }), refused }
}

function readOne(file: string, bytes: Uint8Array): ReadFiles {
  if (bytes.length > MAX_FILE_BYTES) return refuse(file, TOO_LARGE)
  const parsed = parseBuildText(strFromU8(bytes))
  if (parsed.ok) return { builds: [{ build: parsed.value, pictures: [] }], refused: [] }
  return { builds: [], refused: [{ file, reasons: parsed.problems.map(problemText) }] }
}

const refuse = (file: string, reason: string): ReadFiles => ({
  builds: [],
  refused: [{ file, reasons: [reason] }],
})

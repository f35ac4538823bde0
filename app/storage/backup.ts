import type { Build } from '~~/core/file/build/build'
import { buildText, MAX_FILE_CHARACTERS, parseBuildText } from '~~/core/file/open/parseBuild'
import { problemText } from '~~/core/file/parts/problem'
import { FILE_ENDING, fileName } from './fileName'
import { PICTURE_TYPES, pictureEnding } from './pictureKind'
import { packed, unpacked, type Unpacked, type Wanted, type ZipFile } from './zip'

const MAX_BACKUP_BYTES = 300_000_000
const MAX_BACKUP_FILES = 500
/** Pictures of one backup at the most, and the largest of them: ours are some hundreds of kilobytes. */
const MAX_PICTURES = 2000
const MAX_PICTURE_BYTES = 5_000_000
/** A character may take up to four bytes. */
const MAX_FILE_BYTES = 4 * MAX_FILE_CHARACTERS
const TOO_LARGE = 'the file is larger than 5 MB'
const PICTURE_TOO_LARGE = 'the picture is larger than 5 MB'
const TOO_MANY_BUILDS = `a backup is read up to ${MAX_BACKUP_FILES} builds; bring this one in on its own`
const TOO_MANY_BYTES = 'a backup is read up to 300 MB; bring this one in on its own'
const TOO_MANY_PICTURES = `a backup is read up to ${MAX_PICTURES} pictures of together 300 MB`

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

/** All builds as one zip of ordinary build files, each with its pictures in a folder beside it. */
export function backupZip(builds: readonly PicturedBuild[]): Promise<Uint8Array> {
  const files: ZipFile[] = []
  const taken = new Set<string>()
  for (const { build, pictures } of builds) {
    const name = unusedName(fileName(build.name), taken)
    taken.add(name)
    files.push({ name, bytes: new TextEncoder().encode(buildText(build)) })
    for (const { id, bytes } of picturesOf(build, pictures))
      files.push({ name: `${folderOf(name)}${id}.${pictureEnding(bytes)}`, bytes, isPacked: true })
  }
  return packed(files)
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

function unusedName(wanted: string, taken: ReadonlySet<string>): string {
  const stem = wanted.slice(0, -FILE_ENDING.length)
  let name = wanted
  for (let count = 2; taken.has(name); count++) name = `${stem}-${count}${FILE_ENDING}`
  return name
}

/** Builds from a build file or a backup, whichever it is; work for a thread of its own. */
export async function readBuildFile(file: string, blob: Blob): Promise<ReadFiles> {
  const isZip = (await blob.slice(0, 2).text()) === 'PK'
  if (!isZip) {
    if (blob.size > MAX_FILE_BYTES) return refuse(file, TOO_LARGE)
    return readOne(file, new Uint8Array(await blob.arrayBuffer()))
  }
  if (blob.size > MAX_BACKUP_BYTES) return refuse(file, 'the backup is larger than 300 MB')
  let found: Unpacked
  try {
    found = await unpacked(blob, wantedOfBackup())
  } catch {
    return refuse(file, 'the backup is damaged and cannot be unpacked')
  }
  const files = [...found.entries].filter(([name]) => name.endsWith('.json'))
  if (files.length + found.refused.length === 0) return refuse(file, 'the backup holds no build files')
  const read = files.map(([name, bytes]) => ({ name, ...readOne(name, bytes) }))
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
function picturesIn(entries: Unpacked['entries'], folder: string, taken: Set<string>): PictureFile[] {
  return [...entries].flatMap(([name, bytes]) => {
    const [, there, id] = PICTURE.exec(name) ?? []
    if (there !== folder || id === undefined) return []
    taken.add(name)
    return [{ id, bytes }]
  })
}

/** Pictures that came to no build, each with its reason. */
function lostPictures(
  entries: Unpacked['entries'],
  builds: readonly PicturedBuild[],
  taken: ReadonlySet<string>,
): RefusedFile[] {
  const kept = new Set(builds.flatMap(({ pictures }) => pictures.map(({ bytes }) => bytes)))
  return [...entries].flatMap(([name, bytes]) => {
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

/** What is read of each file of a backup; what is neither a build nor one of its pictures is passed over. */
function wantedOfBackup(): (name: string, size: number) => Wanted {
  let [builds, pictures, bytes] = [0, 0, 0]
  return (name, size) => {
    const isBuild = name.endsWith('.json')
    if (!isBuild && !PICTURE.test(name)) return null
    if (size > (isBuild ? MAX_FILE_BYTES : MAX_PICTURE_BYTES))
      return { refuse: isBuild ? TOO_LARGE : PICTURE_TOO_LARGE }
    bytes += size
    if (isBuild && ++builds > MAX_BACKUP_FILES) return { refuse: TOO_MANY_BUILDS }
    if ((!isBuild && ++pictures > MAX_PICTURES) || bytes > MAX_BACKUP_BYTES)
      return { refuse: isBuild ? TOO_MANY_BYTES : TOO_MANY_PICTURES }
    return true
  }
}

function readOne(file: string, bytes: Uint8Array): ReadFiles {
  const parsed = parseBuildText(new TextDecoder().decode(bytes))
  if (parsed.ok) return { builds: [{ build: parsed.value, pictures: [] }], refused: [] }
  return { builds: [], refused: [{ file, reasons: parsed.problems.map(problemText) }] }
}

const refuse = (file: string, reason: string): ReadFiles => ({
  builds: [],
  refused: [{ file, reasons: [reason] }],
})

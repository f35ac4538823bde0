import {
  BlobReader,
  BlobWriter,
  configure,
  ERR_INVALID_UNCOMPRESSED_SIZE,
  Uint8ArrayReader,
  Uint8ArrayWriter,
  ZipReader,
  ZipWriter,
} from '@zip.js/zip.js'

// The package would start threads of its own from a blob, which the page's policy forbids.
configure({ useWebWorkers: false })

/** A file to be packed. */
export interface ZipFile {
  readonly name: string
  readonly bytes: Uint8Array
  /** Its bytes are packed already. */
  readonly isPacked?: boolean
}

/** Whether a file in a zip is wanted, or else a word why it is left, or null when nobody asks for it. */
export type Wanted = true | { readonly refuse: string } | null

/** Files by their names, and those that were refused with the reason. */
export interface Unpacked {
  readonly entries: ReadonlyMap<string, Uint8Array>
  readonly refused: readonly { readonly file: string; readonly reasons: readonly string[] }[]
}

/** The package breaks off, in these words, where a file goes beyond the size that stands in the zip. */
const isMoreThanSaid = (error: unknown): boolean =>
  (error as { readonly message?: unknown } | null)?.message === ERR_INVALID_UNCOMPRESSED_SIZE

/** Packs files into one zip. */
export async function packed(files: readonly ZipFile[]): Promise<Uint8Array> {
  const writer = new ZipWriter(new BlobWriter('application/zip'))
  for (const { name, bytes, isPacked } of files)
    await writer.add(name, new Uint8ArrayReader(bytes), { level: isPacked ? 0 : 6 })
  return new Uint8Array(await (await writer.close()).arrayBuffer())
}

/**
 * Unpacks what is wanted of a zip, each file as a stream that is cut off where it gives more than the zip says. Checksums are
 * looked at; of two files of one name neither is taken, and both are told.
 *
 * @param wanted - asked of each name once, with the size the zip says
 * @throws Error when the list of files cannot be read
 */
export async function unpacked(zip: Blob, wanted: (name: string, size: number) => Wanted): Promise<Unpacked> {
  const reader = new ZipReader(new BlobReader(zip), { filenameValidation: 'tolerant' })
  const entries = new Map<string, Uint8Array>()
  const refused: { file: string; reasons: string[] }[] = []
  const listed = (await reader.getEntries()).filter(({ directory }) => !directory)
  const counts = new Map<string, number>()
  for (const { filename } of listed) counts.set(filename, (counts.get(filename) ?? 0) + 1)
  for (const entry of listed) {
    const { filename: file, uncompressedSize } = entry
    const want = wanted(file, uncompressedSize)
    if (want === null || entry.directory) continue
    const refuse = (reason: string) => void refused.push({ file, reasons: [reason] })
    if ((counts.get(file) ?? 0) > 1) refuse('the backup holds two files of this name; neither is taken')
    else if (want !== true) refuse(want.refuse)
    else {
      try {
        entries.set(file, await entry.getData(new Uint8ArrayWriter(), { checkSignature: true }))
      } catch (error) {
        refuse(isMoreThanSaid(error) ? 'it holds more than it says' : 'it is damaged and cannot be unpacked')
      }
    }
  }
  return { entries, refused }
}

/** Kinds of pictures that are kept, by the ending of their files. */
export const PICTURE_TYPES = { jpg: 'image/jpeg', png: 'image/png', webp: 'image/webp' } as const
export type PictureEnding = keyof typeof PICTURE_TYPES

const startsWith = (bytes: Uint8Array, marks: readonly number[], at = 0): boolean =>
  marks.every((mark, i) => bytes[at + i] === mark)

/** What kind of picture some bytes are, by how they begin; null for anything else, whatever its name says. */
export function pictureEnding(bytes: Uint8Array): PictureEnding | null {
  if (startsWith(bytes, [0xff, 0xd8, 0xff])) return 'jpg'
  if (startsWith(bytes, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return 'png'
  const isRiff = startsWith(bytes, [0x52, 0x49, 0x46, 0x46])
  return isRiff && startsWith(bytes, [0x57, 0x45, 0x42, 0x50], 8) ? 'webp' : null
}

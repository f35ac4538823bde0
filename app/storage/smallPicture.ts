/** A picture is kept no larger than this, in px along its longer side: a corner is then told to a millimetre on a whole bay. */
const MOST_PX = 1800
const QUALITY = 0.82
/** Larger files are no photographs, in bytes. */
const MOST_BYTES = 60_000_000

/** A picture that cannot be taken, and why. */
export class UnusablePicture extends Error {}

/** How large a picture is, in px. */
export interface PictureSize {
  readonly widthPx: number
  readonly heightPx: number
}

async function decoded(blob: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(blob, { imageOrientation: 'from-image' })
  } catch {
    throw new UnusablePicture('it is no picture that this browser can read')
  }
}

/** The size of a picture, in px. */
export async function pictureSize(blob: Blob): Promise<PictureSize> {
  const { width, height } = await decoded(blob)
  return { widthPx: width, heightPx: height }
}

/**
 * A photograph scaled down and packed anew, upright; where and with what it was taken is not kept.
 *
 * @throws UnusablePicture
 */
export async function smallPicture(file: Blob): Promise<Uint8Array> {
  if (file.size > MOST_BYTES) throw new UnusablePicture('it is larger than 60 MB')
  const picture = await decoded(file)
  const scale = Math.min(1, MOST_PX / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  const pen = canvas.getContext('2d')
  if (!pen) throw new UnusablePicture('this browser cannot scale pictures')
  pen.imageSmoothingQuality = 'high'
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  const packed = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY))
  if (!packed) throw new UnusablePicture('this browser cannot pack pictures')
  return new Uint8Array(await packed.arrayBuffer())
}

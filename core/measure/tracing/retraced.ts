import type { Body } from '../../file/parts/body'
import type { Outline } from '../../file/parts/outline'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import { SEEN_FROM, type PhotoScale } from '../../file/parts/photo'
import { photoMap } from './photoScale'

/**
 * A build in which a photograph is scaled anew: what was traced over it goes along, for it is the picture that was traced.
 *
 * @throws CoreError `degenerate` when the new scale is none
 */
export function rescaled(build: Build, photoId: Id, scale: PhotoScale): Build {
  const before = build.photos?.find(({ id }) => id === photoId)?.scale
  const after = photoMap(scale)
  const retraced = (outline: Outline): Outline => {
    if (outline.photo !== photoId || !before) return outline
    const { toPixel } = photoMap(before)
    const corners = outline.corners.map((place) => after.toPlace(toPixel(place)))
    return { ...outline, view: SEEN_FROM[scale.seenFrom], corners }
  }
  return {
    ...build,
    bodies: withOutlines(build, retraced),
    photos: (build.photos ?? []).map((photo) => (photo.id === photoId ? { ...photo, scale } : photo)),
  }
}

/** A build without a photograph: what was traced over it stays, by its corners. */
export function withoutPhoto(build: Build, photoId: Id): Build {
  return {
    ...build,
    bodies: withOutlines(build, (outline) => {
      const { photo, ...kept } = outline
      return photo === photoId ? kept : outline
    }),
    photos: (build.photos ?? []).filter(({ id }) => id !== photoId),
  }
}

const withOutlines = ({ bodies }: Build, changed: (outline: Outline) => Outline): Body[] =>
  bodies.map((body) => (body.outlines ? { ...body, outlines: body.outlines.map(changed) } : body))

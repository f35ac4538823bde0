import { CoreError } from '../../base/errors'

/** A bar's section: bending is up and down, a flat lies flat. */
export type Section =
  | { readonly kind: 'flat'; readonly widthMm: number; readonly thicknessMm: number }
  /** Joined all round they count as one of their height together, loose as so many single ones. */
  | {
      readonly kind: 'flats'
      readonly widthMm: number
      readonly thicknessMm: number
      readonly count: number
      readonly isJoined: boolean
    }
  | { readonly kind: 'box'; readonly heightMm: number; readonly widthMm: number; readonly wallMm: number }
  | { readonly kind: 'tube'; readonly outerMm: number; readonly wallMm: number }
  /** The end of a tube, pressed flat. */
  | { readonly kind: 'flattened'; readonly outerMm: number; readonly wallMm: number }
  | { readonly kind: 'solid'; readonly diameterMm: number }

export interface SectionFigures {
  /** Second moment of area, mm⁴, and section modulus, mm³. */
  readonly inertia: number
  readonly modulus: number
  /** Shear stress for each N·mm of torsion; null where the section does not bear it. */
  readonly shearPerTorque: number | null
}

const rectangle = (width: number, height: number): SectionFigures => ({
  inertia: (width * height ** 3) / 12,
  modulus: (width * height ** 2) / 6,
  shearPerTorque: null,
})

const ring = (outer: number, inner: number): SectionFigures => {
  const inertia = (Math.PI * (outer ** 4 - inner ** 4)) / 64
  return { inertia, modulus: (2 * inertia) / outer, shearPerTorque: outer / (4 * inertia) }
}

function hollow(size: number, wall: number): void {
  if (!(wall > 0 && wall < size / 2))
    throw new CoreError('out-of-range', 'wall', 'is above 0 and less than half of its section')
}

function above0(sizes: Readonly<Record<string, number>>): void {
  for (const [name, size] of Object.entries(sizes))
    if (!(size > 0 && Number.isFinite(size))) throw new CoreError('out-of-range', name, 'must be above 0')
}

/**
 * Stiffness and strength of a section: elastic bending; closed thin walls in torsion by the area in their mid-line.
 *
 * @throws CoreError `out-of-range` for a size not above 0 or a wall that fills its section
 */
export function sectionFigures(section: Section): SectionFigures {
  switch (section.kind) {
    case 'flat':
      above0({ width: section.widthMm, thickness: section.thicknessMm })
      return rectangle(section.widthMm, section.thicknessMm)
    case 'flats': {
      above0({ width: section.widthMm, thickness: section.thicknessMm, count: section.count })
      if (section.isJoined) return rectangle(section.widthMm, section.count * section.thicknessMm)
      return rectangle(section.count * section.widthMm, section.thicknessMm)
    }
    case 'box': {
      const { heightMm, widthMm, wallMm } = section
      above0({ height: heightMm, width: widthMm })
      hollow(Math.min(heightMm, widthMm), wallMm)
      const inertia = (widthMm * heightMm ** 3 - (widthMm - 2 * wallMm) * (heightMm - 2 * wallMm) ** 3) / 12
      const enclosed = (heightMm - wallMm) * (widthMm - wallMm)
      return { inertia, modulus: (2 * inertia) / heightMm, shearPerTorque: 1 / (2 * enclosed * wallMm) }
    }
    case 'tube':
      hollow(section.outerMm, section.wallMm)
      return ring(section.outerMm, section.outerMm - 2 * section.wallMm)
    case 'flattened': {
      const { outerMm, wallMm } = section
      hollow(outerMm, wallMm)
      return rectangle((Math.PI * (outerMm - wallMm)) / 2 + wallMm, 2 * wallMm)
    }
    case 'solid':
      above0({ diameter: section.diameterMm })
      return ring(section.diameterMm, 0)
  }
}

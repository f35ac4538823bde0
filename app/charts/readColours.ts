import type { ChartColours } from './palette'

/** The page's own colours as they stand on an element, in light or in dark. */
export function readColours(element: Element): ChartColours & { readonly paper: string } {
  const style = getComputedStyle(element)
  const of = (name: string) => style.getPropertyValue(`--${name}`).trim()
  return {
    ink: of('ink'),
    soft: of('soft'),
    hair: of('hair'),
    accent: of('accent'),
    holds: of('holds'),
    tight: of('tight'),
    out: of('out'),
    unknown: of('unknown'),
    paper: of('paper'),
  }
}

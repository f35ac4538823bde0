/** Where a drawing was tapped, in its own units, however it lies within its frame; null while it is not on screen. */
export function placeInDrawing(
  svg: SVGGraphicsElement | null,
  { clientX, clientY }: Pick<PointerEvent, 'clientX' | 'clientY'>,
): readonly [number, number] | null {
  const inward = svg?.getScreenCTM()?.inverse()
  if (!inward) return null
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(inward)
  return [x, y]
}

/** A picture drawn as SVG, as PNG at twice its size on paper of the page's own colour. */
export async function svgToPng(svg: SVGSVGElement, paper: string): Promise<Uint8Array> {
  const { width, height } = svg.getBoundingClientRect()
  const copy = svg.cloneNode(true) as SVGSVGElement
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = 2 * width
  canvas.height = 2 * height
  const context = canvas.getContext('2d')
  if (!context) throw new Error('this browser draws no pictures')
  context.fillStyle = paper
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(image, 0, 0, canvas.width, canvas.height)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve))
  if (!blob) throw new Error('this browser draws no pictures')
  return new Uint8Array(await blob.arrayBuffer())
}

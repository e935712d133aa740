/** What an SVG takes from the page's styles: written into the copy, which stands alone. */
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
] as const

const PAD_PX = 24
const CAPTION_PX = 46
/** Twice as fine as the screen: it may be printed. */
const DENSITY = 2

/** A chart's SVG with its styles written into it. */
function standingAlone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')]
  from.forEach((element, i) => {
    const styles = getComputedStyle(element)
    for (const name of STYLES) {
      const value = styles.getPropertyValue(name)
      if (value !== '') to[i]!.setAttribute(name, value)
    }
  })
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  return new XMLSerializer().serializeToString(copy)
}

async function imageOf(svg: string): Promise<HTMLImageElement> {
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  return image
}

/**
 * Saves the charts that are shown as one picture, each with its name and its words.
 * @param box that holds the charts, a figure each
 * @param title stands over them
 */
export async function savePicture(box: HTMLElement, name: string, title: string): Promise<void> {
  const figures = [...box.querySelectorAll('figure')]
  const places = figures.map((figure) => figure.getBoundingClientRect())
  const { left, top, width, height } = box.getBoundingClientRect()
  const canvas = document.createElement('canvas')
  canvas.width = Math.ceil((width + 2 * PAD_PX) * DENSITY)
  canvas.height = Math.ceil((height + 2 * PAD_PX + CAPTION_PX) * DENSITY)
  const pen = canvas.getContext('2d')!
  pen.scale(DENSITY, DENSITY)
  const styles = getComputedStyle(document.documentElement)
  const ink = (token: string) => styles.getPropertyValue(token).trim()
  const face = getComputedStyle(document.body).fontFamily
  pen.fillStyle = ink('--ground')
  pen.fillRect(0, 0, canvas.width, canvas.height)
  pen.fillStyle = ink('--ink')
  pen.font = `700 22px ${face}`
  pen.fillText(title, PAD_PX, PAD_PX + 18)
  for (const [i, figure] of figures.entries()) {
    const svg = figure.querySelector('svg')
    if (!svg) continue
    const place = places[i]!
    const [x, y] = [place.left - left + PAD_PX, place.top - top + PAD_PX + CAPTION_PX]
    pen.fillStyle = ink('--ink')
    pen.font = `700 16px ${face}`
    pen.fillText(figure.querySelector('h2, h3')?.textContent ?? '', x, y + 16)
    const within = svg.getBoundingClientRect()
    pen.drawImage(
      await imageOf(standingAlone(svg)),
      x + within.left - place.left,
      y + within.top - place.top,
      within.width,
      within.height,
    )
    pen.fillStyle = ink('--quiet')
    pen.font = `14px ${face}`
    pen.fillText(figure.querySelector('figcaption')?.textContent ?? '', x, y + place.height - 6, place.width)
  }
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (!blob) return
  const { downloadText } = await import('../../storage/download.ts')
  downloadText(name, new Uint8Array(await blob.arrayBuffer()), 'image/png')
}

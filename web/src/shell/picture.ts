/** What of its looks a drawing takes along when it leaves the page. */
const LOOKS = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-opacity',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stop-color',
  'stop-opacity',
  'opacity',
  'paint-order',
  'font-family',
  'font-size',
  'font-weight',
  'font-style',
  'text-anchor',
] as const
/** What only the page needs. */
const OF_THE_PAGE = ['class', 'style', 'tabindex', 'role', 'aria-hidden', 'aria-label']
/** A picture of points is so much finer than the screen. */
const FINER = 2
const SVG = 'http://www.w3.org/2000/svg'

/** A drawing of the page as a file of its own: as large as it is, its colours and letters in it. */
export function svgPicture(drawing: SVGSVGElement, colour = colourOfPaper()): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement
  const own = [drawing, ...drawing.querySelectorAll('*')]
  const copied = [copy, ...copy.querySelectorAll('*')]
  own.forEach((element, i) => settle(element, copied[i]!))
  // Handles are the page's, not the picture's.
  for (const handle of copy.querySelectorAll('.handle')) handle.remove()
  const { width, height } = drawing.getBoundingClientRect()
  copy.setAttribute('xmlns', SVG)
  copy.setAttribute('width', String(Math.round(width)))
  copy.setAttribute('height', String(Math.round(height)))
  // A drawing with units of its own keeps them.
  const [x, y, wide, high] = drawing.getAttribute('viewBox')?.split(/\s+/) ?? [
    '0',
    '0',
    String(Math.round(width)),
    String(Math.round(height)),
  ]
  copy.setAttribute('viewBox', [x, y, wide, high].join(' '))
  const paper = document.createElementNS(SVG, 'rect')
  for (const [name, value] of Object.entries({ x, y, width: wide, height: high }))
    paper.setAttribute(name, value!)
  paper.setAttribute('fill', colour)
  copy.prepend(paper)
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}`
}

/**
 * The same for a printed page: on white paper whatever the theme is, without the halo round words, which what
 * prints would draw over them.
 */
export function printPicture(drawing: SVGSVGElement): string {
  const root = document.documentElement
  const { theme } = root.dataset
  root.dataset.theme = 'light'
  try {
    const picture = new DOMParser().parseFromString(svgPicture(drawing, '#ffffff'), 'image/svg+xml')
    for (const words of picture.querySelectorAll('text, tspan')) {
      words.setAttribute('stroke', 'none')
      words.removeAttribute('font-family')
    }
    return new XMLSerializer().serializeToString(picture.documentElement).replaceAll('&quot;', '')
  } finally {
    if (theme === undefined) delete root.dataset.theme
    else root.dataset.theme = theme
  }
}

const colourOfPaper = () =>
  getComputedStyle(document.documentElement).getPropertyValue('--sheet').trim() || '#ffffff'

/** What an element looks like, written into its copy. */
function settle(element: Element, copy: Element): void {
  const style = getComputedStyle(element)
  for (const look of LOOKS) {
    const value = style.getPropertyValue(look)
    if (value !== '' && value !== 'normal' && isSaid(element, look)) copy.setAttribute(look, value)
  }
  for (const name of copy.getAttributeNames()) {
    if (name === 'class' && copy.classList.contains('handle')) continue
    if (OF_THE_PAGE.includes(name) || name.startsWith('data-')) copy.removeAttribute(name)
  }
}

/** Letters look only where there are some, and colours of a blend where it blends. */
function isSaid({ tagName }: Element, look: string): boolean {
  if (look.startsWith('stop')) return tagName === 'stop'
  const isOfText = look.startsWith('font') || look === 'text-anchor'
  return !isOfText || tagName === 'text' || tagName === 'tspan'
}

/** The same as points: a PNG. */
export async function pngPicture(drawing: SVGSVGElement): Promise<Blob> {
  const { width, height } = drawing.getBoundingClientRect()
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgPicture(drawing))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width * FINER)
  canvas.height = Math.round(height * FINER)
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((given, refused) =>
    canvas.toBlob(
      (blob) => (blob ? given(blob) : refused(new Error('The picture could not be made.'))),
      'image/png',
    ),
  )
}

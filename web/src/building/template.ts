import type { building, UnitFamily } from '@yew-basin/core'
import Drawing from 'dxf-writer'
import { millimetres } from '../shell/millimetres.ts'

/** What each side of a paper keeps free, mm: the next paper shows it again. */
const MARGIN = 12
const PAPER: Readonly<Record<UnitFamily, readonly [number, number]>> = {
  metric: [210, 297],
  us: [215.9, 279.4],
}
/** A bar to check the printer by, mm, and what it is called. */
const BAR: Readonly<Record<UnitFamily, { readonly mm: number; readonly words: string }>> = {
  metric: { mm: 100, words: '100 mm' },
  us: { mm: 101.6, words: '4 in' },
}

/** A panel as it lies to be drawn on, mm, its lower left corner at nothing; y upwards. */
export interface TemplateSheet {
  readonly title: string
  readonly width: number
  readonly height: number
  readonly holes: readonly {
    readonly name: string
    readonly x: number
    readonly y: number
    readonly r: number
    readonly flange: number
  }[]
}

/** A panel's holes in millimetres. */
export function templateOf(sheet: building.DrilledSheet, title: string): TemplateSheet {
  return {
    title,
    width: millimetres(sheet.widthM),
    height: millimetres(sheet.heightM),
    holes: sheet.holes.map(({ name, alongM, upM, diameterM, flangeM }) => ({
      name,
      x: millimetres(alongM),
      y: millimetres(upM),
      r: millimetres(diameterM) / 2,
      flange: millimetres(flangeM) / 2,
    })),
  }
}

const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;')

/** The panel and its holes as shapes; y downwards, as SVG has it. */
function shapes({ width, height, holes }: TemplateSheet): string {
  const parts = [
    `<rect x="0" y="0" width="${width}" height="${height}" fill="none" stroke="#000" stroke-width="0.4"/>`,
  ]
  for (const { name, x, y, r, flange } of holes) {
    const down = height - y
    parts.push(
      `<circle cx="${x}" cy="${down}" r="${r}" fill="none" stroke="#000" stroke-width="0.5"/>`,
      `<circle cx="${x}" cy="${down}" r="${flange}" fill="none" stroke="#000" stroke-width="0.25" stroke-dasharray="2 2"/>`,
      `<path d="M${x - r - 6} ${down}H${x + r + 6}M${x} ${down - r - 6}V${down + r + 6}" fill="none" stroke="#000" stroke-width="0.25"/>`,
      `<text x="${x}" y="${down - 3}" text-anchor="middle" font-family="sans-serif" font-size="4">${escaped(name)}</text>`,
      `<text x="${x}" y="${down + 6}" text-anchor="middle" font-family="sans-serif" font-size="3.5">${2 * r} mm</text>`,
    )
  }
  return parts.join('')
}

/** The whole panel as an SVG that cuts to scale: width and height in millimetres, no styles from elsewhere. */
export function templateSvg(sheet: TemplateSheet): string {
  const { width, height, title } = sheet
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><title>${escaped(title)}</title>${shapes(sheet)}</svg>
`
}

/** The same as a DXF in millimetres: the panel and holes on one layer, words on another. */
export function templateDxf({ width, height, holes }: TemplateSheet): string {
  const drawing = new Drawing()
  drawing.setUnits('Millimeters')
  drawing.addLayer('panel', Drawing.ACI.WHITE, 'CONTINUOUS')
  drawing.addLayer('holes', Drawing.ACI.RED, 'CONTINUOUS')
  drawing.addLayer('words', Drawing.ACI.GREEN, 'CONTINUOUS')
  drawing.setActiveLayer('panel')
  drawing.drawRect(0, 0, width, height)
  for (const { name, x, y, r } of holes) {
    drawing.setActiveLayer('holes')
    drawing.drawCircle(x, y, r)
    drawing.setActiveLayer('words')
    drawing.drawText(x - r, y + r + 3, 4, 0, name)
  }
  return drawing.toDxfString()
}

/** A part of a panel that one paper shows, mm from the panel's upper left corner. */
interface Tile {
  readonly column: number
  readonly row: number
  readonly x: number
  readonly y: number
}

/** What of a panel is printed: from the two edges that its holes are nearest to, as far as the holes go. */
function windowOf({ width, height, holes }: TemplateSheet) {
  const left = Math.min(...holes.map(({ x, flange }) => x - flange))
  const right = Math.max(...holes.map(({ x, flange }) => x + flange))
  const low = Math.min(...holes.map(({ y, flange }) => y - flange))
  const high = Math.max(...holes.map(({ y, flange }) => y + flange))
  const byLeft = left <= width - right
  const byTop = height - high <= low
  return {
    fromX: byLeft ? 0 : left,
    toX: byLeft ? right : width,
    fromY: byTop ? 0 : height - high,
    toY: byTop ? height - low : height,
  }
}

/** One to one on papers of A4 or letter, each as an SVG of its own size: marks where the next one goes on, and a bar to check the printer. */
export function templatePages(sheet: TemplateSheet, family: UnitFamily): string[] {
  const [wide, high] = PAPER[family]
  const step = { x: wide - 2 * MARGIN, y: high - 2 * MARGIN - 14 }
  const { fromX, toX, fromY, toY } = windowOf(sheet)
  const columns = Math.max(1, Math.ceil((toX - fromX) / step.x))
  const rows = Math.max(1, Math.ceil((toY - fromY) / step.y))
  const tiles = Array.from({ length: columns * rows }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)]
    return { column, row, x: fromX + column * step.x, y: fromY + row * step.y }
  })
  return tiles.map((tile) => page(sheet, tile, { wide, high, step, family, columns, rows }))
}

interface PageSize {
  readonly wide: number
  readonly high: number
  readonly step: { readonly x: number; readonly y: number }
  readonly family: UnitFamily
  readonly columns: number
  readonly rows: number
}

function page(sheet: TemplateSheet, { column, row, x, y }: Tile, size: PageSize): string {
  const { wide, high, step, family, columns, rows } = size
  const bar = BAR[family]
  const name = `${String.fromCharCode(65 + row)}${column + 1}`
  const corners = [
    [MARGIN, MARGIN],
    [MARGIN + step.x, MARGIN],
    [MARGIN, MARGIN + step.y],
    [MARGIN + step.x, MARGIN + step.y],
  ]
    .map(([cx, cy]) => `M${cx! - 4} ${cy}H${cx! + 4}M${cx} ${cy! - 4}V${cy! + 4}`)
    .join('')
  const low = high - 12
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}mm" height="${high}mm" viewBox="0 0 ${wide} ${high}"><g transform="translate(${MARGIN - x} ${MARGIN - y})">${shapes(sheet)}</g><rect x="0" y="${MARGIN + step.y + 5}" width="${wide}" height="${high}" fill="#fff"/><path d="${corners}" fill="none" stroke="#000" stroke-width="0.3"/><path d="M${MARGIN} ${low - 3}V${low}H${MARGIN + bar.mm}V${low - 3}" fill="none" stroke="#000" stroke-width="0.4"/><text x="${MARGIN + 2}" y="${low - 2}" font-family="sans-serif" font-size="3.5">this bar is ${bar.words}: print at 100 %</text><text x="${wide - MARGIN}" y="${low - 6}" text-anchor="end" font-family="sans-serif" font-size="3.5">${escaped(sheet.title)}, paper ${name} of ${columns} × ${rows}; crosses lie on crosses</text></svg>`
}

/** Points of a PDF in a millimetre. */
const POINTS = 72 / 25.4

/** The papers as a PDF's pages. */
export function templatePdfPage(sheets: readonly TemplateSheet[], family: UnitFamily) {
  const [wide, high] = PAPER[family]
  const pages = sheets.flatMap((sheet) => templatePages(sheet, family))
  return {
    pageSize: { width: wide * POINTS, height: high * POINTS },
    pageMargins: 0,
    info: { title: 'Templates to drill by' },
    defaultStyle: { font: 'Roboto' },
    content: pages.map((svg, i) => ({
      svg: svg.replaceAll('font-family="sans-serif"', ''),
      width: wide * POINTS,
      ...(i > 0 ? { pageBreak: 'before' } : {}),
    })),
  }
}

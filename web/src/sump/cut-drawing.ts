import type { building } from '@yew-basin/core'
import Drawing from 'dxf-writer'
import { millimetres } from '../shell/millimetres.ts'

/** How finely a panel is measured in inches. */
export const PANEL_PARTS = 64

/** A panel as it is cut, m. */
export interface PanelToCut {
  /** What is written on it: "wall 2", "floor". */
  readonly label: string
  readonly widthM: number
  readonly heightM: number
  readonly teeth: building.CutPanel['teeth']
  /** From its left and lower edges. */
  readonly holes: readonly {
    readonly alongM: number
    readonly upM: number
    readonly diameterM: number
  }[]
}

/** A wall of a sump as it is cut. */
export const wallToCut = ({
  number,
  widthM,
  heightM,
  teeth,
  pipe,
  footM,
}: building.CutPanel): PanelToCut => ({
  label: `wall ${number}`,
  widthM,
  heightM,
  teeth,
  holes: pipe ? [{ alongM: widthM / 2, upM: pipe.heightM - footM, diameterM: pipe.boreM }] : [],
})

/** Panels side by side on a sheet to cut from, mm; y upwards as a saw's table reads it. */
export interface LaidPanel {
  readonly panel: PanelToCut
  readonly x: number
  readonly width: number
  readonly height: number
  /** Notches between the teeth, from the top edge down. */
  readonly notches: readonly {
    readonly x: number
    readonly width: number
    readonly depth: number
  }[]
  readonly holes: readonly { readonly x: number; readonly y: number; readonly r: number }[]
}

const APART_MM = 60
/** A panel takes at least so much of the row: its size is written under it. */
const LEAST_MM = 150

/** Panels in a row. */
export function layPanels(panels: readonly PanelToCut[]): LaidPanel[] {
  let x = 0
  return panels.map((panel) => {
    const from = x
    const width = millimetres(panel.widthM)
    x += Math.max(width, LEAST_MM) + APART_MM
    return {
      panel,
      x: from,
      width,
      height: millimetres(panel.heightM),
      notches: notchesOf(panel, from),
      holes: panel.holes.map(({ alongM, upM, diameterM }) => ({
        x: from + millimetres(alongM),
        y: millimetres(upM),
        r: millimetres(diameterM) / 2,
      })),
    }
  })
}

function notchesOf({ teeth, widthM }: PanelToCut, x: number): LaidPanel['notches'] {
  if (!teeth) return []
  const count = Math.floor(widthM / teeth.pitchM + 1e-9)
  const rest = (widthM - count * teeth.pitchM + (teeth.pitchM - teeth.slotWidthM)) / 2
  return Array.from({ length: count }, (_, k) => ({
    x: x + millimetres(rest + k * teeth.pitchM),
    width: millimetres(teeth.slotWidthM),
    depth: millimetres(teeth.heightM),
  }))
}

/** The outline of a panel, notches and all, from its lower left corner round. */
export function outlineOf({
  x,
  width,
  height,
  notches,
}: Omit<LaidPanel, 'panel' | 'holes'>): [number, number][] {
  const top = notches.flatMap(({ x: from, width: wide, depth }): [number, number][] => [
    [from, height],
    [from, height - depth],
    [from + wide, height - depth],
    [from + wide, height],
  ])
  return [[x, 0], [x, height], ...top, [x + width, height], [x + width, 0]]
}

/** Panels as a DXF drawing in millimetres: outlines on one layer, words on another. */
export function cutListDxf(panels: readonly PanelToCut[]): string {
  const drawing = new Drawing()
  drawing.setUnits('Millimeters')
  drawing.addLayer('cut', Drawing.ACI.WHITE, 'CONTINUOUS')
  drawing.addLayer('words', Drawing.ACI.GREEN, 'CONTINUOUS')
  for (const laid of layPanels(panels)) {
    drawing.setActiveLayer('cut')
    drawing.drawPolyline(outlineOf(laid), true)
    for (const { x, y, r } of laid.holes) drawing.drawCircle(x, y, r)
    drawing.setActiveLayer('words')
    const { label } = laid.panel
    drawing.drawText(laid.x + 8, laid.height / 2, 10, 0, label.toUpperCase())
    drawing.drawText(laid.x, -18, 8, 0, `${laid.width} x ${laid.height} mm`)
  }
  return drawing.toDxfString()
}

/** What each side of the drawing keeps free for its words, mm. */
const FREE_MM = 20

/** The same as an SVG that cuts to scale: its width and height in millimetres, no styles from elsewhere. */
export function cutListSvg(panels: readonly PanelToCut[]): string {
  const all = layPanels(panels)
  const wide = Math.max(...all.map(({ x, width }) => x + width)) + 2 * FREE_MM
  const top = Math.max(...all.map(({ height }) => height))
  const high = top + 2 * FREE_MM
  const cut = 'fill="none" stroke="#000" stroke-width="0.3"'
  const shapes = all.map(({ panel, x, width, height, holes, notches }) => {
    const points = outlineOf({ x, width, height, notches })
      .map(([px, py]) => `${px},${top - py}`)
      .join(' ')
    const round = holes
      .map((hole) => `<circle cx="${hole.x}" cy="${top - hole.y}" r="${hole.r}" ${cut}/>`)
      .join('')
    const words = `<text x="${x}" y="${top + 8}" font-family="sans-serif" font-size="6">${panel.label}: ${width} x ${height} mm</text>`
    return `<polygon points="${points}" ${cut}/>${round}${words}`
  })
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${wide}mm" height="${high}mm" viewBox="${-FREE_MM} ${-FREE_MM} ${wide} ${high}">${shapes.join('')}</svg>
`
}

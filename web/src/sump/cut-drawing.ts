import type { building } from '@yew-basin/core'
import Drawing from 'dxf-writer'

/** Panels side by side on a sheet to cut from, mm; y upwards as a saw's table reads it. */
export interface LaidPanel {
  readonly panel: building.CutPanel
  readonly x: number
  readonly width: number
  readonly height: number
  /** Notches between the teeth, from the top edge down. */
  readonly notches: readonly {
    readonly x: number
    readonly width: number
    readonly depth: number
  }[]
  readonly hole: { readonly x: number; readonly y: number; readonly r: number } | null
}

const APART_MM = 60
const mm = (m: number) => Math.round(m * 10_000) / 10

/** The panels of a cut list in a row. */
export function layPanels(panels: readonly building.CutPanel[]): LaidPanel[] {
  let x = 0
  return panels.map((panel) => {
    const width = mm(panel.widthM)
    const laid: LaidPanel = {
      panel,
      x,
      width,
      height: mm(panel.heightM),
      notches: notchesOf(panel, x),
      hole: panel.pipe
        ? { x: x + width / 2, y: mm(panel.pipe.heightM - panel.footM), r: mm(panel.pipe.boreM) / 2 }
        : null,
    }
    x += width + APART_MM
    return laid
  })
}

function notchesOf({ teeth, widthM }: building.CutPanel, x: number): LaidPanel['notches'] {
  if (!teeth) return []
  const count = Math.floor(widthM / teeth.pitchM + 1e-9)
  const rest = (widthM - count * teeth.pitchM + (teeth.pitchM - teeth.slotWidthM)) / 2
  return Array.from({ length: count }, (_, k) => ({
    x: x + mm(rest + k * teeth.pitchM),
    width: mm(teeth.slotWidthM),
    depth: mm(teeth.heightM),
  }))
}

/** The outline of a panel, notches and all, from its lower left corner round. */
export function outlineOf({ x, width, height, notches }: LaidPanel): [number, number][] {
  const top = notches.flatMap(({ x: from, width: wide, depth }): [number, number][] => [
    [from, height],
    [from, height - depth],
    [from + wide, height - depth],
    [from + wide, height],
  ])
  return [[x, 0], [x, height], ...top, [x + width, height], [x + width, 0]]
}

/** The cut list as a DXF drawing in millimetres: outlines on one layer, words on another. */
export function cutListDxf(panels: readonly building.CutPanel[]): string {
  const drawing = new Drawing()
  drawing.setUnits('Millimeters')
  drawing.addLayer('cut', Drawing.ACI.WHITE, 'CONTINUOUS')
  drawing.addLayer('words', Drawing.ACI.GREEN, 'CONTINUOUS')
  for (const laid of layPanels(panels)) {
    drawing.setActiveLayer('cut')
    drawing.drawPolyline(outlineOf(laid), true)
    if (laid.hole) drawing.drawCircle(laid.hole.x, laid.hole.y, laid.hole.r)
    drawing.setActiveLayer('words')
    const { number } = laid.panel
    drawing.drawText(laid.x + 8, laid.height / 2, 10, 0, `WALL ${number}`)
    drawing.drawText(laid.x, -18, 8, 0, `${laid.width} x ${laid.height} mm`)
  }
  return drawing.toDxfString()
}

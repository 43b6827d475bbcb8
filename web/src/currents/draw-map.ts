import { WATER, type DyeFrame, type Field, type FieldFigure } from '@yew-basin/core'
import { layerOf, type CutName } from './cut.ts'
import { dyeColour, speedColour } from './speed-colour.ts'

/** What a map is of: a field's speeds, or a dye in it. */
export interface MapOf {
  readonly field: Field
  readonly figure: FieldFigure
  readonly deadMPerS: number
  /** null: the speeds. */
  readonly frame: DyeFrame | null
}

/** One pixel a cell; the page scales it smoothly. What is solid stays clear. */
export function drawMap(canvas: HTMLCanvasElement, name: CutName, atM: number, of: MapOf): void {
  const { grid } = of.field
  const layer = layerOf(name, grid, atM)
  canvas.width = layer.columns
  canvas.height = layer.rows
  const context = canvas.getContext('2d')
  if (!context) return
  const image = context.createImageData(layer.columns, layer.rows)
  for (let row = 0; row < layer.rows; row++)
    for (let column = 0; column < layer.columns; column++) {
      const cell = layer.cell(column, row)
      if (grid.fill[cell] !== WATER) continue
      const colour = of.frame
        ? dyeColour(of.frame.dye[cell]! / 255)
        : speedColour(of.field[of.figure][cell]!, of.deadMPerS)
      image.data.set([...colour, 255], (row * layer.columns + column) * 4)
    }
  context.putImageData(image, 0, 0)
}

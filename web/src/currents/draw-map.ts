import { ROCK, SAND, WATER, type DyeFrame, type Field, type FieldFigure } from '@yew-basin/core'
import { layerOf, type CutName } from './cut.ts'
import { dyeColour, speedColour, themeColour } from './speed-colour.ts'

/** What a map is of: a field's speeds, or a dye in it. */
export interface MapOf {
  readonly field: Field
  readonly figure: FieldFigure
  readonly deadMPerS: number
  /** null: the speeds. */
  readonly frame: DyeFrame | null
}

/** One pixel a cell; the page scales it smoothly. What is neither water, rock nor sand stays clear. */
export function drawMap(canvas: HTMLCanvasElement, name: CutName, atM: number, of: MapOf): void {
  const { grid } = of.field
  const layer = layerOf(name, grid, atM)
  canvas.width = layer.columns
  canvas.height = layer.rows
  const context = canvas.getContext('2d')
  if (!context) return
  const rock = themeColour('--rock')
  const sand = themeColour('--sand')
  const image = context.createImageData(layer.columns, layer.rows)
  for (let row = 0; row < layer.rows; row++)
    for (let column = 0; column < layer.columns; column++) {
      const cell = layer.cell(column, row)
      const fill = grid.fill[cell]!
      if (fill !== WATER && fill !== SAND && fill < ROCK) continue
      const colour = fill === SAND ? sand : fill >= ROCK ? rock : ofWater(of, cell)
      image.data.set([...colour, 255], (row * layer.columns + column) * 4)
    }
  context.putImageData(image, 0, 0)
}

function ofWater({ frame, field, figure, deadMPerS }: MapOf, cell: number) {
  return frame ? dyeColour(frame.dye[cell]! / 255) : speedColour(field[figure][cell]!, deadMPerS)
}

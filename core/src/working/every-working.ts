import type { BasinDesign } from '../design/index.ts'
import type { Judged } from '../judge/index.ts'
import { flatMap } from '../numeric/index.ts'
import type { AboutWhich } from './about.ts'
import { figureIsOf, type FigureName, type FigureOf, FIGURES, workingOf } from './registry.ts'
import type { Working } from './working.ts'

/** A working with what it is of. */
export interface WorkingOfPart {
  readonly figure: FigureName
  readonly of: FigureOf
  /** Of the tank, line, drain, chamber or device; null: of the whole design. */
  readonly id: string | null
  readonly working: Working
}

/** Every working a design has, of every one of its parts. */
export function everyWorking(design: BasinDesign, solved: Judged): WorkingOfPart[] {
  return flatMap(FIGURES, (figure) => {
    const of = figureIsOf(figure)
    return flatMap(partsOf(design, of), ({ id, which }) => {
      const working = workingOf(figure, { design, solved, ...which })
      return working ? [{ figure, of, id, working }] : []
    })
  })
}

interface Which {
  readonly id: string | null
  readonly which: AboutWhich
}

function partsOf({ tanks, returnSide, drains, sump }: BasinDesign, of: FigureOf): Which[] {
  switch (of) {
    case 'design':
      return [{ id: null, which: {} }]
    case 'tank':
      return tanks.map(({ id }) => ({ id, which: { tankId: id } }))
    case 'line':
      return returnSide.lines.map(({ id }) => ({ id, which: { lineId: id } }))
    case 'drain':
      return drains.map(({ id }) => ({ id, which: { drainId: id } }))
    case 'chamber':
      return sump.chambers.map(({ id }) => ({ id, which: { chamberId: id } }))
    case 'device':
      return sump.devices.map(({ id }) => ({ id, which: { deviceId: id } }))
  }
}

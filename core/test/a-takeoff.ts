import { aLine } from './a-basin.ts'
import { aLoop } from './a-loop.ts'
import type { BasinDesign } from '../src/index.ts'

/** From a tee up, over and deep into the tank. */
export const DEEP = 'up 300 mm, elbow, left 300 mm, down 160 mm'

/** The plain loop with a takeoff from its main line down into the second chamber. */
export function withTakeoff(line: string, tee: string): BasinDesign {
  const design = aLoop({ line })
  const chamberId = design.sump.chambers[1]!.id
  const typed = 'left 300 mm, elbow, down 300 mm'
  const takeoff = aLine('takeoff', { at: 'tee', id: tee }, typed, { at: 'chamber', id: chamberId })
  const [main] = design.returnSide.lines
  return { ...design, returnSide: { ...design.returnSide, lines: [main!, takeoff] } }
}

/** The same with the takeoff's end over no tank, far below the tank's water: the check valve below the tee holds nothing. */
export function astray(): BasinDesign {
  const design = withTakeoff(`check, up 300 mm, tee, ${DEEP}`, 'p3')
  const [main, takeoff] = design.returnSide.lines
  const out = {
    ...takeoff!,
    run: { ...takeoff!.run, pieces: takeoff!.run.pieces.slice(0, 1) },
    end: { ...takeoff!.end, at: 'tank' as const, id: 'tank' },
  }
  return { ...design, returnSide: { ...design.returnSide, lines: [main!, out] } }
}

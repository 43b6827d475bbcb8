import { aLoop } from '../a-loop.ts'
import { setTo } from '../../src/design/edit.ts'
import {
  applyEdits,
  type BasinDesign,
  type Edit,
  solveBasin,
  steadyState,
} from '../../src/index.ts'
import { layOut } from '../../src/layout/layout.ts'
import { expect, test } from '@jest/globals'

const UNDER = aLoop({ line: 'up 600 mm, elbow, left 300 mm, down 60 mm' })
const opened = (design: BasinDesign) => JSON.parse(JSON.stringify(design)) as BasinDesign
const figures = (design: BasinDesign) => JSON.stringify(solveBasin(design))

const EDITS: readonly (readonly [string, Edit])[] = [
  ['a pump', setTo(['returnSide', 'pumps', 0, 'outlet', 'xM'], 0.3)],
  ['a line', setTo(['returnSide', 'lines', 0, 'run', 'pieces', 0, 'lengthM'], 0.71)],
  ['a drain', setTo(['drains', 0, 'inlet', 'place', 'zM'], 1.02)],
  ['the rim', setTo(['tanks', 0, 'overflow', 'rimLengthM'], 0.2)],
  ['the water', setTo(['water', 'temperatureC'], 18)],
  ['a wall', setTo(['sump', 'walls', 0, 'topM'], 0.31)],
  ['the chamber of a pump', setTo(['returnSide', 'pumps', 0, 'chamberId'], otherChamberId())],
  ['what stands in a chamber', setTo(['sump', 'chambers', 0, 'footprintM2'], 0.02)],
  ['the chamber of a drain', setTo(['drains', 0, 'end', 'id'], UNDER.sump.chambers[1]!.id)],
]

/** A chamber that the loop's pump does not draw from. */
function otherChamberId(): string {
  const { sump, returnSide } = UNDER
  return sump.chambers.find(({ id }) => id !== returnSide.pumps[0]!.chamberId)!.id
}

test.each(EDITS)(
  'after %s changed, figures are those of a document never seen before, to the last digit',
  (_, edit) => {
    solveBasin(UNDER)
    const edited = applyEdits(UNDER, [edit])
    expect(figures(edited)).not.toBe(figures(UNDER))
    expect(figures(edited)).toBe(figures(opened(edited)))
    expect(figures(UNDER)).toBe(figures(opened(UNDER)))
  },
)

test('levels moved in place leave the network that laying it out anew would make', () => {
  const { design, layout, network, passes } = steadyState(UNDER)
  expect(passes).toBeGreaterThan(1)
  const anew = layOut(design)
  expect(layout.problem.nodes).toEqual(anew.problem.nodes)
  expect(layout.problem.links).toEqual(anew.problem.links)
  anew.problem.nodes.forEach(({ headM }, n) => {
    if (headM !== null) expect(network.nodeHead[n]).toBe(headM)
  })
})

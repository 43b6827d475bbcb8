import { aLoop } from '../a-loop.ts'
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
  ['a pump', { op: 'set', path: ['returnSide', 'pumps', 0, 'outlet', 'xM'], to: 0.3 }],
  [
    'a line',
    { op: 'set', path: ['returnSide', 'lines', 0, 'run', 'pieces', 0, 'lengthM'], to: 0.71 },
  ],
  ['a drain', { op: 'set', path: ['drains', 0, 'inlet', 'place', 'zM'], to: 1.02 }],
  ['the rim', { op: 'set', path: ['tanks', 0, 'overflow', 'rimLengthM'], to: 0.2 }],
  ['the water', { op: 'set', path: ['water', 'temperatureC'], to: 18 }],
  ['a wall', { op: 'set', path: ['sump', 'walls', 0, 'topM'], to: 0.31 }],
]

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

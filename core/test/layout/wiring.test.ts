import { aLoop } from '../a-loop.ts'
import { layLines } from '../../src/layout/lay-lines.ts'
import { layOut } from '../../src/layout/layout.ts'
import { wiringOf } from '../../src/layout/wiring.ts'
import { expect, test } from '@jest/globals'

const LOOP = aLoop({ line: 'up 600 mm, elbow, left 300 mm, down 60 mm' })

test('two pumps in one chamber draw from one node', () => {
  const [pump] = LOOP.returnSide.pumps
  const [line] = LOOP.returnSide.lines
  const second = { ...line!, id: 'second', start: { at: 'pump', id: 'spare' } as const }
  const design = {
    ...LOOP,
    returnSide: {
      ...LOOP.returnSide,
      pumps: [pump!, { ...pump!, id: 'spare' }],
      lines: [line!, second],
    },
  }
  const { links, nodes } = layOut(design).problem
  expect(links.map(({ from }) => from)).toEqual([0, 0])
  expect(nodes).toHaveLength(3)
})

test('is made anew when a pump goes to another chamber, and not when it goes faster', () => {
  const { fixed } = layLines(LOOP)
  const { pumps } = LOOP.returnSide
  const wiring = wiringOf(fixed, pumps)
  expect(wiringOf(fixed, [{ ...pumps[0]!, speed: 0.5 }])).toBe(wiring)
  const moved = wiringOf(fixed, [{ ...pumps[0]!, chamberId: 'elsewhere' }])
  expect(moved.nodes[0]!.chamberId).toBe('elsewhere')
})

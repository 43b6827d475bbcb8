import { describe, expect, test } from '@jest/globals'
import { DEMO_BASINS } from '../src/demo/basins.ts'
import { DESIGN_BODY, holdToBudget, SMALL_BODY } from '../src/http/body-budget.ts'

const held = (text: string, budget = { depth: 3, keys: 4, values: 5 }) => {
  try {
    holdToBudget(Buffer.from(text), budget)
    return null
  } catch (error) {
    return (error as Error).message
  }
}

describe('the text of a body', () => {
  test.each([
    ['a name', '{"name":"x"}', null],
    ['signs inside of text', String.raw`{"a":"{[,:\"{[,:\\"}`, null],
    ['text that never ends', '{"a":"', null],
    ['a deep nest', '[[[[', 'more than 3 levels'],
    ['as deep as it may be, twice', '[[[]]],[[[]]]', null],
    ['many properties', '{"a":1,"b":1,"c":1,"d":1,"e":1}', 'more than 4 properties'],
    ['many values', '[1,1,1,1,1,1,1]', 'more than 5 values'],
  ])('%s', (_, text, message) => {
    expect(held(text)?.includes(message ?? '-') ?? null).toBe(message === null ? null : true)
  })
  test('of the demo’s designs has room many times over', () => {
    for (const { design } of DEMO_BASINS) {
      const text = JSON.stringify({ design })
      const tenfold = JSON.stringify(Array(10).fill({ design }))
      expect([held(text, DESIGN_BODY), held(tenfold, DESIGN_BODY)]).toEqual([null, null])
      expect(held(`{"name":${JSON.stringify('a:b,c'.repeat(900))}}`, SMALL_BODY)).toBeNull()
    }
  })
})

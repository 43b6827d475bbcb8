import { describe, expect, test } from '@jest/globals'
import { readCurveCsv, unitsOf, writeCurveCsv } from '../src/parts/curve-csv.ts'

const GOOD = 'flow (L/h),head (m),power (W)\n0,3.2,30\n1000,2.5,38\n2000,1,42\n'
const faultsOf = (text: string) => {
  const read = readCurveCsv(text)
  return read.ok ? [] : read.faults
}

describe('a curve from a file', () => {
  test('is read in SI, with its power', () => {
    const read = readCurveCsv(GOOD)
    expect(read.ok && read.rows[1]).toEqual({
      flowM3PerS: expect.closeTo(1000 / 3.6e6, 12),
      headM: 2.5,
      powerW: 38,
    })
  })
  test.each([
    ['US units', 'flow gph,head ft\n0,10\n264.172,8', 1000 / 3.6e6, 8 * 0.3048],
    ['underscores', 'flow_L_h,head_m\n0,3\n1000,2', 1000 / 3.6e6, 2],
    ['semicolons, columns turned round', 'head (m);flow (L/min)\n3;0\n2;60', 1e-3, 2],
    ['no unit: metric', 'Flow,Head\n0,3\n1000,2', 1000 / 3.6e6, 2],
    ['tabs and decimal commas', 'flow\thead\n0\t3,2\n1000\t2', 1000 / 3.6e6, 2],
    [
      'semicolons, decimal commas, dots for thousands',
      'flow;head\n0;3,25\n1.000;2',
      1000 / 3.6e6,
      2,
    ],
    ['decimal commas in semicolons', 'flow;head\n0;3,0\n1000;2,0', 1000 / 3.6e6, 2],
    ['quoted thousands', 'flow,head\n0,3\n"1,000",2', 1000 / 3.6e6, 2],
    ['title lines', 'My pump, as printed\n2026\n\nflow,head\n0,3\n1000,2', 1000 / 3.6e6, 2],
    ['units in the cells', 'flow,head\n0 gph,10 ft\n264.172 gph,8 ft', 1000 / 3.6e6, 8 * 0.3048],
    ['other words', 'Q [L/h];H [m]\n0;3\n1000;2', 1000 / 3.6e6, 2],
    ['lines in any order', 'flow,head\n1000,2\n0,3', 1000 / 3.6e6, 2],
    ['a byte order mark and empty lines', '\uFEFFflow,head\n\n0,3\n\n1000,2\n\n', 1000 / 3.6e6, 2],
  ])('%s', (_, text, flow, head) => {
    const read = readCurveCsv(text)
    if (!read.ok) throw new Error(read.faults.join())
    expect(read.rows[1]!.flowM3PerS).toBeCloseTo(flow, 8)
    expect(read.rows[1]!.headM).toBeCloseTo(head, 8)
  })
  test.each([
    ['a word for a number', GOOD.replace('2.5', 'lots'), /Line 3, column 2 \(head\): “lots”/],
    ['a number missing', GOOD.replace('2000,1', ',1'), /Line 4, column 1 \(flow\): nothing/],
    ['a negative one', GOOD.replace('1000', '-1000'), /Line 3, column 1/],
    ['a unit nobody knows', GOOD.replace('(m)', '(ells)'), /Line 1, column 2: “head \(ells\)”/],
    ['no head at all', 'flow,pressure\n0,1\n1,0', /no column “head”/],
    [
      'a flow that is there twice',
      'flow,head\n1000,3\n1000,2',
      /Two points have the flow 1000 L.h/,
    ],
    ['a head that rises', 'flow,head\n0,2\n1000,3', /At 1000 L.h its head is not below/],
    ['a head that stays', 'flow,head\n0,2\n1000,2', /At 1000 L.h its head is not below/],
    ['one point', 'flow,head\n0,2', /two lines/],
    ['nothing', '\n\n', /empty/],
    ['far too much', `flow,head\n${'1,1\n'.repeat(90_000)}`, /too long/],
  ])('%s: nothing is read, and the place is named', (_, text, message) => {
    expect(faultsOf(text).join('\n')).toMatch(message)
  })
  test('without a header it asks, guesses what is which, and reads what it is told', () => {
    const text = 'My pump\n3.2;0;30\n2.5;1000;38\n1;2000;42\n'
    const asked = readCurveCsv(text)
    if (asked.ok || !('asks' in asked)) throw new Error('it did not ask')
    expect(asked.asks.sample).toHaveLength(3)
    expect(asked.asks.roles.map((role) => role?.name ?? null)).toEqual(['head', 'flow', null])
    const read = readCurveCsv(text, asked.asks.roles)
    expect(read.ok && read.rows.map(({ headM }) => headM)).toEqual([3.2, 2.5, 1])
    const [feet] = unitsOf('head').filter(({ label }) => label === 'ft')
    const inFeet = readCurveCsv(text, [{ name: 'head', unit: feet! }, asked.asks.roles[1]!, null])
    expect(inFeet.ok && inFeet.rows[1]!.headM).toBeCloseTo(2.5 * 0.3048, 9)
    expect(readCurveCsv(text, [null, asked.asks.roles[1]!, null])).toMatchObject({
      ok: false,
      faults: ['No column is its head.'],
    })
    expect(
      readCurveCsv(text, [asked.asks.roles[0]!, ...asked.asks.roles.slice(0, 2)]),
    ).toMatchObject({
      ok: false,
      faults: ['2 columns are its head; it has one.'],
    })
  })
  test('every bad place is named, not only the first', () => {
    expect(faultsOf('flow,head\nx,1\n1,y')).toHaveLength(2)
  })
  test('what is written reads back the same', () => {
    const read = readCurveCsv(GOOD)
    if (!read.ok) throw new Error('unreadable')
    const back = readCurveCsv(writeCurveCsv(read.rows))
    expect(back).toEqual(read)
    expect(writeCurveCsv(read.rows.map((row) => ({ ...row, powerW: null })))).toMatch(
      /^flow \(L\/h\),head \(m\)\r\n/,
    )
  })
})

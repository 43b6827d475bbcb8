import { expect, test } from '@jest/globals'
import { readNotation, writeNotation } from '../../src/run/notation.ts'
import { NOTATION_WORDS, plainWords } from '../../src/run/trade-words.ts'

const SIZE = { series: 'pn-16', size: '25', boreM: null } as const
const read = (line: string) => {
  let n = 0
  return readNotation(line, 'metric', { size: SIZE, pieces: [] }, () => `p${++n}`)
}
const written = (line: string) => {
  const answer = read(line)
  return answer.ok ? writeNotation(answer.pieces, 'metric') : answer.faults[0]!.message
}

test.each([
  ['ball valve 60%', 'ball 60%'],
  ['Gate valve', 'gate'],
  ['check valve', 'swing check'],
  ['spring check valve', 'spring check'],
  ['non-return valve', 'swing check'],
  ['90', 'elbow'],
  ['90 elbow', 'elbow'],
  ['90° elbow', 'elbow'],
  ['45 deg elbow', '45'],
  ['sweep elbow', 'sweep'],
  ['3 elbows', 'elbow, elbow, elbow'],
  ['2x union', 'union, union'],
  ['2 45s', '45, 45'],
  ['bulkhead fitting', 'bulkhead'],
  ['T piece', 'tee'],
  ['reducer to 20', 'to PN 16 20'],
  ['pipe 30 cm', 'up 300 mm'],
  ['left 10 cm, elbow, pipe 30 cm', 'left 100 mm, elbow, left 300 mm'],
  ['pipe down 30 cm', 'down 300 mm'],
])('%s is read as the trade says it', (typed, plain) => {
  expect(written(typed).toLowerCase()).toBe(plain.toLowerCase())
})

test('what begins no piece points at its words', () => {
  const line = 'up 300 mm,  upp 20 cm, elbow'
  const answer = read(line)
  if (answer.ok) throw new Error('it was read')
  const [{ fromIndex, toIndex, position }] = answer.faults as [(typeof answer.faults)[number]]
  expect(position).toBe(2)
  expect(line.slice(fromIndex, toIndex)).toBe('upp 20 cm')
  const many = read('40 elbows, 0 unions')
  expect(many.ok ? [] : many.faults.map((fault) => fault.position)).toEqual([1, 2])
})

test('every word that is offered begins a piece, and is left as it is', () => {
  for (const word of NOTATION_WORDS) {
    expect(plainWords(word, 'up')).toEqual([word])
    const answer = read(word)
    const starts = answer.ok || !answer.faults[0]!.message.includes('starts no piece')
    expect([word, starts]).toEqual([word, true])
  }
})

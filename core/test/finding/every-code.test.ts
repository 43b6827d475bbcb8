import { describe, expect, test } from '@jest/globals'
import { allFindings } from '../found.ts'
import { FINDING_CODES, type FindingCode } from '../../src/finding/codes.ts'
import { CASES } from './cases.ts'

const codes = (design: Parameters<typeof allFindings>[0]) =>
  allFindings(design).map(({ code }) => code)

describe('every code a rule can find', () => {
  test.each(Object.entries(CASES))(
    '%s fires where it should, and not where it should not',
    (code, example) => {
      expect(codes(example.fires)).toContain(code)
      expect(codes(example.silent)).not.toContain(code)
    },
  )
  test('is shown to fire and to be silent', () => {
    const shown = Object.keys(CASES)
    expect(FINDING_CODES.filter((code) => !shown.includes(code))).toEqual([])
    expect(shown.filter((code) => !FINDING_CODES.includes(code as FindingCode))).toEqual([])
  })
})

import { describe, expect, test } from '@jest/globals'
import { applyEdits } from '../../src/design/edit.ts'
import { RULES, sameFinding } from '../../src/finding/index.ts'
import { SEVERITIES } from '../../src/finding/severity.ts'
import { OTHERWISE } from '../../src/fix/otherwise.ts'
import { CASES } from '../finding/cases.ts'
import { allFindings, steadyFixes } from '../found.ts'

const stops = RULES.filter(({ severities }) => severities.includes('stop')).map(({ code }) => code)

test.each([...new Set(stops)])('%s, a stop, has words for when nothing mends it', (code) => {
  expect(OTHERWISE[code]).toBeDefined()
})

describe.each(Object.entries(CASES))('%s, where it fires', (code, { fires }) => {
  const findings = allFindings(fires)
  const asked = findings.filter(
    (finding) =>
      finding.severity === 'stop' || (finding.code === code && finding.severity !== 'fine'),
  )

  test('is mended by its first fix, and a stop without one says what would have to change', () => {
    for (const finding of asked) {
      const { fixes, otherwise } = steadyFixes(fires, finding)
      const [first] = fixes
      if (!first) {
        const says = otherwise !== null || finding.severity !== 'stop'
        expect([finding.code, says]).toEqual([finding.code, true])
        continue
      }
      const after = allFindings(applyEdits(fires, first.edits))
      const left = after.find((other) => sameFinding(other, finding))
      const mended =
        !left || SEVERITIES.indexOf(left.severity) > SEVERITIES.indexOf(finding.severity)
      expect([finding.code, mended]).toEqual([finding.code, true])
    }
  })
})

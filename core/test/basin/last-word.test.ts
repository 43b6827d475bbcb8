import { aLoop } from '../a-loop.ts'
import { DEEP, withTakeoff } from '../a-takeoff.ts'
import {
  type BasinDesign,
  drillVerdict,
  keyFigures,
  lastWord,
  say,
  solveBasin,
  steadyState,
  type Verdict,
} from '../../src/index.ts'
import { describe, expect, test } from '@jest/globals'

const UNDER = 'up 950 mm, elbow, left 300 mm, elbow, down 410 mm'
/** Nothing to speak of in its emergency's way but its lip, which stands too near the rim. */
const LATE = { 'drains.2.inlet.place.zM': 0.9995, 'tanks.0.lengthM': 3, 'tanks.0.rimM': 0.5 }

function bothWords(design: BasinDesign) {
  const steady = steadyState(design)
  const drills = lastWord.drillsWithTheLastWord(design)
  const verdicts = new Map<string, Verdict>(
    drills.map((drill) => [drill.id, drillVerdict(steady, drill)]),
  )
  const solved = solveBasin(design)
  return { solved, drilled: lastWord.withLastWord(solved, verdicts), verdicts }
}

const found = ({ findings }: ReturnType<typeof solveBasin>, code: string) =>
  findings.find((finding) => finding.code === code)

describe('the drill has the last word', () => {
  test('where both say the same, nothing changes but the margins beside', () => {
    const { solved, drilled } = bothWords(aLoop())
    expect(drilled.findings).toEqual(solved.findings)
    for (const { verdict, drilled: word } of drilled.overflows[0]!.blocked) {
      expect(verdict).not.toBe('stop')
      expect(word!.outcome).toBe('dry')
      expect(word!.marginOf).toBe('Tank')
    }
  })

  test('what stands as fine or watch, and ends wet, is a stop in one sentence', () => {
    const { solved, drilled } = bothWords(aLoop({ line: `check, ${UNDER}` }))
    expect(found(solved, 'check-valve-only-guard')!.severity).toBe('watch')
    const stop = found(drilled, 'check-valve-only-guard')!
    expect(stop.severity).toBe('stop')
    expect(say(stop.title, 'metric')).toMatch(/stuck open: .* reach the floor; .* runs over after/)
    expect(drilled.findings[0]).toBe(stop)
  })

  test('a blocked pipe whose water floods the sump is a stop, at the drains too', () => {
    const { solved, drilled } = bothWords(withTakeoff(`check, up 300 mm, tee, ${DEEP}`, 'p3'))
    expect(solved.overflows[0]!.blocked.every(({ verdict }) => verdict === 'stop')).toBe(false)
    expect(drilled.overflows[0]!.blocked.every(({ verdict }) => verdict === 'stop')).toBe(true)
    const figure = keyFigures(drilled).find(({ id }) => id === 'drain')!
    expect(figure.state).toBe('stop')
    expect(figure.value.si).toBe(0)
    expect(drilled.sump.outage!.fillLineM).toBeNull()
  })

  test('a stop whose pump runs out of water first is a watch, and says what saves it', () => {
    const { solved, drilled } = bothWords(aLoop({ changes: LATE }))
    expect(found(solved, 'emergency-cannot-carry')!.severity).toBe('stop')
    const watch = found(drilled, 'emergency-cannot-carry')!
    expect(watch.severity).toBe('watch')
    expect(say(watch.title, 'metric')).toMatch(
      /comes over the rim, but Return chamber is empty after/,
    )
  })

  test('is the same in one go', () => {
    const design = aLoop({ line: `check, ${UNDER}` })
    expect(lastWord.solveWithLastWord(design)).toEqual(bothWords(design).drilled)
  })

  test('none where nothing can be drilled', () => {
    const bare = { ...aLoop(), drains: [] }
    expect(lastWord.drillsWithTheLastWord(bare)).toEqual([])
    expect(lastWord.solveWithLastWord(bare)).toEqual(solveBasin(bare))
  })
})

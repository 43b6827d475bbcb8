import { describe, expect, test } from '@jest/globals'
import { STATE_OF, type Playback } from '@yew-basin/core'
import { effectScope, shallowRef } from 'vue'
import { FIRST_S, shareOfTime, timeOfShare, timeWords } from '../src/drills/drill-chart.ts'
import { OUTCOME_WORDS, RATES } from '../src/drills/drill-words.ts'
import { usePlayer, type Player } from '../src/drills/use-player.ts'

describe('time along the chart', () => {
  const endS = 7200
  test('runs on a logarithm from the first tenth of a second to the end', () => {
    expect(shareOfTime(0, endS)).toBe(0)
    expect(shareOfTime(FIRST_S, endS)).toBe(0)
    expect(shareOfTime(endS, endS)).toBe(1)
    expect(shareOfTime(1, endS)).toBeLessThan(shareOfTime(60, endS))
  })
  test.each([0.2, 3, 64, 900, 7000])('%d s is where it is clicked', (timeS) => {
    expect(timeOfShare(shareOfTime(timeS, endS), endS)).toBeCloseTo(timeS, 6)
  })
  test('outside the frame is its nearest end', () => {
    expect(timeOfShare(-0.3, endS)).toBe(0)
    expect(timeOfShare(1.4, endS)).toBeCloseTo(endS, 6)
  })
  test('is written in the unit that fits', () => {
    expect([0.1, 5, 600, 7200, 200_000].map(timeWords)).toEqual([
      '0.1 s',
      '5 s',
      '10 min',
      '2 h',
      '2 d',
    ])
  })
})

describe('playing', () => {
  const playback = (timesS: number[]): Playback => ({
    drillId: 'd',
    vessels: [],
    timesS: Float64Array.from(timesS),
    levelsM: new Float64Array(),
    returnFlows: new Float64Array(),
    links: 0,
    endLinks: [],
    drainFlows: new Float64Array(),
    drains: 0,
    spilledM3: new Float64Array(),
    log: [],
  })
  function aPlayer(timesS: number[]) {
    const played = shallowRef<Playback | null>(playback(timesS))
    let player!: Player
    const scope = effectScope()
    scope.run(() => (player = usePlayer(played)))
    return { player, played, scope }
  }
  test('steps from moment to moment and stays inside', () => {
    const { player, scope } = aPlayer([0, 1, 10, 100])
    player.step(1)
    expect(player.timeS.value).toBe(1)
    player.goToMoment(9)
    expect(player.timeS.value).toBe(100)
    player.step(1)
    expect(player.timeS.value).toBe(100)
    player.step(-1)
    expect([player.timeS.value, player.at.value]).toEqual([10, 2])
    player.goTo(-5)
    expect(player.timeS.value).toBe(0)
    scope.stop()
  })
  test('a time between two moments is at the earlier one', () => {
    const { player, scope } = aPlayer([0, 1, 10])
    player.goTo(5)
    expect([player.timeS.value, player.at.value]).toEqual([5, 1])
    scope.stop()
  })
  test('play after the end begins anew, and pause holds', () => {
    const { player, scope } = aPlayer([0, 1, 10])
    player.goTo(10)
    player.play()
    expect([player.playing.value, player.timeS.value]).toEqual([true, 0])
    player.stop()
    expect(player.playing.value).toBe(false)
    scope.stop()
  })
})

test('every outcome has its mark and its words, every rate a label', () => {
  expect(Object.keys(STATE_OF).sort()).toEqual(Object.keys(OUTCOME_WORDS).sort())
  expect(new Set(RATES.map(({ label }) => label)).size).toBe(RATES.length)
})

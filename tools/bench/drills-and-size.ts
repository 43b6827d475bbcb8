import { allDrills, drillVerdict, size, solveBasin, steadyState, surviving } from '@yew-basin/core'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { SAMPLE_PUMPS } from '../../server/src/demo/pumps.ts'

const designOf = (wanted: string) => DEMO_BASINS.find(({ name }) => name === wanted)!.design
/** All single-failure drills of Two Sisters, in one thread, each in every way nobody can tell. */
const DRILLS_MS = 300
/** 20 000 candidates of a search over designs. */
const SIZED_MS = 2000

/** Times one search over designs; false: it is late. */
export function sizedInTime(): boolean {
  const design = designOf('Lantern')
  const wantedByTank = Object.fromEntries(
    solveBasin(design).tanks.map((tank) => [tank.tankId, tank.wantedFlowM3PerS]),
  )
  const values = { quiet: 2, power: 2, price: 1, reserve: 1, fewSizes: 1 }
  let ids = 0
  const wish = { design, pumpIndex: 0, wantedByTank, shelf: SAMPLE_PUMPS, values }
  const begun = performance.now()
  let lookedAt = begun
  const { looked, reaching, options } = size(
    wish,
    () => `bench-${++ids}`,
    (done, of) => {
      if (done * 2 <= of) lookedAt = performance.now()
    },
  )
  const sizedMs = lookedAt - begun
  const drilledMs = performance.now() - lookedAt
  const per20000Ms = (sizedMs / looked) * 20_000
  console.log(
    `size it: ${looked} candidates of Lantern in ${sizedMs.toFixed(0)} ms, ${reaching} reach it; 20 000 take ${per20000Ms.toFixed(0)} ms   budget ${SIZED_MS} ms; ${options.length} options ranked and drilled in ${drilledMs.toFixed(0)} ms`,
  )
  if (per20000Ms > SIZED_MS) console.error('size it is over its budget')
  return per20000Ms <= SIZED_MS
}

/** Times every single failure of Two Sisters, the quietest of a few rounds; false: it is late. */
export function drilledInTime(): boolean {
  const sisters = steadyState(designOf('Two Sisters'))
  const singles = surviving.singleFailures(allDrills(sisters))
  const rounds = Array.from({ length: 3 }, () => {
    const started = performance.now()
    const simulatedS = singles.reduce((sum, drill) => sum + drillVerdict(sisters, drill).endS, 0)
    return { ms: performance.now() - started, simulatedS }
  })
  const ms = Math.min(...rounds.map((round) => round.ms))
  const perS = Math.round(rounds[0]!.simulatedS / (ms / 1000)).toLocaleString('en')
  console.log(
    `drills: ${singles.length} single failures of Two Sisters in ${ms.toFixed(0)} ms, ${perS} s of theirs in one of ours   budget ${DRILLS_MS} ms`,
  )
  if (ms > DRILLS_MS) console.error('the drills are over their budget')
  return ms <= DRILLS_MS
}

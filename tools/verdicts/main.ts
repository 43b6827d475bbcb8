import { randomDesign } from '../../core/test/judge/random-design.ts'
import { holdsOf, movedByHalving } from '../../core/test/judge/verdicts-hold.ts'
import { allDrills, steadyState } from '@yew-basin/core'

/** So many likely designs, from a seed on. */
const [most = '1', first = '1'] = process.argv.slice(2)

/** Asked for by itself, and no part of the tests. */
const isLong = Number(most) >= 100
const faults: string[] = []
let drills = 0
let alike = 0
const otherwise: string[] = []
const begun = performance.now()
for (let seed = Number(first); seed < Number(first) + Number(most); seed++) {
  const design = randomDesign(seed)
  const held = holdsOf(design, `design ${seed}`)
  const drilled = allDrills(steadyState(design))
  // Each drill twice over; where few designs are looked at, of most of them the one that switches most.
  const halved = drilled.filter(({ id }) => isLong || seed % 20 === 0 || id === 'power-back')
  faults.push(...held.faults)
  faults.push(...movedByHalving(design, halved).map((fault) => `design ${seed} ${fault}`))
  drills += held.drills
  alike += held.alike
  otherwise.push(...held.otherwise)
  if (seed % 20 === 0) console.log(`· ${seed - Number(first) + 1} of ${most} designs`)
}
for (const fault of [...faults, ...otherwise]) console.error(fault)
console.log(
  `${most} designs, ${drills} drills in ${((performance.now() - begun) / 1000).toFixed(0)} s: ${faults.length} faults; steady state and drill alike in ${alike}, otherwise in ${otherwise.length}`,
)
if (faults.length > 0) process.exitCode = 1

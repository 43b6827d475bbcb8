import { randomDesign } from '../../core/test/judge/random-design.ts'
import { followFixes } from '../../core/test/fix/follow-fixes.ts'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { bareBasins } from './bare.ts'
import { DRILLED_CODES } from '@yew-basin/core/lab'
import { type BasinDesign, type Finding, lastWord, say, solveBasin } from '@yew-basin/core'

/** So many likely designs, from a seed on, and the demo and bare basins where they are asked for; a line of JSON for each. */
const [most = '1', first = '1', known] = process.argv.slice(2)

const told = (findings: readonly Finding[]) =>
  findings
    .filter(({ severity }) => severity !== 'fine')
    .map(({ code, severity }) => ({ code, severity }))

/** How many steady stops a drill was asked about, and how many of those it confirms. */
function confirmed(design: BasinDesign) {
  const stops = (findings: readonly Finding[]) =>
    findings.filter(({ code, severity }) => severity === 'stop' && DRILLED_CODES.has(code)).length
  return {
    asked: stops(solveBasin(design).findings),
    wet: stops(lastWord.solveWithLastWord(design).findings),
  }
}

function follow(name: string, design: BasinDesign, isKnown: boolean): void {
  const { before, after, steps, left } = followFixes(design)
  console.log(
    JSON.stringify({
      name,
      known: isKnown,
      before: told(before),
      after: told(after),
      ...confirmed(design),
      steps: steps.map(({ code, fix }) => `${code}: ${say(fix.label, 'metric')}`),
      left: left.map(({ code, title }) => `${code}: ${say(title, 'metric')}`),
    }),
  )
}

if (known) {
  for (const { name, design } of [...DEMO_BASINS, ...bareBasins()]) follow(name, design, true)
}
for (let seed = Number(first); seed < Number(first) + Number(most); seed++) {
  follow(`design ${seed}`, randomDesign(seed), false)
}

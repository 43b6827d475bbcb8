import { writeFileSync } from 'node:fs'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { coverage, type EndCoverage, MODELS } from './coverage.ts'
import { designNetwork } from './design-network.ts'
import { randomNetwork } from './random-network.ts'
import { bandsTable } from './table.ts'

const DRAWS = 2000
const NETWORKS = 200
const SEED = 1000
/** No end's band may hold less of a hundred draws. */
const LEAST = 93
const WIDEST_MEDIAN = 1.3

const networks = [
  ...DEMO_BASINS.map(({ name, design }) => designNetwork(name, design)),
  ...Array.from({ length: NETWORKS }, (_, i) => randomNetwork(i + 1)),
]
const ends: EndCoverage[] = []
networks.forEach((network, i) => {
  ends.push(...coverage(network, DRAWS, SEED + i))
  if ((i + 1) % 20 === 0) console.log(`· ${i + 1} of ${networks.length} networks`)
})
const [file] = process.argv.slice(2)
const { text, least, medianWidth } = bandsTable(ends, { draws: DRAWS, networks: NETWORKS })
if (file) writeFileSync(file, text)
console.log(
  `${ends.length} ends, ${MODELS.length} × ${DRAWS} draws: the least holds ${least.toFixed(1)} of 100, median width ${medianWidth.toFixed(2)}`,
)
if (least < LEAST || medianWidth > WIDEST_MEDIAN) process.exitCode = 1

import { allDrills, steadyState, drillVerdict, say, logWords } from '@yew-basin/core'
import { readBasinFile } from '@yew-basin/contract'
import { readFileSync } from 'node:fs'
import { DEMO_BASINS } from '../server/src/demo/basins.ts'
const read = readBasinFile(readFileSync('contract/test/frozen/format-8.json','utf8'))
if (!read.ok) throw new Error('x')
for (const [name, d] of [['frozen', read.value.designs[0]!.design], ...DEMO_BASINS.map(b => [b.name, b.design])] as [string, any][]) {
  const s = steadyState(d)
  const rows = allDrills(s).map(dr => { const t = performance.now(); const v = drillVerdict(s, dr); return [performance.now()-t, dr.id, v.outcome, v.log.length, v.endS, say(v.said,'metric')] as const })
  console.log(name, rows.length, rows.reduce((a,r)=>a+r[0],0).toFixed(0), 'ms')
  for (const r of [...rows].sort((a,b)=>b[0]-a[0]).slice(0,6)) console.log('   ', r[0].toFixed(0), ...r.slice(1))
  for (const r of rows.filter(r=>r[1].startsWith('leak'))) console.log('   ', r[0].toFixed(0), ...r.slice(1))
}

import { motionAt, sectionOf, type Jet } from '@yew-basin/core/lab'
import { writeFileSync } from 'node:fs'
import { planField, simulateField, type FlowDomain } from '@yew-basin/core'
import { cavity, channel, GHIA } from '../../core/test/lattice/a-lattice.ts'

import { plotSvg, type Plot } from './chart.ts'

const WATER = '#3e7c86'
const NEEDLE = '#23483c'
const RESIN = '#b7791f'

function write(name: string, plot: Plot): void {
  writeFileSync(
    new URL(`../../docs/model/plots/${name}.svg`, import.meta.url),
    `${plotSvg(plot)}\n`,
  )
  console.log(`docs/model/plots/${name}.svg`)
}

const shares = Array.from({ length: 97 }, (_, i) => 0.02 + (0.96 * i) / 96)

for (const reynolds of [100, 400] as const) {
  const { lattice, speeds, roundSteps } = cavity(66, reynolds)
  lattice.run(40 * roundSteps)
  const { u, v } = speeds()
  write(`cavity-${reynolds}`, {
    title: `Lid-driven cavity, Reynolds number ${reynolds}, 66 × 66 cells`,
    across: 'share of the height, or of the width',
    up: 'speed over the lid’s',
    series: [
      {
        name: 'u up the middle',
        kind: 'line',
        colour: WATER,
        points: shares.map((y) => [y, u(y)]),
      },
      {
        name: 'v along the middle',
        kind: 'line',
        colour: RESIN,
        points: shares.map((x) => [x, v(x)]),
      },
      {
        name: 'Ghia, Ghia & Shin, u',
        kind: 'dots',
        colour: WATER,
        points: GHIA.y.map((y, i) => [y, GHIA.u[reynolds][i]!]),
      },
      {
        name: 'Ghia, Ghia & Shin, v',
        kind: 'dots',
        colour: RESIN,
        points: GHIA.x
          .map((x, i) => [x, GHIA.v[reynolds][i]!] as const)
          .filter(([, speed]) => !Number.isNaN(speed)),
      },
    ],
  })
}

const { found, law } = channel(22)
write('channel', {
  title: 'Water driven between two panels, 22 cells apart',
  across: 'cell from the panel',
  up: 'speed over the fastest',
  series: [
    {
      name: 'parabola',
      kind: 'line',
      colour: NEEDLE,
      points: law.map((other, i) => [i + 0.5, other]),
    },
    {
      name: 'lattice',
      kind: 'dots',
      colour: WATER,
      points: found.map((other, i) => [i + 0.5, other]),
    },
  ],
})

/** A jet in a wide box of water, its field standard. */
function freeJet(slot: Jet['slot']): readonly (readonly [number, number])[] {
  const size = slot
    ? { lengthM: 1.4, widthM: 0.8, depthM: 0.8 }
    : { lengthM: 0.9, widthM: 0.5, depthM: 0.5 }
  const jet = jetOf(slot)
  const stream = {
    id: 'jet',
    name: 'jet',
    from: 'pump',
    flowM3PerS: 0,
    pattern: null,
    jet,
  } as const
  const domain: FlowDomain = {
    ...size,
    sandDepthM: 0,
    rocks: [],
    box: null,
    mouth: null,
    streams: [stream],
    ranges: [],
  }
  // Before the box's own water has come round: the law is of open water, and against a stream that comes back none holds.
  const open = { settleSteps: 3000, watchSteps: 1000, begins: null }
  const field = simulateField({ ...planField(domain, 'standard')!, ...open })
  return distancesOf(slot).map((xM) => [xM, motionAt(field, { ...jet.from, x: 0.06 + xM }).x])
}
function jetOf(slot: Jet['slot']): Jet {
  const boreM = slot ? Math.sqrt((4 / Math.PI) * slot.lengthM * slot.widthM) : 0.06
  const middle = slot ? 0.4 : 0.25
  const from = { x: 0.06, y: middle, z: middle }
  return { from, towards: { x: 1, y: 0, z: 0 }, exitSpeedMPerS: 0.8, boreM, slot }
}
/** As far as the end panel does nothing. */
function distancesOf(slot: Jet['slot']): number[] {
  return Array.from({ length: slot ? 50 : 35 }, (_, i) => 0.06 + 0.02 * i)
}
const SLOT = { lengthM: 0.2, widthM: 0.016, along: { x: 0, y: 0, z: 1 } }
for (const [name, title, slot] of [
  ['round-jet', 'A free round jet, 60 mm at 0.8 m/s, standard field', null],
  ['plane-jet', 'A free sheet of water, 200 × 16 mm at 0.8 m/s, standard field', SLOT],
] as const) {
  const laws = distancesOf(slot).map(
    (xM) => [xM, sectionOf(jetOf(slot), xM).centrelineMPerS] as const,
  )
  const band = (factor: number) => laws.map(([xM, speed]) => [xM, factor * speed] as const)
  write(name, {
    title,
    across: 'distance, m',
    up: 'speed on the middle line, m/s',
    series: [
      { name: 'field', kind: 'line', colour: WATER, points: freeJet(slot) },
      { name: 'law', kind: 'line', colour: NEEDLE, points: laws },
      { name: 'law less 15 %', kind: 'dashes', colour: RESIN, points: band(0.85) },
      { name: 'law and 15 %', kind: 'dashes', colour: RESIN, points: band(1.15) },
    ],
  })
}

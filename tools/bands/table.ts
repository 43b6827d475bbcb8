import { type EndCoverage, MODELS } from './coverage.ts'

const L_PER_H = 3.6e6

/** The table of docs/model/bands.md, with what it comes to. */
export function bandsTable(
  ends: readonly EndCoverage[],
  asked: { readonly draws: number; readonly networks: number },
): { text: string; least: number; mean: number; medianWidth: number } {
  const leastOf = ({ inside }: EndCoverage) => Math.min(...MODELS.map((model) => inside[model]))
  const worst = [...ends].sort((a, b) => leastOf(a) - leastOf(b))
  const widths = ends.map(({ width }) => width).sort((a, b) => a - b)
  const medianWidth = widths[Math.floor(widths.length / 2)]!
  const all = ends.flatMap(({ inside }) => MODELS.map((model) => inside[model]))
  const mean = all.reduce((sum, share) => sum + share, 0) / all.length
  const least = leastOf(worst[0]!)
  const demo = ends.filter(({ network }) => !network.startsWith('network '))
  const text = `# Do the bands hold?

\`npm run bands\` draws every uncertain thing of a network by lot, ${asked.draws} times under each of three models, and counts
how many of a hundred draws lie inside the band that the core prints for each end (hydraulics: a link that touches a known head):
**each** thing wrong by itself, all things of a **kind** wrong alike, all pieces wrong **together**; pumps always by themselves.
Levels are held. Seeded; the same table comes out again.

- ${ends.length} ends of the demo basins and of ${asked.networks} random networks.
- The least that any end's band holds: ${least.toFixed(1)} of 100. The mean over all ends and models: ${mean.toFixed(1)}.
- Width (the band over half of the widest of the three models' central 95 % ranges): median ${medianWidth.toFixed(2)}, from ${widths[0]!.toFixed(2)} to ${widths.at(-1)!.toFixed(2)}.

## The demo basins

${rows(demo)}

## The twenty that hold least

${rows(worst.slice(0, 20))}
`
  return { text, least, mean, medianWidth }
}

function rows(ends: readonly EndCoverage[]): string {
  const head =
    '| network | link | L/h | band | each | kind | together | width |\n|---|---|---|---|---|---|---|---|'
  const lines = ends.map(({ network, end, flowM3PerS, bandM3PerS, inside, width }) => {
    const flow = (value: number) => (value * L_PER_H).toFixed(0)
    const shares = MODELS.map((model) => inside[model].toFixed(1)).join(' | ')
    return `| ${network} | ${end} | ${flow(flowM3PerS)} | ± ${flow(bandM3PerS)} | ${shares} | ${width.toFixed(2)} |`
  })
  return [head, ...lines].join('\n')
}

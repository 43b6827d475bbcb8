import type { SolvedDrain, SolvedTrap } from '../../figures/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Whole } from '../case/whole.ts'
import { SEEN_BUBBLE_M } from '../limits.ts'
import { factIf, rule } from '../rule.ts'

/** A drain that falls into the return chamber itself, with nothing to part its bubbles from the pump. */
function bareDrain({ sump, drains, design }: Whole): SolvedDrain | undefined {
  if (!design.sump.box) return undefined
  return drains.find(
    ({ chamberId, flowM3PerS, drainId }) =>
      chamberId === sump.returnChamberId &&
      flowM3PerS > 0 &&
      design.drains.find(({ id }) => id === drainId)?.end.landing === 'open',
  )
}

export const drainsBesidePump = rule({
  code: 'bubbles-reach-pump',
  station: 'sump',
  severities: ['watch'],
  holds: 'Bubbles that are seen in the display are carried to the pump.',
  condition: (whole: Whole) => factIf(bareDrain(whole)),
  title: () => sentence('Drains end beside the pump: bubbles go round'),
  reason: () =>
    sentence(
      'Nothing parts the water that falls in from the water that is drawn. A sock, a wall or a bubble trap between them lets the air out.',
    ),
  where: (_, { drainId }) => ({ drainId }),
})

/** The trap whose water goes down slowest; null: the sump has none. */
function bestTrap({
  sump,
}: Whole): { readonly chamberId: string; readonly trap: SolvedTrap } | null {
  let best: { chamberId: string; trap: SolvedTrap } | null = null
  for (const { chamberId, trap } of sump.chambers) {
    if (trap && (!best || trap.downMPerS < best.trap.downMPerS)) best = { chamberId, trap }
  }
  return best
}

export const bubblesGoDownTrap = rule({
  code: 'bubbles-reach-pump',
  station: 'sump',
  severities: ['watch'],
  holds: 'Bubbles that are seen in the display are carried to the pump.',
  condition: (whole: Whole) => {
    const best = bareDrain(whole) ? null : bestTrap(whole)
    const largest = best?.trap.largestBubbleM ?? null
    return factIf(largest !== null && largest <= SEEN_BUBBLE_M ? null : best)
  },
  title: (_, { trap: { largestBubbleM } }) =>
    largestBubbleM === null
      ? sentence('All bubbles go down the trap')
      : sentence('Bubbles up to {size} go down the trap', { size: ['length', largestBubbleM] }),
  reason: (_, { trap }) =>
    sentence(
      'Water goes down it at {speed}: what rises slower goes along to the pump. A wider gap slows it.',
      { speed: ['speed', trap.downMPerS] },
    ),
  where: (_, { chamberId }) => ({ chamberId }),
})

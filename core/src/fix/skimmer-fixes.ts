import { setTo } from '../design/index.ts'
import {
  cupStaysOn,
  type SkimmerCase,
  skimmerDepthOff,
  skimmerWithoutWater,
} from '../finding/index.ts'
import { type Sentence, sentence, toMillimetre } from '../quantity/index.ts'
import type { SkimmerDepth } from '../skimmer/index.ts'
import { depthIn, wallForDepth } from './chamber-depth.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import type { Trial, Trials } from './trial.ts'

/** What brings a skimmer to its depth and lets its cup come off. */
export const SKIMMER_FIXES: readonly FindingFixes[] = [
  fixesFor(skimmerDepthOff, (skimmerCase, depth, trials) => [
    ...stand(skimmerCase, depth),
    ...wall(skimmerCase, depth, trials),
  ]),
  fixesFor(cupStaysOn, lowered),
  fixesFor(skimmerWithoutWater, ({ whole, index }) =>
    whole.design.sump.chambers
      .filter(({ use }) => use === 'skimmer' || use === 'socks' || use === 'drain-entry')
      .map(({ id, name }) => ({
        label: sentence('Stand it in {chamber}', { chamber: name }),
        brings: () => sentence('It then works on that chamber’s water.'),
        edits: [setTo(['sump', 'devices', index, 'chamberId'], id)],
      })),
  ),
]

const chamberIndex = ({ device, whole }: SkimmerCase) =>
  whole.design.sump.chambers.findIndex(({ id }) => id === device.chamberId)

const suits = ({ leastM, mostM }: SkimmerDepth, depthM: number) =>
  depthM >= leastM && depthM <= mostM

const standAt = ({ index }: SkimmerCase, standM: number) =>
  setTo(['sump', 'devices', index, 'standM'], standM)

/** The depth it comes to, and what that leaves over the cup where the cabinet is given. */
function brings(depthM: number, leftM: number | null): Sentence {
  const depth = ['length', depthM] as const
  if (leftM === null) return sentence('Brings the water over its foot to {depth}.', { depth })
  return leftM < 0
    ? sentence(
        'Brings the water over its foot to {depth}; the cup then lacks {short} to come off.',
        { depth, short: ['length', -leftM] },
      )
    : sentence(
        'Brings the water over its foot to {depth}, and leaves {left} over the raised cup.',
        { depth, left: ['length', leftM] },
      )
}

function stand(skimmerCase: SkimmerCase, found: SkimmerDepth): FindingCandidate[] {
  const { device, skimmer } = skimmerCase
  const standM = toMillimetre(found.standM)
  const depthM = found.depthM + device.standM - standM
  if (standM === device.standM || !suits(found, depthM)) return []
  const { aboveCupM } = skimmer
  return [
    {
      label:
        standM > 0
          ? sentence('Cut a stand of {stand}', { stand: ['length', standM] })
          : sentence('Take the stand away'),
      brings: () => brings(depthM, aboveCupM === null ? null : aboveCupM + device.standM - standM),
      edits: [standAt(skimmerCase, standM)],
    },
  ]
}

/** The wall by which its chamber's water leaves, set for it where that works. */
function wall(skimmerCase: SkimmerCase, found: SkimmerDepth, trials: Trials): FindingCandidate[] {
  const index = chamberIndex(skimmerCase)
  const set = wallForDepth(skimmerCase.whole, index, found.wantedChamberDepthM)
  const depthIn_ = (after: Trial) => depthIn(after, index) - skimmerCase.device.standM
  if (!set || !suits(found, depthIn_(trials.of(set.edits)))) return []
  return [
    {
      label: sentence('Make its wall {top} high', { top: ['length', set.topM] }),
      brings: (after) => brings(depthIn_(after), skimmerCase.skimmer.aboveCupM),
      edits: set.edits,
    },
  ]
}

/** A lower stand, and the wall with it where the water would then be too deep. */
function lowered(skimmerCase: SkimmerCase, aboveCupM: number, trials: Trials): FindingCandidate[] {
  const { device, whole, skimmer } = skimmerCase
  const found = skimmer.depth
  // Cut down to whole millimetres, so that the cup really comes off.
  const standM = Math.floor((device.standM + aboveCupM) * 1000 + 1e-6) / 1000
  if (standM < 0) return []
  const leftM = aboveCupM + device.standM - standM
  const lower = standAt(skimmerCase, standM)
  if (found === null || suits(found, found.depthM + device.standM - standM)) {
    return [
      {
        label: sentence('Cut its stand to {stand}', { stand: ['length', standM] }),
        brings: () => sentence('Leaves {left} over the raised cup.', { left: ['length', leftM] }),
        edits: [lower],
      },
    ]
  }
  const index = chamberIndex(skimmerCase)
  const wantedM = (found.leastM + found.mostM) / 2 + standM
  const set = wallForDepth(whole, index, wantedM, [lower])
  const depthAfter = (after: Trial) => depthIn(after, index) - standM
  if (!set || !suits(found, depthAfter(trials.of(set.edits)))) return []
  return [
    {
      label: sentence('Cut its stand to {stand} and make its wall {top} high', {
        stand: ['length', standM],
        top: ['length', set.topM],
      }),
      brings: (after) => brings(depthAfter(after), leftM),
      edits: set.edits,
    },
  ]
}

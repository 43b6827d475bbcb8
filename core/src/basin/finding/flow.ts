import { sentence, type Sentence } from '../../quantity/sentence.ts'
import { overspeedFixes, reachFixes, SHORT_SHARE, startFixes } from './flow-fixes.ts'
import type { Finding, FindingCode, Fix, Severity, Solving } from './finding.ts'

/** Above it a little more does no harm; past this it costs power and noise (choice). */
const PAST_SHARE = 0.25
/** Below half of what is wanted the design does not do its job (choice). */
const STOP_SHARE = 0.5

/** Does the water flow, and as much as is wanted? Exactly one of these holds. */
export function flowFindings(solving: Solving): Finding[] {
  switch (solving.returnSide.status) {
    case 'shut':
      return [valveShut(solving)]
    case 'no-lift':
      return [noLift(solving)]
    case 'flows-back':
      return [flowsBack(solving)]
    case 'unsettled':
      return [unsettledFinding()]
    case 'flows':
      return [againstWanted(solving)]
  }
}

function finding(
  code: FindingCode,
  severity: Severity,
  title: Sentence,
  reason: Sentence,
  fixes: readonly Fix[] = [],
  pieceId: string | null = null,
): Finding {
  return { code, severity, stop: 'return', title, reason, pieceId, fixes }
}

function valveShut({ design, layout }: Solving): Finding {
  const index = layout.losses.findIndex((loss) => loss.shut)
  const edits = layout.losses.flatMap((loss, at) =>
    loss.shut
      ? [{ op: 'set' as const, path: ['returnSide', 'run', 'pieces', at, 'opening'], to: 1 }]
      : [],
  )
  return finding(
    'valve-shut',
    'stop',
    sentence('A shut valve stops the return'),
    sentence('No water passes it, whatever the pump does, and the pump warms the water it churns.'),
    startFixes(design, sentence('Open it'), edits),
    layout.placed[index]?.piece.id ?? null,
  )
}

function noLift(solving: Solving): Finding {
  const { returnSide } = solving
  return finding(
    'no-flow-at-this-speed',
    'stop',
    sentence('No flow at this speed'),
    sentence(
      'At {speed} the pump reaches {head} with nothing flowing; the end of the run is {lift} above the sump’s water. It needs {least} of its full speed to begin.',
      {
        speed: ['share', returnSide.speed],
        head: ['head', returnSide.shutOffHeadM],
        lift: ['head', returnSide.liftM],
        least: ['share', returnSide.leastSpeedToLift],
      },
    ),
    reachFixes(solving),
  )
}

function flowsBack(solving: Solving): Finding {
  const { returnSide } = solving
  return finding(
    'flows-back',
    'stop',
    sentence('The tank runs back through the pump'),
    sentence(
      'The end is under water and the pump reaches {head} of the {lift} it must lift, so {flow} runs back to the sump.',
      {
        head: ['head', returnSide.shutOffHeadM],
        lift: ['head', returnSide.liftM],
        flow: ['flow', -returnSide.flowM3PerS],
      },
    ),
    reachFixes(solving),
  )
}

function unsettledFinding(): Finding {
  return finding(
    'unsettled',
    'stop',
    sentence('This run could not be solved'),
    sentence(
      'The pump’s curve and the run’s losses never meet. Check that the pump’s curve falls to nil and that the run has a length and an end.',
    ),
  )
}

function againstWanted(solving: Solving): Finding {
  const { tank, returnSide } = solving
  const flow = returnSide.flowM3PerS
  const wanted = tank.wantedFlowM3PerS
  const values = {
    flow: ['flow', flow],
    wanted: ['flow', wanted],
    off: ['share', wanted > 0 ? Math.abs(flow - wanted) / wanted : 0],
    band: ['flow', returnSide.flowBandM3PerS],
  } as const
  if (flow < (1 - SHORT_SHARE) * wanted) {
    const fixes = reachFixes(solving)
    return finding(
      'flow-short',
      flow < STOP_SHARE * wanted ? 'stop' : 'watch',
      sentence('The flow falls {off} short', values),
      sentence(
        fixes.length > 0
          ? '{flow} (± {band}) reaches the tank and you want {wanted}.'
          : '{flow} (± {band}) reaches the tank and you want {wanted}. Neither this pump’s speed nor a wider run gets there: choose another pump. The list says what each gives in this run.',
        values,
      ),
      fixes,
    )
  }
  if (flow > (1 + PAST_SHARE) * wanted) {
    const fixes = overspeedFixes(solving)
    return finding(
      'flow-past',
      'watch',
      sentence('The flow is {off} past what you want', values),
      sentence(
        fixes.length > 0
          ? '{flow} (± {band}) against {wanted}: power and noise for nothing, and more for the drains to carry.'
          : '{flow} (± {band}) against {wanted}: power and noise for nothing. Put a gate valve in the run, or choose a smaller pump.',
        values,
      ),
      fixes,
    )
  }
  return finding(
    'flow-as-wanted',
    'fine',
    sentence('The flow is what you want'),
    sentence('{flow} (± {band}) reaches the tank, against {wanted}.', values),
  )
}

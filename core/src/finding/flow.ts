import type { SolvedTank } from '../figures/index.ts'
import { gather } from '../numeric/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import {
  aboutLine,
  aboutStop,
  type Finding,
  type FindingCode,
  type Fix,
  type Found,
  type LineCase,
  lineWords,
  type Severity,
  type Solving,
} from './finding.ts'
import {
  openedValves,
  overspeedFixes,
  reachFixes,
  SHORT_SHARE,
  throttleFix,
  type Wish,
} from './flow-fixes.ts'
import { fixForFlow, type Of } from './try-out.ts'
import { PAST_SHARE, wantedThrough } from './wanted.ts'

/** Below half of what is wanted the design does not do its job (choice). */
const STOP_SHARE = 0.5

/** Does water reach each tank, and as much as is wanted? */
export function flowFindings(solving: Solving, lines: readonly LineCase[]): Finding[] {
  const stuck = lines.find(({ laid }) => laid.line.id === solving.returnSide.unsettledLineId)
  if (stuck) return [unsettledFinding(stuck)]
  return gather(solving.tanks, (tank, i) => {
    const feeding = lines.filter(
      ({ laid }) => laid.line.end.at === 'tank' && laid.line.end.id === tank.tankId,
    )
    if (feeding.length === 0) return [unfed(solving, i)]
    const idle = feeding.filter(({ solved }) => solved.status !== 'flows')
    const fed = tank.flowM3PerS > 0 && idle.length < feeding.length
    return [...idle.map(idleFinding), ...(fed ? [againstWanted(tank, solving, feeding)] : [])]
  })
}

/** Why nothing, or the wrong thing, comes out of a line's end. */
export function idleFinding(line: LineCase): Finding {
  if (line.solved.status === 'shut') return valveShut(line)
  return line.solved.status === 'flows-back' ? flowsBack(line) : noLift(line)
}

function valveShut(line: LineCase): Finding {
  const { laid } = line
  const index = laid.losses.findIndex((loss) => loss.shut)
  const opened = openedValves({ line })
  const of: Of = { lineId: laid.line.id }
  return aboutLine(line, {
    code: 'valve-shut',
    severity: 'stop',
    title: sentence(`${lineWords(line)}A shut valve stops the return`),
    reason: sentence(
      'No water passes it, whatever the pump does, and the pump warms the water it churns.',
    ),
    pieceId: laid.placed[index]?.piece.id ?? null,
    fixes: () =>
      opened ? [fixForFlow(line.solving.steady, sentence('Open it'), opened.edits, of)] : [],
  })
}

function wishOf(line: LineCase): Wish {
  const of: Of = { lineId: line.laid.line.id }
  return { line, of, nowM3PerS: line.solved.flowM3PerS, wantedM3PerS: wantedThrough(line) }
}

function noLift(line: LineCase): Finding {
  const { solved } = line
  const { pump } = solved
  return aboutLine(line, {
    code: 'no-flow-at-this-speed',
    severity: 'stop',
    title: sentence(`${lineWords(line)}No flow at this speed`),
    reason: pump.stopped
      ? sentence('Its pump is switched off.')
      : sentence(
          'At {speed} the pump reaches {head} with nothing flowing; the end of the run is {lift} above the sump’s water. It needs {least} of its full speed to begin.',
          {
            speed: ['share', pump.speed],
            head: ['head', pump.shutOffHeadM],
            lift: ['head', solved.liftM],
            least: ['share', solved.leastSpeedToLift],
          },
        ),
    fixes: () => reachFixes(wishOf(line)),
  })
}

function flowsBack(line: LineCase): Finding {
  const { solved } = line
  return aboutLine(line, {
    code: 'flows-back',
    severity: 'stop',
    title: sentence(`${lineWords(line)}The tank runs back through the pump`),
    reason: sentence(
      'The end is under water and the pump reaches {head} of the {lift} it must lift, so {flow} runs back.',
      {
        head: ['head', solved.pump.shutOffHeadM],
        lift: ['head', solved.liftM],
        flow: ['flow', -solved.flowM3PerS],
      },
    ),
    fixes: () => reachFixes(wishOf(line)),
  })
}

function unsettledFinding(line: LineCase): Finding {
  return aboutLine(line, {
    code: 'unsettled',
    severity: 'stop',
    title: sentence(`The line “${line.laid.line.name}” could not be solved`),
    reason: sentence(
      'No flow was found at which its head balances. Check that its pump’s curve falls to nil and that it has a length and an end.',
    ),
  })
}

function unfed(solving: Solving, index: number): Finding {
  const tank = solving.design.tanks[index]!
  return aboutStop('return', {
    code: 'tank-unfed',
    severity: 'stop',
    title: sentence(`No line ends in ${tank.name}`),
    reason: sentence('Give a line its end there, or take the tank out.'),
    tankId: tank.id,
  })
}

/** Said where nothing that can be changed here is enough. */
const NO_REACH =
  ' Neither this pump’s speed nor a wider run gets there: choose another pump. The list says what each gives in this run.'
const NO_LESS = ' Put a gate valve in the run, or choose a smaller pump.'

function againstWanted(
  tank: SolvedTank,
  { tanks, design }: Solving,
  feeding: readonly LineCase[],
): Finding {
  const flow = tank.flowM3PerS
  const wanted = tank.wantedFlowM3PerS
  const values = {
    flow: ['flow', flow],
    wanted: ['flow', wanted],
    off: ['share', wanted > 0 ? Math.abs(flow - wanted) / wanted : 0],
    band: ['flow', tank.flowBandM3PerS],
  } as const
  const name = tanks.length > 1 ? design.tanks.find(({ id }) => id === tank.tankId)!.name : ''
  const where = name ? `${name}: ` : ''
  const at = name || 'the tank'
  const wish: Wish = {
    line: feeding[0]!,
    of: { tankId: tank.tankId },
    nowM3PerS: flow,
    wantedM3PerS: wanted,
  }
  const said = (
    code: FindingCode,
    severity: Severity,
    title: Sentence,
    reason: Found['reason'],
    fixes: () => readonly Fix[] = () => [],
  ) => aboutLine(feeding[0]!, { code, severity, title, reason, fixes })
  if (flow < (1 - SHORT_SHARE) * wanted) {
    return said(
      'flow-short',
      flow < STOP_SHARE * wanted ? 'stop' : 'watch',
      sentence(`${where}The flow falls {off} short`, values),
      (fixes) =>
        sentence(
          `{flow} (± {band}) reaches ${at} and you want {wanted}.${fixes.length ? '' : NO_REACH}`,
          values,
        ),
      () => reachFixes(wish),
    )
  }
  if (flow > (1 + PAST_SHARE) * wanted) {
    // Slowing the pump would starve the other tanks: a valve first, where there are any.
    return said(
      'flow-past',
      'watch',
      sentence(`${where}The flow is {off} past what you want`, values),
      (fixes) =>
        sentence(
          `{flow} (± {band}) against {wanted}: power and noise for nothing, and more for the drains to carry.${fixes.length ? '' : NO_LESS}`,
          values,
        ),
      () =>
        tanks.length > 1 ? [...throttleFix(wish), ...overspeedFixes(wish)] : overspeedFixes(wish),
    )
  }
  return said(
    'flow-as-wanted',
    'fine',
    sentence(`${where}The flow is what you want`, values),
    sentence(`{flow} (± {band}) reaches ${at}, against {wanted}.`, values),
  )
}

import type { SolvedStart } from '../../figures/index.ts'
import { sentence, type Sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { factIf, rule } from '../rule.ts'

/** Would what is left carry the flow while this pipe carries nothing? */
function othersCarry({ box, drain }: DrainCase): boolean {
  const alone = box.solved.blocked.find(
    ({ drainIds }) => drainIds.length === 1 && drainIds[0] === drain.id,
  )
  return alone?.carries ?? false
}

/** After a power cut a siphon has air in it: whether it gets rid of that by itself. */
export const siphonMayNotStart = rule({
  code: 'siphon-may-not-start',
  station: 'drains',
  severities: ['stop', 'watch'],
  holds: 'A siphon does not start again by itself after a power cut, or may not.',
  condition: ({ solved: { startsAgain, flowM3PerS } }: DrainCase) =>
    factIf(startsAgain && flowM3PerS > 0 && startsAgain.restart !== 'yes' ? startsAgain : null),
  severity: (of, { restart }) => (restart === 'no' && !othersCarry(of) ? 'stop' : 'watch'),
  title: ({ drain }, { restart }) =>
    sentence(
      restart === 'no'
        ? '{drain} does not start again by itself'
        : 'Whether {drain} starts again by itself is doubtful',
      { drain: drain.name },
    ),
  reason: (of, start) => reasonOf(start, othersCarry(of)),
})

function reasonOf(
  { froude, byFroude, byEnd, endUnderM, restart }: SolvedStart,
  carry: boolean,
): Sentence {
  const meanwhile = carry
    ? sentence('Until somebody helps it the other pipes carry the flow.')
    : sentence('The other pipes do not carry the flow meanwhile.')
  // The end is the cause where it is the worse of the two.
  const byTheEnd = byEnd === restart && byEnd !== byFroude
  return byTheEnd
    ? sentence(
        'Its end is {under} under water, and the air in the pipe must be pushed out against that. {meanwhile} End it no deeper than 1.5 bores.',
        { under: ['length', endUnderM], meanwhile },
      )
    : sentence(
        'The water in its upright runs too slowly to take the air along: V/√(gD) is {f}, sure from 0.8 on. {meanwhile} A narrower pipe helps.',
        { f: ['number', froude], meanwhile },
      )
}

import { memoize } from '../numeric/index.ts'
import {
  addOccurrence,
  type Asked,
  type Case,
  isMade,
  type Occurrence,
  type Rule,
  rule,
  type RuleText,
} from './rule.ts'

/** A case with what is drawn of it: one object, the same for as long as nothing of it is drawn anew. */
export interface DrawnCase<Drawing extends object> extends Case {
  readonly drawing: Drawing
}

/** A rule about what is drawn: it asks neither flow nor level. */
interface DrawnText<Drawing extends object, Of extends DrawnCase<Drawing>, Fact> extends Omit<
  RuleText<Of, Fact>,
  'condition'
> {
  readonly condition: (drawing: Drawing) => readonly Fact[]
}

/** The same as `rule`, for what holds wherever the water runs. */
export function drawnRule<Drawing extends object, Of extends DrawnCase<Drawing>, Fact>(
  text: DrawnText<Drawing, Of, Fact>,
): Rule<Of, Fact> {
  return rule<Of, Fact>({ ...text, condition: ({ drawing }) => text.condition(drawing) })
}

/** What one of several rules holds for. */
interface Held<Of extends Case> {
  readonly rule: Rule<Of, unknown>
  readonly fact: unknown
}

/** Rules about what is drawn, asked once for each drawing: most keystrokes draw nothing, and say the same of it in the water as it runs now. */
export function byDrawing<Drawing extends object, Of extends DrawnCase<Drawing>>(
  ...asked: readonly Asked<Of>[]
): Asked<Of> {
  const rules = asked.filter(isMade<Of>)
  if (rules.length < asked.length) throw new RangeError('a list of rules is not asked of a drawing')
  const heldOf = memoize((drawing: Drawing): readonly Held<Of>[] => {
    // They are given the drawing and nothing else.
    const only = { drawing, where: {} } as unknown as Of
    return rules.flatMap((rule) => rule.condition(only).map((fact: unknown) => ({ rule, fact })))
  })
  return {
    rules: rules.flatMap((rule) => rule.rules),
    ask: (of, found: Occurrence[]) => {
      const held = heldOf(of.drawing)
      for (let h = 0; h < held.length; h++) addOccurrence(held[h]!.rule, of, held[h]!.fact, found)
    },
  }
}

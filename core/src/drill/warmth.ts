import { figuresOf } from '../figures/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import type { DrillSimulation } from './simulate-drill.ts'

/** What a heater's failure comes to: no water moves. */
export interface Warmth {
  readonly said: Sentence
  /** null: it never gets there. */
  readonly untilS: number | null
  /** Sooner than the keeper would know. */
  readonly isShort: boolean
}

/** Of a drill in which a heater fails (hydraulics reference, §14); null: none does. */
export function warmthOf({ drill, plant }: DrillSimulation): Warmth | null {
  const failing = drill.faults.find(({ fault }) => fault.kind.startsWith('heater-'))
  const { design } = plant.steady
  const heat = failing && figuresOf(plant.steady).heat
  if (!heat || !design.heat) return null
  const hot = failing.fault.kind === 'heater-on'
  const untilS = (hot ? heat.stuckOn?.untilS : heat.off.untilS) ?? null
  const limit = ['temperature', hot ? heat.tooWarmC : heat.tooColdC] as const
  const isShort = untilS !== null && untilS < design.heat.warningS
  const said =
    untilS === null
      ? sentence('The floor stays dry, and the water never comes to {limit}.', { limit })
      : sentence('The floor stays dry; the water is at {limit} after {time}.', {
          limit,
          time: ['duration', untilS],
        })
  return { said, untilS, isShort }
}

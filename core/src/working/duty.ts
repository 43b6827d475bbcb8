import { DERATED_SHARE } from '../figures/index.ts'
import { measured, sentence } from '../quantity/index.ts'
import {
  BAND_SOURCE,
  NO_NOTE,
  type RuleBeside,
  term,
  type Worked,
  type Working,
} from './working.ts'

const DUTY_SOURCE = `Darcy–Weisbach with Colebrook–White; Darby 2001 for fittings; Weisbach for part-closed valves. ${BAND_SOURCE}`

/** Flow at the tank, from the line's law and the pump's curve. */
export function flowWorking(worked: Worked): Working {
  const { line: side, rules } = worked
  return {
    title: 'Flow at the tank',
    answer: measured('flow', side.flowM3PerS),
    band: measured('flow', side.flowBandM3PerS),
    formula: 'n² H₁(Q/n) = z + h_f(Q) + Σ K V²/2g',
    filled: sentence('{H} = {z} + {hf} + {hk}', {
      H: ['head', side.pump.headM],
      z: ['head', side.liftM],
      hf: ['head', side.frictionM],
      hk: ['head', side.fittingsM],
    }),
    terms: [
      term('Q', 'flow where both sides meet', 'flow', side.flowM3PerS),
      term('n', 'speed of the pump', 'share', side.pump.speed),
      term('H', 'head the pump gives there', 'head', side.pump.headM),
      term('z', 'lift from the sump’s water to the end of the run', 'head', side.liftM),
      term('h_f', 'friction in the pipe', 'head', side.frictionM),
      term('Σ K V²/2g', 'fittings, changes of bore and the exit', 'head', side.fittingsM),
    ],
    source: DUTY_SOURCE,
    note: side.pump.twoNumberCurve
      ? sentence(
          'Two-number curve: the maker prints only most flow and most head, so the curve between is a guess, H = Hmax (1 − (Q/Qmax)²).',
        )
      : NO_NOTE,
    rules: [
      besides(
        'Printed flow × {share}: {answer}',
        {
          share: ['share', DERATED_SHARE],
          answer: ['flow', rules.deratedFlowM3PerS.answer],
        },
        rules.deratedFlowM3PerS.offBy,
      ),
      ...(side.pump.ownShareFlowM3PerS === null
        ? []
        : [
            besides(
              'Your last pump gave {share} of its print; so this one {answer}',
              {
                share: ['share', worked.design.returnSide.ownShare ?? 0],
                answer: ['flow', side.pump.ownShareFlowM3PerS],
              },
              side.pump.ownShareOffBy,
            ),
          ]),
      besides(
        'Feet counted for elbows and level run, read off {pump}’s curve at that head: {answer}',
        { answer: ['flow', rules.countedFlowM3PerS.answer], pump: worked.part.name },
        rules.countedFlowM3PerS.offBy,
      ),
    ],
  }
}

function besides(
  text: string,
  values: Parameters<typeof sentence>[1],
  offBy: number | null,
): RuleBeside {
  return { rule: sentence(text, values), offBy }
}

/** Flow over the tank's net water. */
export function turnoverWorking(worked: Worked): Working {
  const { solvedTank: tank } = worked
  const range = worked.rules.turnoverRangePerH
  return {
    title: 'Turnover through the sump',
    answer: measured('turnover', tank.turnoverPerH ?? NaN),
    band: tank.turnoverBandPerH === null ? null : measured('turnover', tank.turnoverBandPerH),
    formula: 'n = Q / V_net',
    filled: sentence('{n} = {Q} / {V}', {
      n: ['turnover', tank.turnoverPerH ?? NaN],
      Q: ['flow', tank.flowM3PerS, tank.flowBandM3PerS],
      V: ['volume', tank.netVolumeM3],
    }),
    terms: [
      term('Q', 'flow at the tank', 'flow', tank.flowM3PerS),
      term('V_net', 'net water of the display', 'volume', tank.netVolumeM3),
    ],
    source: BAND_SOURCE,
    note: NO_NOTE,
    rules: [
      {
        rule: sentence(
          range
            ? 'Keepers quote 3–5, 5–7, 7–10 and 10–12 volumes an hour; this is in {from}–{to}.'
            : 'Keepers quote 3–5, 5–7, 7–10 and 10–12 volumes an hour; this is outside all of them.',
          range ? { from: String(range[0]), to: String(range[1]) } : {},
        ),
        offBy: null,
      },
    ],
  }
}

/** Head the pump works against. */
export function headWorking(worked: Worked): Working {
  const { line: side, rules } = worked
  return {
    title: 'Duty head',
    answer: measured('head', side.pump.headM),
    band: measured('head', side.pump.headBandM),
    formula: 'H = z + h_f + Σ K V²/2g',
    filled: sentence('{H} = {z} + {hf} + {hk}', {
      H: ['head', side.pump.headM],
      z: ['head', side.liftM],
      hf: ['head', side.frictionM],
      hk: ['head', side.fittingsM],
    }),
    terms: [
      term('z', 'static lift', 'head', side.liftM),
      term('h_f', 'friction in the pipe', 'head', side.frictionM),
      term('Σ K V²/2g', 'fittings, changes of bore and the exit', 'head', side.fittingsM),
      term('H₀', 'the pump’s shut-off head at this speed', 'head', side.pump.shutOffHeadM),
    ],
    source: DUTY_SOURCE,
    note: NO_NOTE,
    rules: [
      besides(
        'Lift + 1 ft a 90° elbow + ½ ft a 45° + 1 ft per 10 ft of level run: {answer}',
        { answer: ['head', rules.countedHeadM.answer] },
        rules.countedHeadM.offBy,
      ),
    ],
  }
}

/** Static lift, from the water it draws to the end it feeds. */
export function liftWorking(worked: Worked): Working {
  const { line: side, solvedTank: tank } = worked
  const under = side.end === 'under-water'
  const topM = under ? tank.surfaceM : side.mouth.zM
  return {
    title: 'Static lift',
    answer: measured('head', side.liftM),
    band: null,
    formula: under ? 'z = z_tank − z_sump' : 'z = z_mouth − z_sump',
    filled: sentence('{z} = {top} − {sump}', {
      z: ['head', side.liftM],
      top: ['length', topM],
      sump: ['length', worked.sourceLevelM],
    }),
    terms: [
      under
        ? term('z_tank', 'tank’s water, above the room’s floor', 'length', topM)
        : term('z_mouth', 'end of the run, above the room’s floor', 'length', topM),
      term(
        'z_sump',
        'water the pump draws from, above the room’s floor',
        'length',
        worked.sourceLevelM,
      ),
    ],
    source: under
      ? 'The end is under water, so the surface above it counts.'
      : 'The end is in air, so its own height counts: pump outlet, plus what the pieces go up, less what they go down.',
    note: NO_NOTE,
    rules: [],
  }
}

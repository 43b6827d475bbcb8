import type { SolvedPiece, SolvedStretch } from '../figures/index.ts'
import { FAST_M_PER_S } from '../finding/index.ts'
import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { measured, type Sentence, sentence } from '../quantity/index.ts'
import { NO_NOTE, term, type Term, type Worked, type Working } from './working.ts'

/** Friction along the straight pipe, by Darcy–Weisbach. */
export function frictionWorking(worked: Worked): Working {
  const { line: side, rules } = worked
  const many = side.stretches.length > 1
  return {
    title: 'Friction in the pipe',
    answer: measured('head', side.frictionM),
    band: measured('head', side.frictionBandM),
    formula: 'h_f = Σ f (L/D) V²/2g',
    filled: sentence('{h} = {sum}', { h: ['head', side.frictionM], sum: summed(side.stretches) }),
    terms: side.stretches.flatMap((stretch, i): Term[] => {
      const mark = many ? `${i + 1}` : ''
      return [
        term(`D${mark}`, 'true bore', 'length', stretch.boreM),
        term(`L${mark}`, 'straight length', 'length', stretch.lengthM),
        term(`V${mark}`, 'mean speed', 'speed', stretch.speedMPerS),
        term(`Re${mark}`, `Reynolds number, ${stretch.regime}`, 'number', stretch.reynolds),
        term(`f${mark}`, 'Darcy friction factor', 'number', stretch.frictionFactor),
        term(`h${mark}`, 'lost in it', 'head', stretch.lossM),
      ]
    }),
    source:
      'Darcy–Weisbach; f by Colebrook–White (1939) from Re 4 000, 64/Re to 2 000, a cubic between. Each pipe ± 5 %, ribbed hose ± 30 %.',
    note: NO_NOTE,
    rules: [
      {
        rule: sentence('Hazen–Williams, C = 150: {answer}', {
          answer: ['head', rules.hazenWilliamsFrictionM.answer],
        }),
        offBy: rules.hazenWilliamsFrictionM.offBy,
      },
    ],
  }
}

/** Losses of fittings, devices and the exit. */
export function fittingsWorking(worked: Worked): Working {
  const { line: side, rules } = worked
  const counted = side.pieces.filter((piece) => piece.k !== null)
  return {
    title: 'Fittings, changes of bore and the exit',
    answer: measured('head', side.fittingsM),
    band: measured('head', side.fittingsBandM),
    formula: 'h = Σ K V²/2g,  K = Km/Re + Ki (1 + Kd/Dn^0.3)',
    filled: sentence('{h} over {count} pieces', {
      h: ['head', side.fittingsM],
      count: String(counted.length),
    }),
    terms: [
      ...counted.map((piece) => term(pieceWords(piece.kind), kWords(piece), 'head', piece.lossM)),
      ...side.joints.map(({ at, k, lossM }) =>
        term(
          'adapter',
          `K ${k.toFixed(2)}, ${at === 'tee' ? 'where its bore meets the tee’s' : 'at the pump’s outlet'}`,
          'head',
          lossM,
        ),
      ),
    ],
    source:
      'Darby 2001 (3-K); Weisbach’s part-closed valves as the rise over the open one; Borda–Carnot and Crane TP-410 for changes of bore; tees by how the flow divides (Gardel 1957, Idelchik), K on the common leg’s speed; the exit loses its velocity head. Each ± 20 %, a part-closed valve ± 53 %, a device by its maker ± 10 %, the exit none.',
    note: NO_NOTE,
    rules: [
      {
        rule: sentence('1 ft a 90° elbow, ½ ft a 45°: {answer}', {
          answer: ['head', rules.countedElbowsM.answer],
        }),
        offBy: rules.countedElbowsM.offBy,
      },
    ],
  }
}

/** What a piece's K stands on; in a tee, how the flow divides. */
function kWords({ k, tee }: SolvedPiece): string {
  const value = (k ?? 0).toFixed(2)
  if (!tee) return `K ${value} on its own bore`
  const way = tee.straightOn ? 'straight on' : 'turning'
  const share = `${Math.round(tee.otherShare * 100)} %`
  const others = {
    in: `${share} of what comes ${tee.dividing ? 'leaves by' : 'goes to'} the other line`,
    out: `${share} of what goes on ${tee.dividing ? 'goes to' : 'comes from'} the other line`,
    other: 'the other line carries the sum of both',
  }[tee.common]
  return `K ${value}, ${way}; ${others}`
}

/** "check-valve" → "check valve". */
function pieceWords(kind: string): string {
  return kind.replace('-', ' ')
}

/** The fastest water in the line. */
export function fastestWorking(worked: Worked): Working {
  const { line: side } = worked
  const piece = side.pieces.find((solvedPiece) => solvedPiece.pieceId === side.fastestPieceId)
  const flowM3PerS = Math.abs(piece?.flowM3PerS ?? side.flowM3PerS)
  return {
    title: 'Fastest water in the run',
    answer: measured('speed', side.fastestMPerS),
    band: null,
    formula: 'V = 4 Q / (π D²)',
    filled: sentence('{V} = 4 · {Q} / (π · ({D})²)', {
      V: ['speed', side.fastestMPerS],
      Q: ['flow', flowM3PerS],
      D: ['length', piece?.boreM ?? NaN],
    }),
    terms: [
      term('Q', 'flow there', 'flow', flowM3PerS),
      ...(piece
        ? [term('D', `true bore, at the ${pieceWords(piece.kind)}`, 'length', piece.boreM)]
        : []),
      term('V_end', 'at the end of the run, not counted here', 'speed', side.exitSpeedMPerS),
    ],
    source: 'Continuity, on the true bore and never on the trade size.',
    note: sentence('Up to {limit} a plastic line stays quiet.', { limit: ['speed', FAST_M_PER_S] }),
    rules: [],
  }
}

/** f · (L / D) · V² / (2 g) of every stretch, one after the other. */
function summed(stretches: readonly SolvedStretch[]): Sentence {
  return (
    stretches.reduce<Sentence | null>((before, { frictionFactor, lengthM, boreM, speedMPerS }) => {
      const own = sentence('{f} · ({L} / {D}) · ({V})² / (2 · {g})', {
        f: ['number', frictionFactor],
        L: ['length', lengthM],
        D: ['length', boreM],
        V: ['speed', speedMPerS],
        g: ['acceleration', GRAVITY_M_PER_S2],
      })
      return before ? sentence('{before} + {own}', { before, own }) : own
    }, null) ?? sentence('0')
  )
}

import { asPlain, eachOf } from './plain.ts'

/** A pump of format 1 had none of these. */
const NOT_TOLD = { inletBoreM: null, leastDepthM: null, priceClass: null }

/**
 * Format 1 had one tank, one pump and one run. Format 2 has tanks, sump chambers, placed pumps and
 * lines: the old ones become the first of each. What is not there stays away, for the checks after
 * it to name.
 */
export function tanksAndLines(document: unknown): unknown {
  const { tank, displacement, target, water, returnSide, pumps, ...other } = asPlain(document)
  const side = asPlain(returnSide)
  return {
    ...other,
    tanks: [
      {
        id: 'tank',
        name: 'Tank',
        xM: 0,
        yM: 0,
        ...asPlain(tank),
        displacement,
        ...asPlain(target),
      },
    ],
    water,
    returnSide: {
      chambers: [{ id: 'return-chamber', name: 'Return chamber', levelM: side.sourceLevelM }],
      pumps: [
        {
          id: 'return-pump',
          pumpId: side.pumpId,
          speed: side.speed,
          stopped: false,
          chamberId: 'return-chamber',
          outlet: side.outlet,
          inletHeightM: null,
        },
      ],
      lines: [
        {
          id: 'main',
          name: 'Main line',
          start: { at: 'pump', id: 'return-pump' },
          run: side.run,
          end: { at: 'tank', id: 'tank', place: null, breakDepthM: null },
          wantedFlowM3PerS: null,
        },
      ],
      sparePumpId: null,
    },
    pumps: eachOf(pumps, (pump) => ({ ...pump, ...NOT_TOLD })),
    tariff: null,
  }
}

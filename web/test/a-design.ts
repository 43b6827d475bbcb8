import { allowing, emptyScene, readNotation, type BasinDesign } from '@yew-basin/core'

const SIZE = { series: 'schedule-40', size: '1', boreM: null } as const

/** A plain metre tank over a sump, its line from one typed line. */
export function aDesign(line: string): BasinDesign {
  let n = 0
  const read = readNotation(line, 'metric', { size: SIZE, pieces: [] }, () => `p${++n}`)
  if (!read.ok) throw new Error(read.faults[0]!.message)
  return {
    tanks: [
      {
        id: 'tank',
        name: 'Tank',
        xM: 0,
        yM: 0,
        lengthM: 1,
        widthM: 0.5,
        heightM: 0.5,
        rimM: 0.5,
        waterLevelM: 0.45,
        floorHeightM: 0.8,
        displacement: {
          rockMassKg: 20,
          rockDensityKgPerM3: 2000,
          sandMassKg: 20,
          sandGrainDensityKgPerM3: 2700,
        },
        turnoverPerH: 8,
        overflow: null,
        scene: emptyScene(),
      },
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [],
    sump: {
      chambers: [
        {
          id: 'sump',
          name: 'Return chamber',
          use: 'return',
          levelM: 0.3,
          footprintM2: 0,
          submergedM3: 0,
          wantsDepth: null,
        },
      ],
      box: null,
      walls: [],
      marginM: 0.02,
      gapM: 0.0016,
      evaporationMmPerDay: 3,
      hungWaterM3: 0,
      topOff: null,
      devices: [],
      cabinet: null,
    },
    returnSide: {
      pumps: [
        {
          id: 'pump',
          pumpId: 'p',
          speed: 0.8,
          stopped: false,
          chamberId: 'sump',
          outlet: { xM: 1.03, yM: 0.2, zM: 0.1 },
          inletHeightM: null,
        },
      ],
      lines: [
        {
          id: 'main',
          name: 'Main line',
          start: { at: 'pump', id: 'pump' },
          run: { size: SIZE, roughnessM: 1.5e-6, ribbedFactor: 2, pieces: read.pieces },
          end: { at: 'tank', id: 'tank', place: null, breakDepthM: null },
          wantedFlowM3PerS: null,
        },
      ],
      sparePumpId: null,
      ownShare: null,
    },
    tariff: null,
    drills: [],
    treatment: {
      feeds: [],
      stock: 'medium',
      otherShare: 0,
      school: 'match',
      oversizeFrom: 1.5,
      oversizeTo: 2,
      targets: [],
      targetId: null,
    },
    allowances: allowing.NO_ALLOWANCES,
    assumed: [],
    build: null,
    heat: null,
    pumps: [
      {
        id: 'p',
        partId: null,
        name: 'p',
        control: 'controllable',
        mounting: 'either',
        curve: [],
        shutOffHeadM: 5,
        maxFlowM3PerS: 0.0015,
        ratedPowerW: 60,
        power: [],
        outletBoreM: 0.027,
        inletBoreM: null,
        leastDepthM: null,
        leastSpeed: 0.3,
        priceClass: null,
        size: null,
      },
    ],
  }
}

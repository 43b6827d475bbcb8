/** A whole, right basin file as plain data, fresh each time; change what the test is about. */
export function aFile(): Plain {
  return {
    format: 'yew-basin',
    formatVersion: 2,
    name: 'Test basin',
    note: '',
    designs: [{ name: 'one', current: true, design: aDesign() }],
  }
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests break these files in every way there is
export type Plain = any

function aDesign(): Plain {
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
          sandMassKg: 10,
          sandGrainDensityKgPerM3: 2700,
        },
        turnoverPerH: 6,
      },
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    returnSide: {
      chambers: [{ id: 'sump', name: 'Return chamber', levelM: 0.3 }],
      pumps: [
        {
          id: 'pump',
          pumpId: 'a-pump',
          speed: 0.8,
          stopped: false,
          chamberId: 'sump',
          outlet: { xM: 0.5, yM: 0.2, zM: 0.1 },
          inletHeightM: 0.02,
        },
      ],
      lines: [
        {
          id: 'main',
          name: 'Main line',
          start: { at: 'pump', id: 'pump' },
          end: {
            at: 'tank',
            id: 'tank',
            place: { xM: 0.3, yM: 0.2, zM: 1.4 },
            breakDepthM: 0.02,
          },
          wantedFlowM3PerS: 0.0005,
          run: {
            size: { series: 'schedule-40', size: '1', boreM: null },
            roughnessM: 1.5e-6,
            ribbedFactor: 2,
            pieces: [
              { id: 'a', kind: 'pipe', direction: 'up', lengthM: 1.3 },
              { id: 'b', kind: 'elbow', form: 'standard-90' },
              { id: 'c', kind: 'union' },
              { id: 'd', kind: 'valve', form: 'gate', opening: 0.7, kvM3PerH: null },
              { id: 'e', kind: 'check-valve', form: 'swing', kvM3PerH: 20 },
              { id: 't', kind: 'tee', form: 'side' },
              {
                id: 'f',
                kind: 'reducer',
                to: { series: 'pn-16', size: '25', boreM: 0.021 },
                angleDeg: 30,
              },
              { id: 'g', kind: 'bulkhead', boreM: null },
              { id: 'h', kind: 'pipe', direction: 'left', lengthM: 0.2 },
              { id: 'i', kind: 'nozzle', boreM: 0.018 },
            ],
          },
        },
        {
          id: 'takeoff',
          name: 'Takeoff',
          start: { at: 'tee', id: 't' },
          end: { at: 'chamber', id: 'sump', place: null, breakDepthM: null },
          wantedFlowM3PerS: null,
          run: {
            size: { series: 'smooth-hose', size: '13', boreM: null },
            roughnessM: 1.5e-6,
            ribbedFactor: 2,
            pieces: [
              {
                id: 'j',
                kind: 'device',
                use: 'reactor',
                name: 'Reactor',
                by: 'table',
                k: 0,
                kvM3PerH: 5,
                table: [{ flowM3PerS: 0.0001, headM: 0.2 }],
              },
              { id: 'k', kind: 'free-hose', lengthM: 0.8, byXM: -0.3, byYM: 0, byZM: -1.2 },
            ],
          },
        },
      ],
      sparePumpId: 'a-pump',
    },
    pumps: [
      {
        id: 'a-pump',
        name: 'A pump',
        control: 'controllable',
        mounting: 'either',
        curve: [
          { flowM3PerS: 0, headM: 4 },
          { flowM3PerS: 0.001, headM: 2.5 },
          { flowM3PerS: 0.0015, headM: 0 },
        ],
        shutOffHeadM: null,
        maxFlowM3PerS: null,
        ratedPowerW: 50,
        power: [],
        outletBoreM: 0.025,
        inletBoreM: null,
        leastDepthM: null,
        leastSpeed: 0.3,
        priceClass: null,
      },
    ],
    tariff: { pricePerKWh: 0.3, currency: '€' },
  }
}

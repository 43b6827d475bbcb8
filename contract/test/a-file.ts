/** A whole, right basin file as plain data, fresh each time; change what the test is about. */
export function aFile(): Plain {
  return {
    format: 'yew-basin',
    formatVersion: 5,
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
        overflow: {
          form: 'hung-box',
          place: 'back',
          crestM: 0.44,
          rimLengthM: 0.4,
          teeth: { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.02, blockedShare: 0.1 },
          openAbove: true,
          guard: { openShare: 0.8, leastOpeningM: 0.004 },
          keepsInM: 0.01,
          box: { xM: 0.3, yM: 0.52, lengthM: 0.3, widthM: 0.14, floorM: 0.2, rimM: 0.48 },
          passage: { kind: 'siphon', count: 1, boreM: 0.03, lengthM: 0.6 },
          chamberId: null,
          holes: [
            {
              id: 'hole',
              panel: 'back',
              glass: 'plain',
              alongM: 0.4,
              upM: 0.4,
              bulkhead: { size: '32 mm', boreM: 0.027, holeM: 0.044, flangeM: 0.064 },
            },
          ],
          sensorM: 0.47,
        },
      },
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [
      {
        id: 'siphon',
        name: 'Siphon',
        tankId: 'tank',
        role: 'siphon',
        inlet: {
          form: 'strainer',
          place: { xM: 0.4, yM: 0.6, zM: 1.05 },
          openAreaRatio: 2,
        },
        run: {
          size: { series: 'pn-16', size: '32', boreM: null },
          roughnessM: 1.5e-6,
          ribbedFactor: 2,
          pieces: [
            { id: 'd1', kind: 'pipe', direction: 'down', lengthM: 0.3 },
            { id: 'd2', kind: 'valve', form: 'gate', opening: 0.5, kvM3PerH: null },
            { id: 'd3', kind: 'tee', form: 'side' },
            { id: 'd4', kind: 'pipe', direction: 'down', lengthM: 0.5 },
          ],
        },
        end: { at: 'chamber', id: 'entry', landing: 'sock' },
      },
      {
        id: 'emergency',
        name: 'Emergency',
        tankId: 'tank',
        role: 'emergency',
        inlet: { form: 'open', place: { xM: 0.5, yM: 0.6, zM: 1.2 }, openAreaRatio: 2 },
        run: {
          size: { series: 'pn-16', size: '32', boreM: null },
          roughnessM: 1.5e-6,
          ribbedFactor: 2,
          pieces: [{ id: 'e1', kind: 'pipe', direction: 'down', lengthM: 0.45 }],
        },
        end: { at: 'tee', id: 'd3', landing: 'open' },
      },
    ],
    sump: {
      chambers: [
        {
          id: 'entry',
          name: 'Skimmer',
          use: 'skimmer',
          levelM: 0.35,
          footprintM2: 0.02,
          submergedM3: 0.001,
          wantsDepth: { leastM: 0.2, mostM: 0.24 },
        },
        {
          id: 'sump',
          name: 'Return chamber',
          use: 'return',
          levelM: 0.3,
          footprintM2: 0.01,
          submergedM3: 0,
          wantsDepth: null,
        },
      ],
      box: {
        make: 'self-built',
        xM: 0.1,
        yM: 0.05,
        floorHeightM: 0.1,
        lengthM: 0.9,
        widthM: 0.4,
        heightM: 0.4,
        panelM: 0.008,
      },
      walls: [
        {
          id: 'wall-1',
          kind: 'comb',
          atM: 0.5,
          thicknessM: 0.006,
          topM: 0.24,
          slotM: 0,
          teeth: { slotWidthM: 0.008, pitchM: 0.016, heightM: 0.03, blockedShare: 0 },
          pipeBoreM: 0.03,
          pipeHeightM: 0.1,
          adjustable: true,
          opaque: true,
        },
      ],
      marginM: 0.02,
      gapM: 0.0016,
      evaporationMmPerDay: 3,
      hungWaterM3: 0.001,
      topOff: { flowM3PerS: 0.00003, canM3: 0.02, runLimitS: 600 },
      devices: [aSkimmer(), aSterilizer()],
      cabinet: {
        xM: 0,
        yM: 0,
        lengthM: 1.1,
        widthM: 0.5,
        topM: 0.85,
        doors: [{ id: 'door', face: 'front', fromM: 0.1, toM: 0.9, bottomM: 0.05, topM: 0.8 }],
      },
    },
    returnSide: {
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
    drills: [{ id: 'own', name: 'Both at once', steps: [{ drillId: 'power-cut', atS: 60 }] }],
    treatment: {
      feeds: [{ id: 'cubes', name: 'Cubes', form: 'cube', perDay: 3, massKg: 0.004 }],
      stock: 'medium',
      otherShare: 0.2,
      school: 'oversize',
      factor: 1.5,
      targets: [
        {
          id: 'green-water',
          organism: 'Green-water algae',
          leastJPerM2: 220,
          mostJPerM2: 300,
          doublingS: 86_400,
          source: 'quoted',
        },
      ],
      targetId: 'green-water',
    },
  }
}

const box = { lengthM: 0.2, widthM: 0.18, heightM: 0.5, sectionM2: 0.02, handM: 0.05 }
const bought = { noise: 'heard-near', priceClass: 3 }

/** Stands in the skimmer's chamber. */
function aSkimmer(): Plain {
  return {
    id: 'skimmer',
    name: 'Skimmer',
    part: {
      id: 'a-skimmer',
      name: 'A skimmer',
      kind: 'skimmer',
      ...box,
      ...bought,
      control: 'controllable',
      powerW: 12,
      window: null,
      skimmer: {
        form: 'internal',
        ratedM3: { light: 0.8, medium: 0.6, heavy: 0.4 },
        flowM3PerS: 0.0002,
        airM3PerS: 0.0001,
        bodyM3: 0.004,
        neckBoreM: 0.08,
        wantsDepth: { leastM: 0.18, mostM: 0.22 },
        givesBackM3: 0.002,
        cupLiftM: 0.08,
      },
      sterilizer: null,
    },
    chamberId: 'entry',
    xM: 0.1,
    yM: 0.1,
    turned: true,
    standM: 0.03,
    speed: 0.9,
    lineId: null,
    lamp: null,
  }
}

/** In the main line. */
function aSterilizer(): Plain {
  return {
    id: 'sterilizer',
    name: 'Sterilizer',
    part: {
      id: 'a-sterilizer',
      name: 'A sterilizer',
      kind: 'sterilizer',
      ...box,
      ...bought,
      control: 'fixed-speed',
      powerW: 25,
      window: { leastM3PerS: 0.0001, mostM3PerS: 0.0005 },
      skimmer: null,
      sterilizer: {
        by: 'maker',
        ratedDoseJPerM2: 450,
        ratedFlowM3PerS: 0.0004,
        uvcPowerW: 8,
        arcLengthM: 0.3,
        sleeveDiameterM: 0.025,
        chamberBoreM: 0.06,
        transmittancePerCm: 0.95,
        mixingFactor: 0.7,
        ratedHoursS: 32_400_000,
        pullOutM: 0.45,
        portBoreM: 0.025,
      },
    },
    chamberId: null,
    xM: 1,
    yM: 0,
    turned: false,
    standM: 0,
    speed: 1,
    lineId: 'main',
    lamp: {
      burnedS: 7_200_000,
      waterFactor: 0.95,
      sleeveFactor: 0.9,
      lampSince: '2026-06-01',
      sleeveSince: null,
    },
  }
}

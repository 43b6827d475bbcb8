import { measured, type Measured, sentence } from '../quantity/index.ts'
import type { About } from './about.ts'
import { NO_NOTE, term, type Working } from './working.ts'

function overflowOf({ design, solved, tankId }: About) {
  const tank = design.tanks.find(({ id }) => id === tankId) ?? design.tanks[0]!
  const own = solved.overflows.find((overflow) => overflow.tankId === tank.id)
  return own && tank.overflow ? { tank, overflow: tank.overflow, solved: own } : null
}

/** Water over the overflow's crest, by the weir's law. */
export function weirHead(about: About): Working | null {
  const own = overflowOf(about)
  if (!own) return null
  const { overflow, solved } = own
  const toothed = overflow.teeth !== null
  return {
    title: 'Water over the rim',
    answer: measured('length', solved.headM, solved.headBandM),
    band: measured('length', solved.headBandM),
    formula: toothed
      ? 'Q = Σ ⅔ Cd √(2g) w [h^1.5 − (h − a)^1.5] + rim above'
      : 'Q = ⅔ (0.602 + 0.075 h/P) √(2g) b (h + 1 mm)^1.5',
    filled: sentence(
      toothed ? '{Q} through slots of {w} over {b} needs {h}' : '{Q} over {b} needs {h}',
      {
        Q: ['flow', solved.flowM3PerS],
        w: ['length', overflow.teeth?.slotWidthM ?? 0],
        b: ['length', overflow.rimLengthM],
        h: ['length', solved.headM, solved.headBandM],
      },
    ),
    terms: [
      term('Q', 'into the tank', 'flow', solved.flowM3PerS),
      term('b', 'length of the rim', 'length', overflow.rimLengthM),
      term('P', 'water below the crest', 'length', overflow.crestM),
      ...(overflow.teeth
        ? [
            term('w', 'width of a slot', 'length', overflow.teeth.slotWidthM),
            term('p', 'from slot to slot', 'length', overflow.teeth.pitchM),
            term('a', 'height of the teeth', 'length', overflow.teeth.heightM),
            term('shut', 'share of the slots', 'share', overflow.teeth.blockedShare),
          ]
        : []),
    ],
    source: 'Kindsvater & Carter 1957; drowned from below: Villemonte 1947.',
    note: solved.belowMeasured
      ? sentence('Below 30 mm the law stands on little measurement: take it as ± 15 %.')
      : NO_NOTE,
    rules: [],
  }
}

/** Where a tank's water stands while it runs. */
export function runningLevel(about: About): Working | null {
  const own = overflowOf(about)
  if (!own) return null
  const { tank, overflow, solved } = own
  return {
    title: 'Running level',
    answer: measured('length', solved.surfaceM - tank.floorHeightM, solved.surfaceBandM),
    band: measured('length', solved.surfaceBandM),
    formula: 'z = crest + h',
    filled: sentence('{z} = {crest} + {h}', {
      z: ['length', solved.surfaceM - tank.floorHeightM, solved.surfaceBandM],
      crest: ['length', overflow.crestM],
      h: ['length', solved.headM, solved.headBandM],
    }),
    terms: [
      term('crest', 'over the tank’s floor', 'length', overflow.crestM),
      term('h', 'water over it at this flow', 'length', solved.headM),
      term(
        'left',
        'to the tank’s rim',
        'length',
        tank.rimM - (solved.surfaceM - tank.floorHeightM),
      ),
    ],
    source: 'The whole loop, solved until no level moves.',
    note: sentence('The loop came to rest in {passes} passes.', {
      passes: ['number', about.solved.loop.passes],
    }),
    rules: [],
  }
}

/** What a drain carries, by its part. */
export function drainFlow({ design, solved, drainId }: About): Working | null {
  const drain = design.drains.find(({ id }) => id === drainId)
  const own = solved.drains.find((solvedDrain) => solvedDrain.drainId === drainId)
  if (!drain || !own) return null
  const siphon = drain.role === 'siphon'
  return {
    title: drain.name,
    answer: measured('flow', own.flowM3PerS, own.flowBandM3PerS),
    band: measured('flow', own.flowBandM3PerS),
    formula: siphon
      ? 'H = (ΣK + f L/D) V²/2g'
      : 'Q = min(⅔ · 0.6 √(2g) π D h^1.5, 0.6 A √(2gh), full pipe)',
    filled: sentence(
      siphon
        ? 'full it carries {primed}; {flow} comes'
        : 'with {over} over its lip it takes {flow}',
      {
        primed: ['flow', own.primedM3PerS, own.primedBandM3PerS],
        flow: ['flow', own.flowM3PerS, own.flowBandM3PerS],
        over: ['length', Math.max(0, own.overInletM)],
      },
    ),
    terms: [
      term('full', 'the full pipe, valves as they stand', 'flow', own.primedM3PerS),
      term('open', 'the same with its valves open', 'flow', own.openPrimedM3PerS),
      term('h', 'water over its lip', 'length', own.overInletM),
      ...(own.leastOverInletM === null
        ? []
        : [term('S', 'D (1 + V/√(gD)), keeps a vortex away', 'length', own.leastOverInletM)]),
      ...(own.vented
        ? [
            term('¼', 'full: quiet to here', 'flow', own.vented.quietM3PerS),
            term('7/24', 'full: the usual limit', 'flow', own.vented.usualM3PerS),
            term('⅓', 'full: the most', 'flow', own.vented.mostM3PerS),
          ]
        : []),
      ...(own.emergency && own.emergency.riseNeededM !== null
        ? [
            term(
              'mouth',
              'open, with the water at the rim, takes',
              'flow',
              own.emergency.openAtRimM3PerS,
            ),
            term('pipe', 'running full there', 'flow', own.emergency.primedAtRimM3PerS),
            term('rise', 'over its lip for the whole flow', 'length', own.emergency.riseNeededM),
          ]
        : []),
      ...(own.startsAgain
        ? [
            term(
              'F',
              'V/√(gD) in its upright: starts again from 0.8',
              'number',
              own.startsAgain.froude,
            ),
          ]
        : []),
      term('V', 'in its inlet', 'speed', own.speedMPerS),
    ],
    source: siphon
      ? 'Darcy–Weisbach; least water over an inlet: ANSI/HI 9.8.'
      : 'Wyly & Eaton 1961 (NBS Monograph 31) for pipes with an open core; rim and mouth of an upright pipe.',
    note: siphon
      ? NO_NOTE
      : sentence(
          'An upright pipe runs full from about 1.25 bores of water over it (Kalinske 1940), where it ends in air or not deep and nowhere rises.',
        ),
    rules: [],
  }
}

/** What comes down with the power cut. */
export function drainBackWorking({ solved: { sump } }: About): Working | null {
  const { outage } = sump
  if (!outage) return null
  const { drainBack: back } = outage
  return {
    title: 'What comes down in a power cut',
    answer: measured('volume', back.totalM3),
    band: null,
    formula: 'V = rim + siphoned + boxes + pipes + hung',
    filled: sentence('{V} = {rim} + {siphoned} + {boxes} + {pipes} + {hung}', {
      V: ['volume', back.totalM3],
      rim: ['volume', back.aboveRimM3],
      siphoned: ['volume', back.siphonedM3],
      boxes: ['volume', back.boxesM3],
      pipes: ['volume', back.returnPipesM3 + back.drainPipesM3],
      hung: ['volume', back.equipmentM3],
    }),
    terms: [
      term('rim', 'displays above their rims', 'volume', back.aboveRimM3),
      term('siphoned', 'through outlets under water', 'volume', back.siphonedM3),
      term('boxes', 'down to their drains', 'volume', back.boxesM3),
      term('return', 'out of the return’s pipes', 'volume', back.returnPipesM3),
      term('drains', 'out of the drains', 'volume', back.drainPipesM3),
      term('hung', 'out of hung equipment', 'volume', back.equipmentM3),
      term('free', 'in the sump up to its rim', 'volume', outage.freeVolumeM3),
    ],
    source:
      'Geometry: every mouth runs by every open way to where it is bare or levels meet; Σ Aᵢ max(crestᵢ, z) = running volume + what comes down.',
    note:
      outage.withoutCheck === null
        ? NO_NOTE
        : sentence('A check valve is counted on; were it stuck open, {left} would be left.', {
            left: ['length', outage.withoutCheck.marginM],
          }),
    rules: [],
  }
}

/** The highest running level that a power cut leaves in the sump. */
export function fillLine({ design, solved: { sump } }: About): Working | null {
  const { outage } = sump
  const { box, marginM } = design.sump
  if (!outage || outage.fillLineM === null || !box) return null
  return {
    title: 'Fill no higher than this while it runs',
    answer: measured('length', outage.fillLineM - box.floorHeightM),
    band: null,
    formula: 'z_still(line) = rim − margin',
    filled: sentence('{line} comes to rest at {rim} − {margin}', {
      line: ['length', outage.fillLineM - box.floorHeightM],
      rim: ['length', box.heightM],
      margin: ['length', marginM],
    }),
    terms: [
      term('rim', 'of the sump', 'length', box.heightM),
      term('margin', 'you want to keep', 'length', marginM),
      term('V', 'that comes down', 'volume', outage.drainBack.totalM3),
      term('z', 'where the water comes to rest now', 'length', outage.stillM - box.floorHeightM),
    ],
    source: 'The same balance of volumes, solved for the return chamber’s level.',
    note: sentence('Draw it on the glass of the return chamber, over its inside floor.'),
    rules: [],
  }
}

/** Time until the pump draws air without top-off. */
export function untilAir({ design, solved: { sump } }: About): Working | null {
  const use = sump.waterUse
  if (!use || use.untilAirS === null) return null
  return {
    title: 'Days without top-off',
    answer: measured('days', use.untilAirS),
    band: null,
    formula: 't = A (z − z_air) / E',
    filled: sentence('at {E} a day the return chamber lasts {t}', {
      E: ['volume', use.evaporationM3PerS * 86_400],
      t: ['days', use.untilAirS],
    }),
    terms: [
      term('E', 'evaporation a day, all open water', 'volume', use.evaporationM3PerS * 86_400),
      term('e', 'mm a day, as you gave it', 'number', design.sump.evaporationMmPerDay),
      ...(use.reservoirS === null ? [] : [term('reservoir', 'lasts', 'days', use.reservoirS)]),
      ...(use.salinityAfterPpt === null
        ? []
        : [term('S', 'if all of it ran in at once', 'salinity', use.salinityAfterPpt)]),
    ],
    source: 'All water that evaporates comes out of the return chamber.',
    note: sentence(
      'It draws air at its maker’s least water over the inlet, else at one bore over it.',
    ),
    rules: [],
  }
}

/** Time water stays in a chamber. */
export function chamberTime({ design, solved: { sump }, chamberId }: About): Working | null {
  const chamber = design.sump.chambers.find(({ id }) => id === chamberId)
  const own = sump.chambers.find((solvedChamber) => solvedChamber.chamberId === chamberId)
  if (!chamber || !own || own.volumeM3 === null) return null
  const answer: Measured = measured('duration', own.throughflowS ?? NaN)
  return {
    title: `Time in ${chamber.name}`,
    answer,
    band: null,
    formula: 't = V / Q',
    filled: sentence('{t} = {V} / {Q}', {
      t: ['duration', own.throughflowS ?? NaN],
      V: ['volume', own.volumeM3],
      Q: ['flow', own.throughM3PerS],
    }),
    terms: [
      term('V', 'its water, less what stands in it', 'volume', own.volumeM3),
      term('Q', 'through it', 'flow', own.throughM3PerS),
      term('v', 'along the sump', 'slow-speed', own.speedMPerS ?? NaN),
      term('h', 'depth', 'length', own.depthM ?? NaN),
      ...(own.trap
        ? [
            term('down', 'speed down the gap', 'speed', own.trap.downMPerS),
            ...(own.trap.largestBubbleM === null
              ? []
              : [term('d', 'largest bubble carried', 'length', own.trap.largestBubbleM)]),
          ]
        : []),
    ],
    source: own.trap ? 'Bubbles: Schiller & Naumann drag.' : 'Volume over flow.',
    note: NO_NOTE,
    rules: [],
  }
}

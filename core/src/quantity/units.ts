/** The two families a keeper can read in. Everything inside is SI; these are used at the edges only. */
export type UnitFamily = 'metric' | 'us'

/** What is measured; each has its units in both families. */
export type QuantityName =
  | 'length'
  | 'head'
  | 'volume'
  | 'glue'
  | 'flow'
  | 'speed'
  | 'temperature'
  | 'salinity'
  | 'mass'
  | 'power'
  | 'energy'
  | 'share'
  | 'turnover'
  | 'angle'
  | 'density'
  | 'viscosity'
  | 'kinematic-viscosity'
  | 'conductivity'
  | 'valve-coefficient'
  | 'roughness'
  | 'acceleration'
  | 'area'
  | 'slow-speed'
  | 'duration'
  | 'days'
  | 'hours'
  | 'food'
  | 'dose'
  | 'rate'
  | 'irradiance'
  | 'air-per-neck'
  | 'food-load'
  | 'evaporation'
  | 'warming'
  | 'money'
  | 'conductance'
  | 'number'

/** One unit of a quantity: si = (shown × factor) + offset. */
export interface Unit {
  readonly label: string
  /** What a keeper may type for it, lower case, without spaces. */
  readonly typed: readonly string[]
  readonly factor: number
  readonly offset?: number
  /** Digits after the point for a shown value of this size. */
  readonly decimals: (shown: number) => number
}

/** The unit of each family, and how fine it is shown. */
export interface Quantity {
  readonly shown: Readonly<Record<UnitFamily, Unit>>
  /** Other units that may be typed. */
  readonly alsoTyped: readonly Unit[]
  /** Units that a large value is shown in, largest first; a field keeps to the one above. */
  readonly larger?: readonly { readonly fromSi: number; readonly unit: Unit }[]
  /** Nobody asks how much more than this it is: "over 100 y". */
  readonly mostSi?: number
}

/** Kv (m³/h at 1 bar of fresh water) of a US Cv (US gal/min at 1 psi). */
export const KV_PER_CV = 0.865

const INCH_M = 0.0254
const FOOT_M = 0.3048
const US_GALLON_M3 = 231 * INCH_M ** 3
const POUND_KG = 0.45359237
const HOUR_S = 3600
const YEAR_S = 365.25 * 86_400
/** A time is told in years from so many on, and no further than so many. */
const FROM_YEARS = 3
const MOST_YEARS = 100
const KWH_J = 3.6e6
const LITRE_M3 = 1e-3

const fixed = (digits: number) => () => digits
/** Fewer digits as the number grows: `digits` below 10, one less for each power of ten. */
const tapering = (digits: number) => (shown: number) => {
  const size = Math.abs(shown)
  return Math.max(0, size < 10 ? digits : size < 100 ? digits - 1 : digits - 2)
}

function unit(
  label: string,
  typed: string,
  factor: number,
  { decimals, offset }: { readonly decimals: Unit['decimals']; readonly offset?: number },
): Unit {
  return { label, typed: typed.split(' '), factor, decimals, ...(offset ? { offset } : {}) }
}

const mm = unit('mm', 'mm millimetre millimetres', 1e-3, {
  decimals: (s) => (Math.abs(s) < 100 ? 1 : 0),
})
const inch = unit('in', 'in inch inches " ″', INCH_M, { decimals: tapering(2) })
const metre = unit('m', 'm metre metres meter meters', 1, { decimals: fixed(2) })
const foot = unit('ft', "ft foot feet ' ′", FOOT_M, { decimals: fixed(2) })
const centimetre = unit('cm', 'cm', 1e-2, { decimals: fixed(1) })
const litre = unit('L', 'l litre litres liter liters', LITRE_M3, { decimals: tapering(2) })
const gallon = unit('gal', 'gal gallon gallons usgal', US_GALLON_M3, { decimals: tapering(2) })
const litreAnHour = unit('L/h', 'l/h lph l/hr', LITRE_M3 / HOUR_S, {
  decimals: (s) => (Math.abs(s) < 10 ? 1 : 0),
})
const gallonAnHour = unit('gph', 'gph gal/h gal/hr usgph', US_GALLON_M3 / HOUR_S, {
  decimals: (s) => (Math.abs(s) < 10 ? 1 : 0),
})
const plain = unit('', '', 1, {
  decimals: (s) => {
    const size = Math.abs(s)
    return size < 1 ? 4 : size < 10 ? 3 : size < 100 ? 2 : 0
  },
})
const YEARS = unit('y', '', YEAR_S, { decimals: fixed(0) })
const both = (same: Unit) => ({ metric: same, us: same })

/** Every quantity the interface shows. */
export const QUANTITIES: Readonly<Record<QuantityName, Quantity>> = {
  length: { shown: { metric: mm, us: inch }, alsoTyped: [centimetre, metre, foot] },
  head: { shown: { metric: metre, us: foot }, alsoTyped: [mm, centimetre, inch] },
  // Tubes and tins.
  glue: {
    shown: {
      metric: unit('mL', 'ml', 1e-6, { decimals: () => 0 }),
      us: unit('fl oz', 'floz', 2.95735e-5, { decimals: () => 1 }),
    },
    alsoTyped: [],
  },
  volume: {
    shown: { metric: litre, us: gallon },
    alsoTyped: [
      unit('m³', 'm3 m³', 1, { decimals: fixed(3) }),
      unit('mL', 'ml', 1e-6, { decimals: fixed(0) }),
    ],
  },
  flow: {
    shown: { metric: litreAnHour, us: gallonAnHour },
    alsoTyped: [
      unit('L/min', 'l/min lpm', LITRE_M3 / 60, { decimals: fixed(1) }),
      unit('gpm', 'gpm gal/min', US_GALLON_M3 / 60, { decimals: fixed(1) }),
      unit('m³/h', 'm3/h m³/h', 1 / HOUR_S, { decimals: fixed(2) }),
    ],
  },
  speed: {
    shown: {
      metric: unit('m/s', 'm/s', 1, { decimals: fixed(2) }),
      us: unit('ft/s', 'ft/s fps', FOOT_M, { decimals: fixed(2) }),
    },
    alsoTyped: [unit('cm/s', 'cm/s', 1e-2, { decimals: fixed(1) })],
  },
  temperature: {
    shown: {
      metric: unit('°C', '°c c degc', 1, { decimals: fixed(1) }),
      us: unit('°F', '°f f degf', 5 / 9, { decimals: fixed(1), offset: -160 / 9 }),
    },
    alsoTyped: [],
  },
  // SI here is ppt; specific gravity and conductivity need the temperature and are read by the field itself.
  salinity: {
    shown: both(unit('ppt', 'ppt psu g/kg ‰', 1, { decimals: fixed(1) })),
    alsoTyped: [],
  },
  mass: {
    shown: {
      metric: unit('kg', 'kg', 1, { decimals: tapering(2) }),
      us: unit('lb', 'lb lbs', POUND_KG, { decimals: tapering(2) }),
    },
    alsoTyped: [unit('g', 'g', 1e-3, { decimals: fixed(0) })],
  },
  power: {
    shown: both(unit('W', 'w', 1, { decimals: tapering(1) })),
    alsoTyped: [unit('kW', 'kw', 1e3, { decimals: fixed(3) })],
  },
  energy: { shown: both(unit('kWh', 'kwh', KWH_J, { decimals: tapering(1) })), alsoTyped: [] },
  share: {
    shown: both(unit('%', '%', 1e-2, { decimals: (s) => (Math.abs(s) < 10 ? 1 : 0) })),
    alsoTyped: [],
  },
  turnover: {
    shown: both(unit('/h', '/h x × x/h ×/h', 1, { decimals: tapering(1) })),
    alsoTyped: [],
  },
  angle: { shown: both(unit('°', '° deg', 1, { decimals: fixed(0) })), alsoTyped: [] },
  density: {
    shown: {
      metric: unit('kg/m³', 'kg/m3 kg/m³', 1, { decimals: fixed(1) }),
      us: unit('lb/ft³', 'lb/ft3 lb/ft³', POUND_KG / FOOT_M ** 3, { decimals: fixed(2) }),
    },
    alsoTyped: [unit('g/cm³', 'g/cm3 g/cm³ kg/l', 1e3, { decimals: fixed(2) })],
  },
  viscosity: { shown: both(unit('mPa·s', 'mpas', 1e-3, { decimals: fixed(3) })), alsoTyped: [] },
  'kinematic-viscosity': {
    shown: both(unit('mm²/s', 'mm2/s', 1e-6, { decimals: fixed(3) })),
    alsoTyped: [],
  },
  conductivity: {
    shown: both(unit('mS/cm', 'ms/cm ms', 1, { decimals: fixed(1) })),
    alsoTyped: [],
  },
  // Held as Kv, m³/h at 1 bar: the unit makers print, so the one exception to SI (named kvM3PerH).
  'valve-coefficient': {
    shown: {
      metric: unit('Kv', 'kv', 1, { decimals: tapering(1) }),
      us: unit('Cv', 'cv', KV_PER_CV, { decimals: tapering(1) }),
    },
    alsoTyped: [],
  },
  roughness: {
    shown: both(unit('mm', 'mm', 1e-3, { decimals: fixed(4) })),
    alsoTyped: [unit('µm', 'µm um', 1e-6, { decimals: fixed(1) })],
  },
  'slow-speed': {
    shown: {
      metric: unit('cm/s', 'cm/s', 1e-2, { decimals: fixed(1) }),
      us: unit('in/s', 'in/s', INCH_M, { decimals: fixed(2) }),
    },
    alsoTyped: [
      unit('m/s', 'm/s', 1, { decimals: fixed(2) }),
      unit('ft/s', 'ft/s fps', FOOT_M, { decimals: fixed(2) }),
    ],
  },
  area: {
    shown: {
      metric: unit('cm²', 'cm2 cm²', 1e-4, { decimals: fixed(0) }),
      us: unit('in²', 'in2 in² sqin', INCH_M ** 2, { decimals: fixed(1) }),
    },
    alsoTyped: [unit('m²', 'm2 m²', 1, { decimals: fixed(3) })],
  },
  duration: {
    shown: both(
      unit('s', 's sec second seconds', 1, { decimals: (s) => (Math.abs(s) < 10 ? 1 : 0) }),
    ),
    alsoTyped: [
      unit('min', 'min minute minutes', 60, { decimals: fixed(1) }),
      unit('h', 'h hour hours', 3600, { decimals: fixed(1) }),
      unit('d', 'd day days', 86_400, { decimals: fixed(1) }),
    ],
    mostSi: MOST_YEARS * YEAR_S,
    larger: [
      { fromSi: FROM_YEARS * YEAR_S, unit: YEARS },
      { fromSi: 2 * 86_400, unit: unit('d', '', 86_400, { decimals: fixed(1) }) },
      { fromSi: 2 * 3600, unit: unit('h', '', 3600, { decimals: fixed(1) }) },
      { fromSi: 120, unit: unit('min', '', 60, { decimals: fixed(1) }) },
    ],
  },
  hours: {
    shown: both(unit('h', 'h hour hours', HOUR_S, { decimals: tapering(1) })),
    alsoTyped: [
      unit('d', 'd day days', 86_400, { decimals: fixed(1) }),
      unit('min', 'min minute minutes', 60, { decimals: fixed(0) }),
    ],
  },
  days: {
    shown: both(unit('days', 'd day days', 86_400, { decimals: fixed(1) })),
    alsoTyped: [],
    mostSi: MOST_YEARS * YEAR_S,
    larger: [{ fromSi: FROM_YEARS * YEAR_S, unit: YEARS }],
  },
  // Weighed in grams in both families.
  food: {
    shown: both(unit('g', 'g gram grams', 1e-3, { decimals: tapering(1) })),
    alsoTyped: [
      unit('oz', 'oz', POUND_KG / 16, { decimals: fixed(2) }),
      unit('kg', 'kg', 1, { decimals: fixed(3) }),
    ],
  },
  dose: {
    shown: both(unit('mJ/cm²', 'mj/cm2 mj/cm²', 10, { decimals: tapering(1) })),
    alsoTyped: [unit('J/m²', 'j/m2 j/m²', 1, { decimals: fixed(0) })],
  },
  rate: {
    shown: both(unit('/h', '/h', 1 / HOUR_S, { decimals: tapering(2) })),
    alsoTyped: [unit('/d', '/d', 1 / 86_400, { decimals: fixed(1) })],
  },
  irradiance: {
    shown: both(unit('W/m²', 'w/m2 w/m²', 1, { decimals: tapering(1) })),
    alsoTyped: [],
  },
  'air-per-neck': {
    shown: {
      metric: unit('L/h/cm²', 'l/h/cm2', LITRE_M3 / HOUR_S / 1e-4, { decimals: tapering(1) }),
      us: unit('gal/h/in²', 'gal/h/in2 gph/in2', US_GALLON_M3 / HOUR_S / INCH_M ** 2, {
        decimals: tapering(1),
      }),
    },
    alsoTyped: [],
  },
  'food-load': {
    shown: {
      metric: unit('g/100 L', 'g/100l', 1e-2, { decimals: tapering(2) }),
      us: unit('g/100 gal', 'g/100gal', 1e-3 / (100 * US_GALLON_M3), { decimals: tapering(2) }),
    },
    alsoTyped: [],
  },
  // Held in mm a day, as it is measured: the field is named evaporationMmPerDay.
  evaporation: {
    shown: {
      metric: unit('mm/day', 'mm/d mm/day', 1, { decimals: tapering(1) }),
      us: unit('in/day', 'in/d in/day', INCH_M * 1e3, { decimals: fixed(2) }),
    },
    alsoTyped: [],
  },
  warming: {
    shown: {
      metric: unit('°C/h', '°c/h', 1 / HOUR_S, { decimals: fixed(2) }),
      us: unit('°F/h', '°f/h', 5 / 9 / HOUR_S, { decimals: fixed(2) }),
    },
    alsoTyped: [],
  },
  // In the keeper's own currency, whose sign stands apart.
  money: { shown: both(unit('', '', 1, { decimals: tapering(2) })), alsoTyped: [] },
  conductance: {
    shown: {
      metric: unit('W/°C', 'w/k w/c', 1, { decimals: tapering(1) }),
      us: unit('W/°F', 'w/f', 9 / 5, { decimals: tapering(1) }),
    },
    alsoTyped: [],
  },
  acceleration: { shown: both(unit('m/s²', 'm/s2', 1, { decimals: fixed(3) })), alsoTyped: [] },
  number: { shown: both(plain), alsoTyped: [] },
}

/** A number as typed in a unit, in SI. */
export function toSi(shownIn: Unit, shown: number): number {
  return shown * shownIn.factor + (shownIn.offset ?? 0)
}

/** An SI value as a number in a unit. */
export function fromSi(shownIn: Unit, si: number): number {
  return (si - (shownIn.offset ?? 0)) / shownIn.factor
}

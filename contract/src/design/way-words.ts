import type {
  ChamberUse,
  DeviceKind,
  DrainRole,
  FeedForm,
  InletForm,
  Landing,
  LoadClass,
  NoiseClass,
  OverflowForm,
  OverflowPlace,
  PatternKind,
  ScenePanel,
  SkimmerForm,
  WallKind,
  ZoneKind,
} from '@yew-basin/core'

/** Every word of a choice once: a list that lacks one does not compile, one too many neither. */
function wordsOf<T extends string>(words: Readonly<Record<T, true>>): readonly T[] {
  return Object.keys(words) as T[]
}

/** Forms of an overflow that a document may name. */
export const OVERFLOW_FORMS = wordsOf<OverflowForm>({
  'inner-box': true,
  'outer-box': true,
  'inner-and-outer': true,
  'hung-box': true,
  'rear-chambers': true,
})

/** Where its box may stand. */
export const OVERFLOW_PLACES = wordsOf<OverflowPlace>({
  left: true,
  right: true,
  back: true,
  corner: true,
  centre: true,
})

/** What a drain may be for. */
export const DRAIN_ROLES = wordsOf<DrainRole>({
  siphon: true,
  vented: true,
  trickle: true,
  emergency: true,
})

/** Forms of a drain's inlet. */
export const INLET_FORMS = wordsOf<InletForm>({
  flush: true,
  open: true,
  strainer: true,
  'turned-down': true,
  capped: true,
})

/** What water may fall into. */
export const LANDINGS = wordsOf<Landing>({ open: true, sock: true, roller: true })

/** What a chamber may be for. */
export const CHAMBER_USES = wordsOf<ChamberUse>({
  'drain-entry': true,
  socks: true,
  roller: true,
  skimmer: true,
  rock: true,
  refugium: true,
  media: true,
  trap: true,
  return: true,
  reservoir: true,
  other: true,
})

/** Kinds of a sump's wall. */
export const WALL_KINDS = wordsOf<WallKind>({
  over: true,
  under: true,
  comb: true,
  pipe: true,
  solid: true,
})

/** Kinds of a device. */
export const DEVICE_KINDS = wordsOf<DeviceKind>({
  skimmer: true,
  sterilizer: true,
  heater: true,
  chiller: true,
  reactor: true,
  scrubber: true,
  'flow-meter': true,
})

/** How loud a maker calls it. */
export const NOISE_CLASSES = wordsOf<NoiseClass>({
  silent: true,
  'heard-near': true,
  'heard-across': true,
})

/** Where a skimmer's body stands. */
export const SKIMMER_FORMS = wordsOf<SkimmerForm>({ internal: true, external: true, hung: true })

/** Forms of food. */
export const FEED_FORMS = wordsOf<FeedForm>({ cube: true, dry: true, sheet: true })

/** How heavily a system may be fed. */
export const LOAD_CLASS_WORDS = wordsOf<LoadClass>({ light: true, medium: true, heavy: true })

/** Panels a circulation pump may hang on. */
export const SCENE_PANELS = wordsOf<ScenePanel>({
  left: true,
  right: true,
  front: true,
  back: true,
})

/** How circulation pumps may take turns. */
export const PATTERN_KINDS = wordsOf<PatternKind>({
  steady: true,
  pulse: true,
  alternate: true,
  reversing: true,
  random: true,
})

/** Zones with a speed of their own. */
export const ZONE_KINDS = wordsOf<ZoneKind>({
  soft: true,
  'large-polyp': true,
  'small-polyp': true,
  sand: true,
  quiet: true,
})

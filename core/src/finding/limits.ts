/** Every limit that a rule judges by, with its reason. Most are choices of this project's, said so. */

/** Faster than this in plastic pipe to a tank is loud and wears on elbows: the 5 ft/s that pipe makers' guides give. */
export const FAST_M_PER_S = 1.5
/** In hose, which does not ring and has no sharp elbows (choice). */
export const FAST_IN_HOSE_M_PER_S = 1.8
/** In a takeoff behind the cabinet's doors (choice: 6 ft/s, the upper end of the same guides). */
export const FAST_TO_SUMP_M_PER_S = 1.8

/** A flow within this share below the wanted one counts as met: a turnover target is no finer (choice). */
export const SHORT_SHARE = 0.1
/** Does a flow meet what is wanted? */
export const meetsWanted = (flowM3PerS: number, wantedM3PerS: number) =>
  flowM3PerS >= (1 - SHORT_SHARE) * wantedM3PerS
/** Below half of what is wanted the design does not do its job (choice). */
export const STOP_SHARE = 0.5
/** Above what is wanted by this share, a flow costs power and noise for nothing (choice). */
export const PAST_SHARE = 0.25
/** A takeoff this far from its target is said (choice). */
export const TAKEOFF_OFF_SHARE = 0.15
/** A fouled pump gives about this share of its flow; a design should still do its job then (choice). */
export const FOULED_SHARE = 0.85
/** A valve that eats this share of the pump's head does the pump's work (choice). */
export const WASTED_SHARE = 0.25

/** A union counts as beside the pump when no more than this much pipe lies between them, m (choice). */
export const BESIDE_PUMP_M = 0.6
/** An outlet and a line whose bores differ by less than this share go together (choice). */
export const BORE_MATCH_SHARE = 0.15
/** Ports that differ from the line's bore by more than this share want an adapter (choice). */
export const PORT_SHARE = 0.15
/** So many hard elbows with nothing but short pipe between them are worth a hose. */
export const ELBOWS_IN_A_ROW = 3
/** Pipe between two elbows longer than this parts them, m (choice). */
export const PARTS_ELBOWS_M = 0.5
/** A line that ends this near to its place has reached it: glue and sockets give as much, m (choice). */
export const REACHED_M = 0.005
/** A break hole is drilled so far under the running surface, m: deep enough to stay wet, shallow enough to break soon (choice). */
export const BREAK_HOLE_DEPTH_M = 0.02

/** Below this the ripples of a circulation pump reach the rim, m (choice). */
export const LEAST_FREEBOARD_M = 0.02
/** Freeboard that a change leaves, m (choice). */
export const GOOD_FREEBOARD_M = 0.03

/** Water this thick over a rim skims little and moves the level much, m (choice). */
export const THICK_M = 0.025
/** A lengthened rim runs at this head, m (choice). */
export const GOOD_HEAD_M = 0.018
/** Teeth that are longer than the head by this share stay above the water when a few are shut (choice). */
export const TEETH_RESERVE = 0.75
/** A hole keeps its own width from edges and from other holes (the trade's usual least; ask your glazier). */
export const HOLE_WIDTHS = 1
/** V/√(gD) that a siphon tube is chosen for: air is swept out from 0.8 on. */
export const SWEPT_FROUDE = 0.9

/** A hand with a cup or a pump in it needs so much room, m (choice). */
export const HAND_M = 0.1
/** Sooner than this, a weekend away runs the pump dry, s (choice). */
export const DRY_SOON_S = 3 * 86_400
/** Larger bubbles than this are seen and heard in a display, m (choice). */
export const SEEN_BUBBLE_M = 0.0008
/** The least depth that a return chamber runs at, m: a hand's width of water (choice). */
export const LEAST_RUNNING_DEPTH_M = 0.05
/** Raised this far over the next water, a wall runs free, m (choice). */
export const CLEAR_OVER_WALL_M = 0.01
/** A valve is set for so much of the target’s flow that the dose’s own band, ± 30 % and the flow’s, reaches the target too (choice). */
export const DOSE_AIM = 0.67
/** Nearer to its target than this share, a lamp's valve is left alone (choice). */
export const DOSE_NEAR_SHARE = 0.1

import type { FindingCode } from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'

const NO_WAY_DOWN = sentence(
  'Neither a longer rim nor other pipes do it in this place: take a larger overflow, or less flow.',
)
const NO_ROOM_BELOW = sentence(
  'No level, hole or higher panel makes the room here: a bigger sump does, or less water over the rim.',
)
const STRETCH_BY_HAND = sentence(
  'No pipe of this run can be stretched so far: add a turn and a length that lead there.',
)
const TAKE_SMALLER = sentence(
  'No place in its chamber or beside the sump takes it: take a smaller one, or make the chamber longer.',
)

/** What would have to change where no change that was tried fixes a finding; every code that can stop has one. */
export const OTHERWISE: Partial<Readonly<Record<FindingCode, ReturnType<typeof sentence>>>> = {
  'water-over-rim': sentence(
    'Neither the level nor the overflow’s edge can be set low enough: take a higher rim, or less flow.',
  ),
  'rim-over-panels': sentence('Measure the panels again: water spills at the lowest of them.'),
  'little-freeboard': sentence(
    'Neither the level nor the overflow’s edge can be set lower: bring less flow, or a longer rim.',
  ),
  'no-net-water': sentence(
    'Rock and sand leave no water: weigh them again, or measure the tank again.',
  ),
  'tank-unfed': sentence('Lead a line of the return into it, or take the tank out of the design.'),
  'valve-shut': sentence('Its valve cannot be opened here: lay the line anew.'),
  'no-flow-at-this-speed': sentence(
    'This pump does not lift so high at any speed: choose another pump, or lower the end.',
  ),
  'flows-back': sentence(
    'End it over the water, put a check valve into it, or choose a pump that lifts higher.',
  ),
  unsettled: sentence(
    'Look for a figure that can’t be: a pump’s curve, a bore or a length far from the others.',
  ),
  'flow-short': sentence(
    'Neither this pump’s speed nor a wider run gets there: choose another pump. The list says what each gives in this run.',
  ),
  'flow-past': sentence('Put a gate valve in the run, or choose a smaller pump.'),
  'misses-its-place': STRETCH_BY_HAND,
  'mouth-outside-tank': STRETCH_BY_HAND,
  'pipe-through-panel': sentence('Lead it up past the rim, across, and down into the tank.'),
  'hose-too-short': sentence('Bring its ends nearer together, or lay it in rigid pipe.'),
  'pieces-after-nozzle': sentence('Take out what comes after the nozzle.'),
  'pump-draws-air': sentence(
    'The chamber is too shallow for this pump: raise its wall, or stand the pump lower.',
  ),
  'pump-does-not-fit': sentence('Take a smaller pump, or make its chamber longer or deeper.'),
  'hole-outside-box': sentence(
    'A box of this form stands over no hole in the floor: leave it out.',
  ),
  'tempered-panel': sentence(
    'Drill another panel that is not tempered, or hang the overflow over the rim.',
  ),
  'hung-loses-prime': sentence(
    'No tube of a usual bore keeps its prime here: bring more flow, or have the tank drilled.',
  ),
  'runs-over-now': NO_WAY_DOWN,
  'box-without-drain': sentence('Lay its drains at the next stop.'),
  'emergency-cannot-carry': NO_WAY_DOWN,
  'emergency-not-sure': NO_WAY_DOWN,
  'siphon-may-not-start': NO_WAY_DOWN,
  'joined-drains': NO_WAY_DOWN,
  'blocked-pipe-held': NO_WAY_DOWN,
  'drain-outside-box': sentence('Set its inlet between the walls of the box by hand.'),
  'end-outside-chamber': STRETCH_BY_HAND,
  'above-fill-line': NO_ROOM_BELOW,
  'sump-too-small': NO_ROOM_BELOW,
  'outage-held': NO_ROOM_BELOW,
  'outage-elsewhere': NO_ROOM_BELOW,
  'chamber-runs-over': NO_ROOM_BELOW,
  'chamber-starved': sentence(
    'Bring a drain into this chamber or one before it, or let the pump draw further along.',
  ),
  'level-below-floor': sentence('Give its level between the floor and its rim.'),
  'skimmer-depth': sentence('The next chambers hold it there: set their walls first.'),
  'device-does-not-fit': TAKE_SMALLER,
  'devices-collide': TAKE_SMALLER,
  'skimmer-without-water': sentence('Choose the chamber that it stands in.'),
  'cup-stays-on': sentence('No stand or wall gives it the room: take a shorter one.'),
  'lamp-without-flow': sentence(
    'Choose the line it stands in, or tee one off the return for it, and open its valves.',
  ),
  'heater-too-small': sentence(
    'No heater of a usual size holds it: cover the water, or warm the room.',
  ),
  'cannot-come-out': sentence(
    'No pipe between has room for a union: make one longer, put in a length of hose, or take the clip off.',
  ),
  'glued-between-fixed': sentence(
    'No pipe between has room for a union: make one longer, or put in a length of hose.',
  ),
  'stub-too-short': sentence(
    'No stretch of this leg can be lengthened: take a street elbow, a hose, or one fitting less between them.',
  ),
  'no-single-adapter': sentence('Put two adapters in a row, or a length of hose between them.'),
  'hose-without-clamp': sentence('Put a clamp on it.'),
}

import { leadOf } from '../figures/index.ts'
import type { Found } from '../key-figures/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Idea } from './idea.ts'

/** What a pump pushes against. */
export function head(found: Found): Idea {
  const { pump, liftM, frictionM, fittingsM } = leadOf(found)
  return {
    name: 'head',
    title: sentence('A pump gives less the higher it has to push'),
    holds: sentence(
      'Head is how hard the pump works, told as a height of water: the height it lifts, and what pipe and fittings take on the way. The number on its box is without any of it. Wider pipe and fewer elbows take less; the height stays.',
    ),
    here:
      pump.stopped || pump.flowM3PerS <= 0
        ? sentence(
            'This pump reaches {most} at its speed, and the water would have to rise {lift}.',
            {
              most: ['head', pump.shutOffHeadM],
              lift: ['head', liftM],
            },
          )
        : sentence(
            'Here: {lift} of height and {lost} taken on the way. The pump gives {flow}; with no head at all it would give {free}.',
            {
              lift: ['head', liftM],
              lost: ['head', frictionM + fittingsM],
              flow: ['flow', pump.flowM3PerS, pump.flowBandM3PerS],
              free: ['flow', pump.freeFlowM3PerS],
            },
          ),
  }
}

/** Water over an edge. */
export function weir({ overflows }: Found): Idea {
  const [thickest] = overflows.toSorted((a, b) => b.headM - a.headM)
  return {
    name: 'weir',
    title: sentence('Water stands higher than the edge it runs over'),
    holds: sentence(
      'It takes a sheet of water over the edge to push the flow across. More flow or a shorter edge makes the sheet thicker and the tank fuller. Eight times the flow wants about four times the sheet.',
    ),
    here: thickest
      ? sentence('Here the water stands {sheet} over the edge, and carries {flow} across it.', {
          sheet: ['length', thickest.headM, thickest.headBandM],
          flow: ['flow', thickest.flowM3PerS],
        })
      : null,
  }
}

/** A pipe that is full of water. */
export function siphon({ drains }: Found): Idea {
  const full = drains.find(({ leastOverInletM }) => leastOverInletM !== null)
  return {
    name: 'siphon',
    title: sentence('A pipe full of water pulls; air in it ends that'),
    holds: sentence(
      'With no air in it the whole fall pulls at the water, quietly, and the pipe carries many times what it does half empty. A valve holds it back to just the flow that comes: too far open and it sucks air, too far shut and the box rises to the next pipe.',
    ),
    here: full
      ? sentence(
          'Here it could carry {open} with its valve open, and takes {flow} as it is set. {over} of water stand over its inlet; {least} are wanted to keep air out.',
          {
            open: ['flow', full.openPrimedM3PerS],
            flow: ['flow', full.flowM3PerS, full.flowBandM3PerS],
            over: ['length', full.overInletM],
            least: ['length', full.leastOverInletM!],
          },
        )
      : null,
  }
}

/** A pipe with air and water in it. */
export function airInPipe({ drains }: Found): Idea {
  const vented = drains.find((drain) => drain.vented !== null)?.vented
  const emergency = drains.find((drain) => drain.emergency !== null)?.emergency
  return {
    name: 'air-in-pipe',
    title: sentence('Where air goes down with the water, a pipe carries little'),
    holds: sentence(
      'The water runs down the wall and air down the middle: quiet up to about a quarter of the pipe, loud from a third. An emergency pipe starts like that. It takes the whole flow only when the water stands high enough over its mouth, so the room above its mouth is what keeps the floor dry.',
    ),
    here: vented
      ? sentence('Here such a pipe takes {usual} quietly, and {most} at the most.', {
          usual: ['flow', vented.usualM3PerS],
          most: ['flow', vented.mostM3PerS],
        })
      : emergency
        ? sentence(
            'Here the emergency has {room} between its mouth and the rim; up to there it takes {open} with air in it and {full} full of water.',
            {
              room: ['length', emergency.inletToRimM],
              open: ['flow', emergency.openAtRimM3PerS, emergency.openAtRimBandM3PerS],
              full: ['flow', emergency.primedAtRimM3PerS, emergency.primedAtRimBandM3PerS],
            },
          )
        : null,
  }
}

/** What a power cut does. */
export function comesDown({ sump: { outage } }: Found): Idea {
  return {
    name: 'comes-down',
    title: sentence('When the power goes, water comes down'),
    holds: sentence(
      'The sheet over the edge runs off, boxes and pipes empty, and a return mouth under water sucks the tank down until air gets in. All of it has to find room in the sump above the water that stands there already. That is why a sump is never filled to the top.',
    ),
    here: !outage
      ? null
      : outage.spills
        ? sentence('Here {volume} come down, more than the sump has room for.', {
            volume: ['volume', outage.drainBack.totalM3],
          })
        : sentence('Here {volume} come down, and the sump comes to rest {left} under its rim.', {
            volume: ['volume', outage.drainBack.totalM3],
            left: ['length', outage.marginM, outage.marginBandM],
          }),
  }
}

/** Several ends on one pump. */
export function linesShare(found: Found): Idea {
  const { lines } = found.returnSide
  const running = lines.filter(({ flowM3PerS }) => flowM3PerS > 0)
  const lead = leadOf(found)
  return {
    name: 'lines-share',
    title: sentence('Ends on one pump share what it gives'),
    holds: sentence(
      'Water takes the easier way. Opening one takeoff takes from all the others, and lowers the head they are driven by; shutting it gives that back. A valve in the easy line is what makes the others get their share.',
    ),
    here:
      running.length > 1
        ? sentence('Here {count} ends run; {name} gets {flow} of what its pump gives, {all}.', {
            count: String(running.length),
            name: found.tanks.length > 1 ? 'the first tank’s line' : 'the tank’s line',
            flow: ['flow', lead.flowM3PerS, lead.flowBandM3PerS],
            all: ['flow', lead.pump.flowM3PerS],
          })
        : null,
  }
}

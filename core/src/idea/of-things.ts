import type { Found } from '../key-figures/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Idea } from './idea.ts'

/** What sets the levels of a sump. */
export function wallsHold({ sump: { chambers, returnChamberId, waterUse } }: Found): Idea {
  const last = chambers.find(({ chamberId }) => chamberId === returnChamberId)
  return {
    name: 'walls-hold',
    title: sentence('Walls hold the levels; the last chamber takes every change'),
    holds: sentence(
      'A chamber that water leaves over a wall always stands at that wall, whatever you fill in. Only the pump’s chamber rises and falls: with what evaporates, with what comes down, with what stands in a new pipe. So the pump’s chamber wants room both ways.',
    ),
    here:
      last?.depthM != null
        ? waterUse?.untilAirS != null
          ? sentence('Here the pump’s chamber is {depth} deep. With no top-off it lasts {time}.', {
              depth: ['length', last.depthM, last.levelBandM],
              time: ['duration', waterUse.untilAirS],
            })
          : sentence('Here the pump’s chamber is {depth} deep.', {
              depth: ['length', last.depthM, last.levelBandM],
            })
        : null,
  }
}

/** What is drawn is what gets glued. */
export function trueToScale(): Idea {
  return {
    name: 'true-to-scale',
    title: sentence('What is drawn is what you will glue'),
    holds: sentence(
      'Rigid pipe does not give: its ends meet only if the sizes before them are true, and what stands in the way on the drawing stands in the way in the room. Glass that is drilled near an edge, or tempered, breaks. A hand needs room too. Measure the real thing once more before you cut.',
    ),
    here: null,
  }
}

/** Cleaning water as it passes. */
export function lightAndTime({ treatment: { sterilizers, load } }: Found): Idea {
  const lit = sterilizers.find(({ doseJPerM2 }) => doseJPerM2 !== null)
  return {
    name: 'light-and-time',
    title: sentence('Slow water is cleaned well, fast water often'),
    holds: sentence(
      'Water that passes slowly stays long with the light, or with the bubbles, and loses more in one pass; fast water passes more often and loses less each time. What must die in one pass needs it slow. What grows in the tank must be caught faster than it doubles.',
    ),
    here: lit
      ? sentence('Here {flow} pass the lamp and get {dose}; {volume} have to come by.', {
          flow: ['flow', lit.flowM3PerS, lit.flowBandM3PerS],
          dose: ['dose', lit.doseJPerM2!, lit.doseBandJPerM2 ?? 0],
          volume: ['volume', load.systemVolumeM3],
        })
      : null,
  }
}

/** What keeps the water warm, or makes it too warm. */
export function warmth({ heat }: Found): Idea {
  return {
    name: 'warmth',
    title: sentence('Warmth goes where it is colder, and with what evaporates'),
    holds: sentence(
      'The water loses warmth through its panels and with every drop that evaporates, the more the colder the room. Pumps and lights give some back, in summer too much. A heater has to hold the coldest night; one that sticks must not cook the tank before you see it.',
    ),
    here: heat
      ? sentence(
          'Here a room one degree colder takes {watt} more through the panels; the heaters have {has}.',
          {
            watt: ['power', heat.conductanceWPerK],
            has: ['power', heat.heatersW],
          },
        )
      : null,
  }
}

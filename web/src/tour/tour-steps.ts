import type { Station } from '@yew-basin/core'

/** A part of the workspace that a step points at. */
export type TourPlace = 'path' | 'section' | 'bench' | 'strip' | 'head'

/** What is said of a part, and the stop it is said at. */
export interface TourStep {
  readonly place: TourPlace
  readonly station: Station
  readonly title: string
  readonly text: string
}

/** Seven, of some eight seconds each. */
export const TOUR_STEPS: readonly TourStep[] = [
  {
    place: 'path',
    station: 'return',
    title: 'The water’s way',
    text: 'Tank, overflow, drains, sump, return: the stops in the order the water passes them, each with its figure and how it stands. Press one to work on it.',
  },
  {
    place: 'section',
    station: 'return',
    title: 'The section',
    text: 'Drawn to scale, with the water where it will stand. Press a part of it to go to its stop.',
  },
  {
    place: 'bench',
    station: 'return',
    title: 'The bench',
    text: 'Here you type, in litres or gallons as you like. Every figure moves as you do. Press a figure and it shows how it came about.',
  },
  {
    place: 'bench',
    station: 'drains',
    title: 'What is found',
    text: 'A square is a stop, a diamond something to watch. Each says why, and what would mend it; Preview shows a change before anything is changed.',
  },
  {
    place: 'bench',
    station: 'sump',
    title: 'Why is this so?',
    text: 'Under each heading, and on every stop: the two or three ideas behind it, drawn, with your own figures.',
  },
  {
    place: 'strip',
    station: 'sump',
    title: 'The strip',
    text: 'What decides stays in sight wherever you are: the flow with its band, and what is left before anything runs over.',
  },
  {
    place: 'head',
    station: 'sump',
    title: 'Prove it',
    text: 'Under Prove every bad day is played before there is water: a power cut, each pipe blocked. And everything can be undone. That is all.',
  },
]

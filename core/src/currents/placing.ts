/** Where a tank's pumps go, and how many there should be: long searches. */
export { type HowMany, howMany, type SoMany, updatesOfHowMany } from './how-many.ts'
export {
  type Placement,
  type PlacementSearch,
  placePumps,
  updatesOfPlacing,
} from './place-pumps.ts'

export { type FillLine, fillLineOf, highestRest, overM3, type RestSump } from './fill-line.ts'
export { openWays } from './open-ways.ts'
export type {
  OpenWays,
  RestCase,
  RestDrain,
  RestGift,
  RestMouth,
  RestSpace,
  RestWall,
  RestWay,
} from './rest-case.ts'
export { type Rest, restOf } from './rest-levels.ts'

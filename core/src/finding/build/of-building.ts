import { cutCases, jointCases, routeCases } from '../case/build-case.ts'
import type { Whole } from '../case/whole.ts'
import { type Asked, each } from '../rule.ts'
import { cannotComeOut, thingCases } from './cannot-come-out.ts'
import { chainCases, gluedBetweenFixed } from './glued-between-fixed.ts'
import { hoseStretched, hoseWithoutClamp } from './hose-joints.ts'
import { jointOutOfReach } from './joint-out-of-reach.ts'
import { noSingleAdapter } from './no-single-adapter.ts'
import { pushFitUnderPressure } from './push-fit-under-pressure.ts'
import { spareStubTooShort } from './spare-stub-too-short.ts'
import { stubTooShort } from './stub-too-short.ts'
import { wiperCases, wiperInSaltWater } from './wiper-in-salt-water.ts'

/** Rules of a design as it is built. */
export const OF_BUILDING: Asked<Whole> = each(
  (whole: Whole) => [whole],
  each(
    routeCases,
    each(
      jointCases,
      noSingleAdapter,
      hoseWithoutClamp,
      hoseStretched,
      pushFitUnderPressure,
      jointOutOfReach,
    ),
    each(cutCases, stubTooShort, spareStubTooShort),
  ),
  each(thingCases, cannotComeOut),
  each(chainCases, gluedBetweenFixed),
  each(wiperCases, wiperInSaltWater),
)

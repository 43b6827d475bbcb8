import { cubicHermite, cubicHermiteSlope, zeros } from '../numeric/index.ts'
import { frictionSeries, SERIES_REACH, SERIES_TERMS, seriesAt } from './friction-series.ts'

/** Below this the flow is laminar; above the other it is turbulent; a cubic joins them. */
export const LAMINAR_UP_TO_RE = 2000
const TURBULENT_FROM_RE = 4000

/** How water flows in a pipe. */
export type Regime = 'laminar' | 'transition' | 'turbulent'

/** The regime at a Reynolds number. */
export function regimeAt(re: number): Regime {
  if (re <= LAMINAR_UP_TO_RE) return 'laminar'
  return re < TURBULENT_FROM_RE ? 'transition' : 'turbulent'
}

/** A Darcy friction factor with its slope, written into by `frictionAt`. */
export interface Friction {
  factor: number
  /** df/d(ln Re). */
  slope: number
}

/**
 * Somebody's search for the friction along one wall, to be asked again and again: its roughness and
 * where the next search begins, numbers side by side. Never shared.
 */
export type FrictionSearch = number[] & { readonly ofFriction: unique symbol }

/** Where each number of a search stands. */
const ROUGHNESS = 0
/** Reynolds number that was asked for near here, and how often. */
const MIDDLE = 1
const ASKED = 2
/** 1/√f of the last turbulent flow asked for, over 1 for any; below: none yet. */
const INVERSE_ROOT = 3
/** An argument of Colebrook's logarithm that was near, and 2 log₁₀ of it. */
const ANCHOR = 4
const ANCHOR_LOG = 5
/** f about the middle as a series, once that pays. */
const SERIES = 6
const ROOM = SERIES + SERIES_TERMS

/** 2/ln 10: −2 log₁₀ written with natural logarithms. */
const TWO_OVER_LN10 = 2 / Math.LN10
const LOG_OF_HALF = TWO_OVER_LN10 * Math.log(0.5)

/** A search that was asked nothing yet, along a wall of a roughness ε/D. */
export function frictionSearch(relativeRoughness: number): FrictionSearch {
  const search = zeros(ROOM) as FrictionSearch
  begin(search, relativeRoughness)
  return search
}

function begin(search: FrictionSearch, relativeRoughness: number): void {
  search[ROUGHNESS] = relativeRoughness
  search[MIDDLE] = 0.5
  search[ASKED] = 0
  search[INVERSE_ROOT] = 0
  search[ANCHOR] = 0.5
  search[ANCHOR_LOG] = LOG_OF_HALF
}

/** Asked once and begun anew each time. */
const ONCE = frictionSearch(0)
const ONCE_AT: Friction = { factor: 0.5, slope: 0.5 }

/**
 * Darcy friction factor. Laminar 64/Re; Colebrook–White from Re 4000; between them the cubic in
 * Re that meets both ends in value and slope, so that a solver never sees a kink.
 *
 * @param re Reynolds number on the true bore, above 0
 * @param relativeRoughness ε/D
 */
export function frictionFactor(re: number, relativeRoughness: number): number {
  begin(ONCE, relativeRoughness)
  frictionAt(re, ONCE, ONCE_AT)
  return ONCE_AT.factor
}

/** The Darcy friction factor and its slope at once, for a solver; the same law as `frictionFactor`. */
export function frictionAt(re: number, search: FrictionSearch, into: Friction): void {
  if (re <= LAMINAR_UP_TO_RE) {
    into.factor = 64 / re
    into.slope = -into.factor
  } else if (re >= TURBULENT_FROM_RE) {
    turbulentAt(re, search, into)
  } else {
    transitionAt(re, search, into)
  }
}

/** What is asked without moving a search; read at once. */
const ASIDE = zeros(ROOM) as FrictionSearch

/** The same without moving the search. */
export function frictionAside(re: number, search: FrictionSearch, into: Friction): void {
  const isSeries = search[ASKED]! >= WORTH_A_SERIES
  const used = isSeries ? ROOM : SERIES
  for (let i = 0; i < used; i++) ASIDE[i] = search[i]!
  if (!isSeries) ASIDE[ASKED] = 0
  frictionAt(re, ASIDE, into)
}

/** So often a Reynolds number is asked for near another before a series about it is worth its making: a drill asks that often, a single solve does not. */
const WORTH_A_SERIES = 10

/** Colebrook's law by a series about where it was asked before, else by a search, from which a series may be made. */
function turbulentAt(re: number, search: FrictionSearch, into: Friction): void {
  const middle = search[MIDDLE]!
  const z = (re - middle) / (re + middle)
  const isNear = z < SERIES_REACH && z > -SERIES_REACH
  if (isNear && search[ASKED]! >= WORTH_A_SERIES) {
    seriesAt(search, SERIES, z, into)
    // dz/d(ln Re) = (1 − z²)/2.
    into.slope *= 0.5 * (1 - z * z)
    return
  }
  colebrook(re, search, into)
  search[ASKED] = isNear ? search[ASKED]! + 1 : 0
  if (!isNear) search[MIDDLE] = re
  if (search[ASKED] >= WORTH_A_SERIES) aboutHere(re, search)
}

/** Makes the series about the Reynolds number that was just searched for. */
function aboutHere(re: number, search: FrictionSearch): void {
  const x = search[INVERSE_ROOT]!
  const smooth = (2.51 / re) * x
  const inside = search[ROUGHNESS]! / 3.7 + smooth
  search[MIDDLE] = re
  frictionSeries({ x, smooth: smooth / inside, log: TWO_OVER_LN10 }, search, SERIES)
}

/** Where laminar flow ends: f = 64/Re and its slope. */
const LAMINAR_END = {
  x: LAMINAR_UP_TO_RE,
  y: 64 / LAMINAR_UP_TO_RE,
  slope: -64 / LAMINAR_UP_TO_RE ** 2,
}

function transitionAt(re: number, search: FrictionSearch, into: Friction): void {
  colebrook(TURBULENT_FROM_RE, search, into)
  const end = {
    x: TURBULENT_FROM_RE,
    y: into.factor,
    slope: into.slope / TURBULENT_FROM_RE,
  }
  into.factor = cubicHermite(LAMINAR_END, end, re)
  into.slope = cubicHermiteSlope(LAMINAR_END, end, re) * re
}

/**
 * A step this small in 1/√f is the last: Halley's error falls as step³ times less than 1e-3 here
 * ((F″/2F′)² of the equation below over the range of pipes), so what is left is below 1e-14.
 */
const LAST_STEP = 2e-4
/** 1/√f of f = 0.024. */
const USUAL_INVERSE_ROOT = 6.5
/** Past this (ratio − 1)/(ratio + 1) the series for a logarithm is left for the logarithm itself. */
const NEAR_ANCHOR = 0.05

/**
 * x = 1/√f of 1/√f = −2 log₁₀(ε/(3.7 D) + 2.51/(Re √f)), Colebrook 1939, by Halley's method
 * (the curvature costs no further logarithm) from where the last search ended, or from what pipes
 * usually have: Haaland's formula (1983) starts nearer, but its power and logarithm cost more than
 * a step. The logarithm is taken from one that was near: ln(r) = 2 artanh z, z = (r − 1)/(r + 1),
 * five terms of its series, 1e-15 off at most.
 */
function colebrook(re: number, search: FrictionSearch, into: Friction): void {
  const a = search[ROUGHNESS]! / 3.7
  const b = 2.51 / re
  let x = search[INVERSE_ROOT]!
  if (x <= 1) x = USUAL_INVERSE_ROOT
  let inside = a + b * x
  for (let i = 0; i < 20; i++) {
    const residual = x + logNear(inside, search)
    const bend = (TWO_OVER_LN10 * b) / inside
    const slope = 1 + bend
    // Curvature −bend²/TWO_OVER_LN10.
    const step =
      (2 * residual * slope) / (2 * slope * slope + (residual * bend * bend) / TWO_OVER_LN10)
    x -= step
    inside = a + b * x
    if (step < LAST_STEP && step > -LAST_STEP) break
  }
  search[INVERSE_ROOT] = x
  // dx/d(ln Re) = bend x/(1 + bend), by the implicit function theorem; f = x⁻².
  const bend = (TWO_OVER_LN10 * b) / inside
  const factor = 1 / (x * x)
  into.factor = factor
  into.slope = (-2 * factor * bend) / (1 + bend)
}

/** 2 log₁₀ of a number, from a logarithm near it. */
function logNear(inside: number, search: FrictionSearch): number {
  const anchor = search[ANCHOR]!
  const z = (inside - anchor) / (inside + anchor)
  if (z > NEAR_ANCHOR || z < -NEAR_ANCHOR) {
    const log = TWO_OVER_LN10 * Math.log(inside)
    search[ANCHOR] = inside
    search[ANCHOR_LOG] = log
    return log
  }
  const z2 = z * z
  const artanh = z * (1 + z2 * (1 / 3 + z2 * (1 / 5 + z2 * (1 / 7 + z2 / 9))))
  return search[ANCHOR_LOG]! + 2 * TWO_OVER_LN10 * artanh
}

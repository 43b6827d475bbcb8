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

/**
 * A search for the friction along one wall takes so many numbers, side by side in a list that may
 * hold many: its roughness, and where the next search begins.
 */
export const FRICTION_ROOM = 7 + SERIES_TERMS

/** ε/(3.7 D). */
const ROUGH = 0
/** The last turbulent Reynolds number that was searched for, and how often one near the last. */
const MIDDLE = 1
const ASKED = 2
/** x = 1/√f there, and dx/d(ln Re). */
const INVERSE_ROOT = 3
const RISE = 4
/** An argument of Colebrook's logarithm that was near, and 2 log₁₀ of it. */
const ANCHOR = 5
const ANCHOR_LOG = 6
/** f about the middle as a series, once that pays. */
const SERIES = 7

/** What is found, side by side in a list: the Darcy friction factor f, and df/d(ln Re). */
export const FACTOR = 0
export const SLOPE = 1

/** 2/ln 10: −2 log₁₀ written with natural logarithms. */
const TWO_OVER_LN10 = 2 / Math.LN10
const LOG_OF_HALF = TWO_OVER_LN10 * Math.log(0.5)

/** Begins a search along a wall of a roughness ε/D, asked nothing yet, from place `at` of a list. */
export function beginFriction(list: number[], at: number, relativeRoughness: number): void {
  list[at + ROUGH] = relativeRoughness / 3.7
  list[at + MIDDLE] = 0.5
  list[at + ASKED] = 0
  list[at + INVERSE_ROOT] = USUAL_INVERSE_ROOT
  list[at + RISE] = 0
  list[at + ANCHOR] = 0.5
  list[at + ANCHOR_LOG] = LOG_OF_HALF
}

/** Begun anew each time it is asked. */
const ONCE = zeros(FRICTION_ROOM)
const ONCE_FOUND = zeros(2)

/**
 * Darcy friction factor. Laminar 64/Re; Colebrook–White from Re 4000; between them the cubic in
 * Re that meets both ends in value and slope, so that a solver never sees a kink.
 *
 * @param re Reynolds number on the true bore, above 0
 * @param relativeRoughness ε/D
 */
export function frictionFactor(re: number, relativeRoughness: number): number {
  beginFriction(ONCE, 0, relativeRoughness)
  frictionAt(re, ONCE, 0, ONCE_FOUND)
  return ONCE_FOUND[FACTOR]!
}

/**
 * The Darcy friction factor and its slope at once, for a solver; the same law as `frictionFactor`.
 * Moves the search that stands at `at` of the list.
 */
export function frictionAt(re: number, list: number[], at: number, into: number[]): void {
  if (re >= TURBULENT_FROM_RE) {
    turbulentAt(re, list, at, into)
  } else if (re <= LAMINAR_UP_TO_RE) {
    const factor = 64 / re
    into[FACTOR] = factor
    into[SLOPE] = -factor
  } else {
    transitionAt(re, list, at, into)
  }
}

/** What is asked without moving a search; read at once. */
const ASIDE = zeros(FRICTION_ROOM)

/** The same without moving the search. */
export function frictionAside(
  re: number,
  list: readonly number[],
  at: number,
  into: number[],
): void {
  const z = awayOf(re, list, at)
  if (re >= TURBULENT_FROM_RE) {
    if (z < STRAIGHT_REACH && z > -STRAIGHT_REACH) return byTangent(z, list, at, into)
    if (hasSeries(z, list, at)) return bySeries(z, list, at, into)
  }
  for (let i = 0; i < SERIES; i++) ASIDE[i] = list[at + i]!
  ASIDE[ASKED] = 0
  frictionAt(re, ASIDE, 0, into)
}

/** So often a Reynolds number is asked for near another before a series about it is worth its making: a drill asks that often, a single solve does not. */
const WORTH_A_SERIES = 10

/** How far a Reynolds number is from the last that was searched for. */
function awayOf(re: number, list: readonly number[], at: number): number {
  const middle = list[at + MIDDLE]!
  return (re - middle) / (re + middle)
}

/** So near the last search x goes straight on: what bends is below 5e-11 of f, and 1e-4 of its slope. */
const STRAIGHT_REACH = 1.5e-5

/** Colebrook's law straight on from the last search. */
function byTangent(z: number, list: readonly number[], at: number, into: number[]): void {
  const rise = list[at + RISE]!
  setFactor(list[at + INVERSE_ROOT]! + 2 * rise * z, rise, into)
}

/** f = x⁻² and df/d(ln Re), from x and dx/d(ln Re). */
function setFactor(x: number, rise: number, into: number[]): void {
  const root = 1 / x
  const factor = root * root
  into[FACTOR] = factor
  into[SLOPE] = -2 * factor * root * rise
}

/** Whether there is a series about the last search that reaches so far. */
function hasSeries(z: number, list: readonly number[], at: number): boolean {
  return z < SERIES_REACH && z > -SERIES_REACH && list[at + ASKED]! >= WORTH_A_SERIES
}

/** Colebrook's law by that series. */
function bySeries(z: number, list: readonly number[], at: number, into: number[]): void {
  seriesAt(list, at + SERIES, z, into)
  // dz/d(ln Re) = (1 − z²)/2.
  into[SLOPE] = into[SLOPE]! * 0.5 * (1 - z * z)
}

/** Colebrook's law by a series, else by a search, from which a series may be made. */
function turbulentAt(re: number, list: number[], at: number, into: number[]): void {
  const z = awayOf(re, list, at)
  if (hasSeries(z, list, at)) bySeries(z, list, at, into)
  else colebrook(re, list, at, into)
}

/** Makes the series about the Reynolds number that was just searched for. */
function aboutHere(re: number, list: number[], at: number): void {
  const x = list[at + INVERSE_ROOT]!
  const smooth = (2.51 / re) * x
  const inside = list[at + ROUGH]! + smooth
  frictionSeries({ x, smooth: smooth / inside, log: TWO_OVER_LN10 }, list, at + SERIES)
}

/** Where laminar flow ends: f = 64/Re and its slope. */
const LAMINAR_END = {
  x: LAMINAR_UP_TO_RE,
  y: 64 / LAMINAR_UP_TO_RE,
  slope: -64 / LAMINAR_UP_TO_RE ** 2,
}

function transitionAt(re: number, list: number[], at: number, into: number[]): void {
  turbulentAt(TURBULENT_FROM_RE, list, at, into)
  const end = {
    x: TURBULENT_FROM_RE,
    y: into[FACTOR]!,
    slope: into[SLOPE]! / TURBULENT_FROM_RE,
  }
  into[FACTOR] = cubicHermite(LAMINAR_END, end, re)
  into[SLOPE] = cubicHermiteSlope(LAMINAR_END, end, re) * re
}

/**
 * A step this small in 1/√f is the last: Halley's error falls as step³ times less than 1e-3 here
 * ((F″/2F′)² of the equation below over the range of pipes), so what is left is below 2e-13.
 */
const LAST_STEP = 5e-4
/** 1/√f of f = 0.024. */
const USUAL_INVERSE_ROOT = 6.5
/** Past this (ratio − 1)/(ratio + 1) the series for a logarithm is left for the logarithm itself. */
const NEAR_ANCHOR = 0.1

/**
 * x = 1/√f of 1/√f = −2 log₁₀(ε/(3.7 D) + 2.51/(Re √f)), Colebrook 1939, by Halley's method
 * (the curvature costs no further logarithm) from where the tangent of the last search leads, or from
 * what pipes usually have: Haaland's formula (1983) starts nearer, but its power and logarithm cost
 * more than a step. The logarithm is taken from one that was near: ln(r) = 2 artanh z,
 * z = (r − 1)/(r + 1), seven terms of its series, 1e-16 off at most.
 */
function colebrook(re: number, list: number[], at: number, into: number[]): void {
  const a = list[at + ROUGH]!
  const b = 2.51 / re
  // The slope of the equation is 1 + bend/inside, its curvature −(bend/inside)²/TWO_OVER_LN10.
  const bend = TWO_OVER_LN10 * b
  const curve = bend * b
  // A step along the tangent: ln(Re/middle) = 2 z + 2 z³/3 + …
  const away = awayOf(re, list, at)
  const ahead = away * (2 + (2 / 3) * away * away)
  let x = list[at + INVERSE_ROOT]! + list[at + RISE]! * ahead
  let inside = a + b * x
  for (let i = 0; i < 20; i++) {
    const anchor = list[at + ANCHOR]!
    const z = (inside - anchor) / (inside + anchor)
    const z2 = z * z
    const z4 = z2 * z2
    // In pairs, which the processor works out side by side.
    const far = 1 / 7 + z2 / 9 + z4 * (1 / 11 + z2 / 13)
    const artanh = z + z * z2 * (1 / 3 + z2 / 5 + z4 * far)
    let log = list[at + ANCHOR_LOG]! + 2 * TWO_OVER_LN10 * artanh
    if (z2 > NEAR_ANCHOR * NEAR_ANCHOR) {
      log = TWO_OVER_LN10 * Math.log(inside)
      list[at + ANCHOR] = inside
      list[at + ANCHOR_LOG] = log
    }
    const residual = x + log
    const sum = inside + bend
    const step = (2 * residual * sum * inside) / (2 * sum * sum + residual * curve)
    x -= step
    inside = a + b * x
    if (step < LAST_STEP && step > -LAST_STEP) break
  }
  // By the implicit function theorem.
  const rise = (bend * x) / (inside + bend)
  const isNear = away < SERIES_REACH && away > -SERIES_REACH
  const asked = isNear ? list[at + ASKED]! + 1 : 0
  list[at + MIDDLE] = re
  list[at + INVERSE_ROOT] = x
  list[at + RISE] = rise
  list[at + ASKED] = asked
  setFactor(x, rise, into)
  if (asked >= WORTH_A_SERIES) aboutHere(re, list, at)
}

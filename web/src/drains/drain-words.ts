import type { DrainRole, DrainState, InletForm, Landing, Solved } from '@yew-basin/core'

export const ROLES: readonly { readonly value: DrainRole; readonly label: string }[] = [
  { value: 'siphon', label: 'full siphon' },
  { value: 'vented', label: 'vented standpipe' },
  { value: 'trickle', label: 'trickle' },
  { value: 'emergency', label: 'emergency' },
]

export const INLETS: readonly { readonly value: InletForm; readonly label: string }[] = [
  { value: 'open', label: 'open pipe' },
  { value: 'strainer', label: 'strainer' },
  { value: 'turned-down', label: 'elbow turned down' },
  { value: 'capped', label: 'capped, with an air line' },
  { value: 'flush', label: 'flush with the floor' },
]

export const LANDS: readonly { readonly value: Landing; readonly label: string }[] = [
  { value: 'open', label: 'open chamber' },
  { value: 'sock', label: 'sock' },
  { value: 'roller', label: 'roller' },
]

const STATES: Readonly<Record<DrainState, string>> = {
  full: 'full',
  wetted: 'air in its core',
  gulps: 'gulps air',
  dry: 'dry',
}

const NOISE = { quiet: 'quiet', usual: 'usual', most: 'at its most', over: 'loud' } as const

/** How a drain runs, in a word or two. */
export function stateWords({ state, noise }: Solved<'drain'>): string {
  if (state === 'wetted' && noise) return NOISE[noise]
  return STATES[state]
}

/** What a valve asks of the hand that sets it; none: nothing in particular. */
export const TOUCH: Readonly<Record<'easy' | 'touchy' | 'very-touchy', string | null>> = {
  easy: null,
  touchy: 'Touchy: turn it slowly.',
  'very-touchy': 'Very touchy: a hair at a time.',
}

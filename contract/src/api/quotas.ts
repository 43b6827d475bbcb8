/** How much one workspace may keep. Checked by the database itself, at the moment something is added. */
export const QUOTAS = {
  basins: { most: 2000, words: 'basins on your shelf', way: 'Delete one you no longer need.' },
  designs: { most: 4000, words: 'designs', way: 'Delete a basin you no longer need.' },
  parts: { most: 500, words: 'parts of your own', way: 'Delete one you no longer need.' },
  fields: {
    most: 200,
    words: 'stored fields of currents',
    way: 'Delete a basin whose currents you no longer need.',
  },
  /** Documents with their earlier states, parts and fields, the bin's too. A full basin takes about 16 kB. */
  bytes: {
    most: 256_000_000,
    words: 'bytes in all',
    way: 'Delete what you no longer need and empty the bin.',
  },
} as const satisfies Readonly<Record<string, { most: number; words: string; way: string }>>

/** What is limited. */
export type QuotaName = keyof typeof QUOTAS

/** What a workspace keeps now, of what it may keep. */
export type Usage = Readonly<Record<QuotaName, { readonly used: number; readonly most: number }>>

/** Days a deleted thing stays in the bin before it is gone. */
export const BIN_DAYS = 30

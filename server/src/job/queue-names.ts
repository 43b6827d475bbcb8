/** Figures of a design for the shelf; earlier states thinned; what nobody can reach swept, once a night. */
export const QUEUES = {
  figures: { policy: 'stately' },
  thin: { policy: 'stately' },
  sweep: { policy: 'stately' },
} as const satisfies Readonly<Record<string, { policy: 'stately' | 'standard' }>>

/** When the nightly sweep is due, as cron has it. */
export const SWEEP_AT = '17 3 * * *'

import type { Sequelize } from 'sequelize'

/** A guest whose session went sooner than this after they came may still be on the way in. */
const YOUNG_DAYS = 2
/** So many at a time, so that nobody waits behind a sweep. */
const AT_A_TIME = 100
const DAY_MS = 24 * 3600 * 1000

/**
 * Takes out the workspaces of guests whose session is gone: only that session could open them, so nobody loses
 * anything. Answers how many.
 */
export async function sweepGuests(sequelize: Sequelize): Promise<number> {
  let swept = 0
  for (;;) {
    const [rows] = await sequelize.query(
      `DELETE FROM workspaces WHERE id IN (
         SELECT id FROM workspaces
         WHERE kind = 'guest'
           AND created_at < now() - make_interval(days => :youngDays)
           AND NOT EXISTS (
             SELECT 1 FROM session WHERE session.sess->>'workspaceId' = workspaces.id::text)
         ORDER BY created_at
         LIMIT :atATime)
       RETURNING id`,
      { replacements: { youngDays: YOUNG_DAYS, atATime: AT_A_TIME } },
    )
    swept += rows.length
    if (rows.length < AT_A_TIME) return swept
  }
}

/** Sweeps now and once a day; gives what stops it. A sweep that fails is reported and tried again the next day. */
export function sweepDaily(sequelize: Sequelize, tell: (error: Error) => void): () => void {
  const sweep = () => void sweepGuests(sequelize).catch((error: unknown) => tell(error as Error))
  sweep()
  const timer = setInterval(sweep, DAY_MS)
  return () => clearInterval(timer)
}

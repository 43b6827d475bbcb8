import type { Sequelize } from 'sequelize'

/** The newest so many are all kept, whatever their age. */
const ALWAYS_KEPT = 200

/**
 * Keeps every revision of the last day, then one an hour for a month, then one a day; and always
 * the newest few hundred.
 */
export async function thinRevisions(sequelize: Sequelize, designId: string): Promise<void> {
  await sequelize.query(
    `DELETE FROM revisions WHERE design_id = :designId AND revision IN (
       SELECT revision FROM (
         SELECT revision, saved_at,
           row_number() OVER (ORDER BY revision DESC) AS age_rank,
           row_number() OVER (
             PARTITION BY CASE WHEN saved_at > now() - interval '30 days'
               THEN date_trunc('hour', saved_at) ELSE date_trunc('day', saved_at) END
             ORDER BY revision DESC) AS in_bucket
         FROM revisions WHERE design_id = :designId
       ) kept
       WHERE age_rank > :alwaysKept AND in_bucket > 1 AND saved_at < now() - interval '1 day')`,
    { replacements: { designId, alwaysKept: ALWAYS_KEPT } },
  )
}

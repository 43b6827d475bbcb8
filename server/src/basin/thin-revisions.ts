import { QueryTypes, type Sequelize } from 'sequelize'
import type { DesignJob } from '../job/jobs.ts'

/** The newest so many are all kept, whatever their age. */
const ALWAYS_KEPT = 50

/** Thins what a design was: by a function of the database, since the application may delete no revision. Answers how many. */
export async function thinRevisions(
  sequelize: Sequelize,
  { workspaceId, designId }: DesignJob,
): Promise<number> {
  const [row] = await sequelize.query<{ gone: number }>(
    'SELECT thin_revisions($1, $2, $3) AS gone',
    { bind: [workspaceId, designId, ALWAYS_KEPT], type: QueryTypes.SELECT },
  )
  return row?.gone ?? 0
}

import { BIN_DAYS } from '@yew-basin/contract'
import { QueryTypes, type Sequelize } from 'sequelize'

/** A guest whose session went sooner than this after they came may still be on the way in. */
const YOUNG_DAYS = 2
/** So many at a time, so that nobody waits behind a sweep. */
const AT_A_TIME = 100

/** What a sweep did. */
export interface Swept {
  /** Workspaces put into the bin: no session opens them and no key was made. */
  readonly binned: number
  /** What lay in the bin long enough and is gone. */
  readonly gone: number
}

/** Sweeps what nobody can reach any more, by a function of the database that looks at the right itself. */
export async function sweepGuests(sequelize: Sequelize): Promise<Swept> {
  const total = { binned: 0, gone: 0 }
  for (;;) {
    const [swept] = await sequelize.query<Swept>('SELECT * FROM sweep($1, $2, $3)', {
      bind: [BIN_DAYS, YOUNG_DAYS, AT_A_TIME],
      type: QueryTypes.SELECT,
    })
    total.binned += swept!.binned
    total.gone += swept!.gone
    if (swept!.binned < AT_A_TIME && swept!.gone < AT_A_TIME) return total
  }
}

import { RecoverWorkspace, type RecoveryKeyAnswer } from '@yew-basin/contract'
import { QueryTypes, type Sequelize } from 'sequelize'
import { bodyAs } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import type { Route } from '../http/routes.ts'
import { newSession } from '../http/session.ts'
import { newRecoveryKey, recoveryHash } from './recovery-key.ts'
import { openWorkspace } from './workspace-service.ts'

/** A key that opens a guest's shelf in another browser. */
export function recoveryRoutes(sequelize: Sequelize): readonly Route[] {
  return [
    {
      method: 'post',
      path: '/workspace/recovery-key',
      who: 'keeper',
      rare: 60,
      run: async ({ response }, access) => {
        const answer: RecoveryKeyAnswer = { key: newRecoveryKey() }
        await access.call('SELECT set_recovery($1, $2)', [recoveryHash(answer.key)])
        response.status(201).json(answer)
      },
    },
    {
      method: 'post',
      path: '/workspace/recover',
      who: 'anyone',
      rare: 60,
      run: async ({ request, response }) => {
        const { key } = bodyAs(RecoverWorkspace, request)
        const [row] = await sequelize.query<{ id: string | null }>(
          'SELECT workspace_of_key($1) AS id',
          { bind: [recoveryHash(key)], type: QueryTypes.SELECT },
        )
        if (!row?.id) throw new Refusal('not-found', 'No shelf has this key. Look at its letters.')
        await newSession(request, row.id)
        response.json(await openWorkspace(sequelize, row.id))
      },
    },
  ]
}

import { v7 } from 'uuid'
import { afterAll, expect, it } from 'vitest'
import { insertPerson } from '../../server/repositories/people'
import { refreshed } from '../../server/services/machines/outlooks'
import { addDraft, addModel, approveDraft } from '../../server/services/spec-book'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'
import { otherShop } from '../support/other-shop'

afterAll(async () => {
  await refreshed()
  await pool.end()
})

const model = {
  maker: 'Two',
  model: 'Leads',
  code: '',
  family: '',
  kind: 'Generator',
  displacementCc: null,
  yearFrom: null,
  yearTo: null,
  answered: [],
  approveBecause: 'in a hurry',
}

it('where a shop has two leads, neither approves their own draft, with a reason or without: the other does', async () => {
  const { person: ada } = await otherShop()
  const beaId = await insertPerson(pool, ada.shopId, { signIn: v7(), name: 'Bea', role: 'lead', passwordHash: 'x' })
  const bea = { ...ada, id: beaId, name: 'Bea' }
  // a hurry approves nothing while there is another lead to look
  const made = await addModel(pool, ada, { ...model, engine: engineOf() })
  expect(made.status).toBe('draft')
  const now = new Date()
  for (const reason of ['', 'nobody else'])
    await expect(approveDraft(pool, ada, made.revisionId, reason, now)).rejects.toMatchObject({
      status: 403,
      code: 'own-draft',
    })
  expect(await approveDraft(pool, bea, made.revisionId, '', now)).toMatchObject({
    revision: 1,
    approvedBy: 'Bea',
    author: 'Ada',
  })
  const draft = await addDraft(pool, bea, made.id, {
    engine: engineOf({ coldLimitC: 30 }),
    reason: 'Bulletin',
    basedOn: made.revisionId,
    answered: [],
  })
  await expect(approveDraft(pool, bea, draft.id, 'nobody else', now)).rejects.toMatchObject({ status: 403 })
  expect((await approveDraft(pool, ada, draft.id, '', now)).approvedBy).toBe('Ada')
})

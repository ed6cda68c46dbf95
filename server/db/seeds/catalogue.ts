import { Op } from 'sequelize'
import { finishesOf } from '#core/lure/finish'
import { LURE_IDS, lureType } from '#core/lure/types'
import { finishOut } from '#core/ranking/finishOut'
import type { Database } from '#server/db/connection'

/** Write the catalogue as it stands; finishes that are gone are retired, not deleted, because calls speak of them. */
export async function seedCatalogue({ sequelize, LureTypeRow, FinishRow }: Database): Promise<void> {
  const finishes = LURE_IDS.flatMap(lure =>
    finishesOf(lure)
      .map(finishOut)
      .map(f => ({
        id: f.id,
        lureTypeId: lure,
        name: f.name,
        families: [...f.families],
        traits: f.traits,
        parts: f.parts,
        retired: false,
      })),
  )
  await sequelize.transaction(async transaction => {
    await LureTypeRow.bulkCreate(
      LURE_IDS.map(id => {
        const t = lureType(id)
        return {
          id,
          words: t.words,
          groupName: t.group,
          surface: t.surface,
          salt: t.salt,
          runsFromM: t.runsM[0],
          runsToM: t.runsM[1],
        }
      }),
      { updateOnDuplicate: ['words', 'groupName', 'surface', 'salt', 'runsFromM', 'runsToM'], transaction },
    )
    await FinishRow.bulkCreate(finishes, {
      updateOnDuplicate: ['name', 'families', 'traits', 'parts', 'retired'],
      transaction,
    })
    await FinishRow.update({ retired: true }, { where: { id: { [Op.notIn]: finishes.map(f => f.id) } }, transaction })
  })
}

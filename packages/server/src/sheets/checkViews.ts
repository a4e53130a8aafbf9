import type { View } from '@mendrel/core';
import { parseScale, QuantityError } from '@mendrel/core';
import type { Knex } from 'knex';
import { AssetModel } from '../assets/assetModel';
import { Failure } from '../http/failure';

/** @throws Failure for a view whose scale cannot be read */
function checkScales(views: readonly Pick<View, 'name' | 'scale'>[]): void {
  views.forEach(({ name, scale }, i) => {
    if (scale === null) return;
    try {
      parseScale(scale);
    } catch (error) {
      if (error instanceof QuantityError) throw new Failure('invalid', `${name}: ${error.message}`, `views.${i}.scale`);
      throw error;
    }
  });
}

/** @throws Failure for a view whose drawing is not kept any more */
async function checkDrawings(views: readonly View[], database: Knex): Promise<void> {
  for (const [i, { name, drawing }] of views.entries()) {
    if (!drawing) continue;
    const kept = await AssetModel.query(database)
      .findById(drawing.linework)
      .where({ type: 'linework' })
      .patch({ used_at: new Date() });
    if (kept === 0)
      throw new Failure('invalid', `${name}: its drawing is not here any more; choose it again`, `views.${i}.drawing`);
  }
}

/** Refuses views that cannot be drawn, before they are kept. @throws Failure that names the view */
export async function checkViews(views: readonly View[] | undefined, database: Knex): Promise<void> {
  if (!views) return;
  checkScales(views);
  await checkDrawings(views, database);
}

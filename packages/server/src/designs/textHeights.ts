import type { TextHeightsRecord } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { textHeights } from '@mendrel/core';
import type { Knex } from 'knex';
import { standardAt } from '../standard/standardModel';
import { DesignModel } from './designModel';

/**
 * The heights of lettering in all designs of the office, each design by the standard it keeps to, beside the office's series.
 * @param most designs that are read
 */
export async function textHeightsOf(database: Knex, most: number): Promise<TextHeightsRecord> {
  const designs = await DesignModel.query(database).orderBy('name').limit(most);
  const standards = new Map<number | null, OfficeStandard>();
  for (const revision of new Set([null, ...designs.map((each) => each.standard_revision)]))
    standards.set(revision, await standardAt(revision, database));
  const { heights: series, unit } = standards.get(null)!;
  const found = textHeights(
    designs.map(({ document, standard_revision }) => ({
      design: document,
      standard: standards.get(standard_revision)!,
    })),
    series,
  );
  return {
    unit,
    heights: found.map((each) => ({
      ...each,
      designs: each.designs.map(({ place, texts }) => ({ id: designs[place]!.id, name: designs[place]!.name, texts })),
    })),
  };
}

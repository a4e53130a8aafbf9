import type { NewSheet, Project, Sheet } from '@mendrel/contract';
import type { SheetKind } from '@mendrel/core';
import { nextByScheme, nextSheetNumber } from '@mendrel/core';
import { newUuid } from '../../../app/newUuid';

/** What a copy of a sheet takes along. */
export interface CopyWish {
  views: boolean;
  data: boolean;
}

/** Copies of sheets, each with the next number of its kind. None where all numbers of a kind are taken. */
export function copiesOf(
  sheets: readonly Sheet[],
  chosen: readonly Sheet[],
  { numbering }: Pick<Project, 'numbering'>,
  { views, data }: CopyWish,
  kinds: readonly SheetKind[],
): NewSheet[] {
  const known: { number: string; kind: Sheet['kind'] }[] = [...sheets];
  return chosen.flatMap(({ title, kind, size, design, values, views: own }): NewSheet[] => {
    const number = numbering ? nextByScheme(numbering, known, kind, kinds) : nextSheetNumber(known, kind, kinds);
    if (number === '') return [];
    known.push({ number, kind });
    return [
      {
        id: newUuid(),
        number,
        title,
        kind,
        size,
        design,
        values: data ? values : {},
        // A view is the sheet's own; its copy is another one.
        views: views ? own.map((view) => ({ ...view, id: newUuid() })) : [],
      },
    ];
  });
}

import { useMemo } from 'react';
import type { OfficeStandard, SheetGroup } from '@mendrel/core';
import { useTypefaces } from '../../../app/typefaces';
import { SheetPicture } from '../../../paper/SheetPicture';
import { solveFor } from '../../../paper/useSolved';

/** The design that a group of drawings shares, with the values of its first sheet. */
export function GroupPicture({ group, standard }: { group: SheetGroup; standard: OfficeStandard }) {
  const typefaces = useTypefaces();
  const solved = useMemo(() => {
    const [first] = group.sheets;
    const values = { ...group.projectValues, ...first?.values, 'sheet.number': first?.number ?? '' };
    const size = first?.size ?? group.design.sizes[0]?.size ?? '';
    return solveFor(group.design, size, { values, tables: {} }, standard, typefaces);
  }, [group, standard, typefaces]);
  if (solved.problem) return null;
  return <SheetPicture drawing={solved.drawing} width={210} height={150} label={`The design on ${solved.size}`} />;
}

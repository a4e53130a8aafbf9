import { useMemo } from 'react';
import type { SheetKind } from '@mendrel/core';
import { allKinds } from '@mendrel/core';
import { api } from './api';

/** All kinds of sheet of the office; the usual ones while the office is not known. */
export function useSheetKinds(): readonly SheetKind[] {
  const own = api.useOfficeQuery().data?.sheetKinds;
  return useMemo(() => allKinds(own ?? []), [own]);
}

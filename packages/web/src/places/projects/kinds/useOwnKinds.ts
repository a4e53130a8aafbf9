import type { SheetKind } from '@mendrel/core';
import { api } from '../../../app/api';

/** The kinds of sheet that the office has besides the usual ones, and how to change them. */
export function useOwnKinds() {
  const office = api.useOfficeQuery().data;
  const [change, { isLoading }] = api.useChangeOfficeMutation();
  return {
    own: office?.sheetKinds ?? [],
    ready: office !== undefined && !isLoading,
    /** @returns what went wrong */
    save: async (sheetKinds: readonly SheetKind[]) => {
      if (!office) return undefined;
      const { values, version } = office;
      return (await change({ values, version, sheetKinds: [...sheetKinds] })).error;
    },
  };
}

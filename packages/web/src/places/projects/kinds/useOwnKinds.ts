import type { SheetKind } from '@mendrel/core';
import { api } from '../../../app/api';

/** The kinds of sheet that the office has besides the usual ones, and how to change them. */
export function useOwnKinds() {
  const office = api.useOfficeQuery().data;
  const [change, { isLoading }] = api.useChangeOfficeMutation();
  return {
    own: office?.sheetKinds ?? [],
    ready: office !== undefined && !isLoading,
    /**
     * @param renamed which of them are there under another name; sheets, projects and conditions follow
     * @returns what went wrong
     */
    save: async (sheetKinds: readonly SheetKind[], renamed?: { from: string; to: string }) => {
      if (!office) return undefined;
      const { values, version } = office;
      const renamedKinds = renamed ? { renamedKinds: [renamed] } : {};
      return (await change({ values, version, sheetKinds: [...sheetKinds], ...renamedKinds })).error;
    },
  };
}

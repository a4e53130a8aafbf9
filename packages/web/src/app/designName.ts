import { useCallback } from 'react';
import type { Sheet } from '@mendrel/contract';
import { api } from './api';

/** Tells a design of a sheet's own in words; nothing for a sheet that has none. */
export function useDesignName(): (design: Sheet['design']) => string {
  const designs = api.useDesignsQuery().data;
  return useCallback(
    (design) => {
      if (!design) return '';
      const name = designs?.find(({ id }) => id === design.id)?.name ?? '…';
      return `${name}, ${design.revision === null ? 'its draft' : `revision ${design.revision}`}`;
    },
    [designs],
  );
}

import { useMemo } from 'react';
import type { RealData } from '@mendrel/core';
import { api } from '../../../app/api';

/** What the office has that a design is tried on with besides examples; nothing of it until it is there. */
export function useRealData(): RealData {
  const office = api.useOfficeQuery().data?.values;
  const longest = api.useLongestValuesQuery().data;
  return useMemo(() => ({ office, longest }), [office, longest]);
}

import { useAppSelector } from '../../app/store';

/** The size that lengths are set for, when they are to count for that one alone. */
export const useOnlySize = (): string | undefined =>
  useAppSelector(({ settingOut: { scope, size } }) => (scope === 'size' ? size : undefined));

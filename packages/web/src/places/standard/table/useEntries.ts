import { useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import type { Unread } from '../standardSlice';
import { entryDropped, entryUnread, fieldLeft } from '../standardSlice';
import { entryProblem } from './columns';

interface Entries {
  unread: Readonly<Record<string, Unread>>;
  /** Tries what was typed into a field; what cannot be read is kept there with what is wrong. */
  attempt: (field: string, text: string, take: () => void) => void;
  refuse: (field: string, text: string, error: unknown) => void;
  leave: () => void;
  drop: (field: string) => void;
  /** Drops the entries of all fields below a path. */
  dropAll: (path: string) => void;
}

/** What is being typed in the standard, including what cannot be read yet. */
export function useEntries(): Entries {
  const dispatch = useAppDispatch();
  const unread = useAppSelector((root) => root.standard.unread);
  return useMemo(() => {
    const refuse = (field: string, text: string, error: unknown): void => {
      dispatch(entryUnread({ field, text, message: entryProblem(error) }));
    };
    return {
      unread,
      attempt(field, text, take) {
        try {
          take();
          if (unread[field]) dispatch(entryDropped(field));
        } catch (error) {
          refuse(field, text, error);
        }
      },
      refuse,
      leave: () => void dispatch(fieldLeft()),
      drop: (field) => void dispatch(entryDropped(field)),
      dropAll(path) {
        for (const field of Object.keys(unread)) if (field.startsWith(path)) dispatch(entryDropped(field));
      },
    };
  }, [dispatch, unread]);
}

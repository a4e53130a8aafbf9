import { useStore } from 'react-redux';
import { useSnackbar } from 'notistack';
import type { StandardAdditionRequest } from '@mendrel/contract';
import { api, errorOf } from '../../../app/api';
import type { Store } from '../../../app/store';

/** What is added to the office standard, by its tables. */
export type Addition = Omit<StandardAdditionRequest, 'design'>;

/**
 * Adds to the office standard what the design that is being edited needs: it is saved in the draft, published with a revision, and
 * the design uses that one, all in one step, which is said.
 * @returns a function that gives what kept it from being done, in words; undefined when it was done
 */
export function useAdditions(): (addition: Addition, name: string) => Promise<string | undefined> {
  const store = useStore() as Store;
  const [send] = api.useAddToStandardMutation();
  const { enqueueSnackbar } = useSnackbar();
  return async (addition, name) => {
    const { id } = store.getState().settingOut;
    const needsRevision = (addition.sizes ?? addition.roles ?? addition.pens) !== undefined;
    const design = id !== undefined && needsRevision ? { design: id } : {};
    const result = await send({ ...addition, ...design });
    if (!result.data) return errorOf(result.error).message;
    const { revision, published } = result.data;
    if (needsRevision && id !== undefined) {
      // What is edited next uses the entry, so the revision that has it is here before.
      const [standard, moved] = [
        store.dispatch(api.endpoints.standardAt.initiate(revision)),
        store.dispatch(api.endpoints.design.initiate(id, { forceRefetch: true })),
      ];
      await Promise.all([standard, moved]);
      standard.unsubscribe();
      moved.unsubscribe();
    }
    enqueueSnackbar(
      published
        ? `${name} added and published with revision ${revision} of the standard, which this design now uses`
        : needsRevision && revision !== null
          ? `This design now uses revision ${revision} of the standard, which has ${name}`
          : `${name} added to the office standard`,
      { variant: 'success' },
    );
    return undefined;
  };
}

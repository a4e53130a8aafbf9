import { useState } from 'react';
import { act, screen } from '@testing-library/react';
import type { Office } from '@mendrel/contract';
import { answering } from '../testing/answering';
import { shown } from '../testing/shown';
import { api } from './api';
import { askWhenSeenAgain } from './seenAgain';
import { useUnsavedInput } from './unsavedInput';

const OFFICE: Office = {
  values: {},
  tables: {},
  issueBlocks: 'error',
  sheetKinds: [],
  replaceable: [],
  templateId: null,
  version: 1,
};

/** Shows the version that was read last, and a box that stands for something typed. */
function Version() {
  const { data } = api.useOfficeQuery();
  const [typed, setTyped] = useState(false);
  useUnsavedInput(typed);
  return (
    <>
      <p>version {data?.version}</p>
      <button onClick={() => setTyped(!typed)}>type</button>
    </>
  );
}

const seenAgain = (): Promise<void> =>
  act(async () => {
    document.dispatchEvent(new Event('visibilitychange'));
    await Promise.resolve();
  });
const wouldAsk = (): boolean => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }));

test('what others changed is read when the page is seen again, but not over what is typed', async () => {
  let version = 1;
  let asked = 0;
  answering(() => {
    asked++;
    return { body: { ...OFFICE, version } };
  });
  const { store, user } = shown(<Version />);
  const end = askWhenSeenAgain(store);
  await screen.findByText('version 1');
  version = 2;
  await user.click(screen.getByRole('button', { name: 'type' }));
  expect(wouldAsk()).toBe(true);
  await seenAgain();
  expect(asked).toBe(1);
  await user.click(screen.getByRole('button', { name: 'type' }));
  expect(wouldAsk()).toBe(false);
  await seenAgain();
  await screen.findByText('version 2');
  end();
  version = 3;
  await seenAgain();
  expect(asked).toBe(2);
});

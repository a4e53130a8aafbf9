import { render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { ThemeProvider } from '@mui/material/styles';
import type { StandardImpact } from '@mendrel/contract';
import { STARTING_STANDARD } from '@mendrel/core';
import { makeStore } from '../../app/store';
import { theme } from '../../app/theme';
import { answering } from '../../testing/answering';
import { SaveDialog } from './SaveDialog';

const NONE = { texts: 0, changed: 0, spills: 0, mended: 0 };

/** The dialog of a draft with another least height. */
function asked(): { unmount: () => void } {
  return render(
    <Provider store={makeStore()}>
      <ThemeProvider theme={theme}>
        <SaveDialog
          before={STARTING_STANDARD}
          after={{ ...STARTING_STANDARD, leastHeight: 2 }}
          saving={false}
          onSave={() => undefined}
          onClose={() => undefined}
        />
      </ThemeProvider>
    </Provider>,
  );
}

function saving(sheets: Partial<StandardImpact['sheets']>, designs: StandardImpact['designs'] = []): void {
  answering(() => ({ body: { designs, sheets: { ...NONE, count: 0, touched: 0, atOnce: 0, ...sheets } } }));
  asked();
}

test('a change that no text shows says so, once it was computed', async () => {
  saving({ count: 12 });
  expect(screen.getByRole('button', { name: 'Save the draft' }).hasAttribute('disabled')).toBe(true);
  expect(await screen.findByText('No text on any design or sheet changes.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Save the draft' }).hasAttribute('disabled')).toBe(false);
});

test('what changes is told by design and for all sheets together', async () => {
  const quay = { ...NONE, id: 'q', name: 'Quay strip', atOnce: true, texts: 40, changed: 8, spills: 1 };
  saving({ count: 30_000, touched: 20, changed: 55, atOnce: 3 }, [quay]);
  expect(
    await screen.findByText(/^8 texts in 1 design and 55 texts on 20 sheets change\. 3 sheets follow/),
  ).toBeTruthy();
  expect(screen.getByRole('rowheader', { name: '20 of 30000 sheets, with their own values' })).toBeTruthy();
  expect(screen.getByRole('rowheader', { name: 'Quay strip, all sizes, longest values' })).toBeTruthy();
});

test('how far the comparison is, is told while it goes on, and closing the dialog stops it', async () => {
  let stopped = false;
  answering(({ path }) => ({ body: path === '/standard/impact' ? {} : { progress: { done: 1200, all: 30_000 } } }));
  const answer = globalThis.fetch;
  globalThis.fetch = (input, init) => {
    const request = input as Request;
    if (request.method !== 'POST') return answer(input, init);
    // A comparison that goes on until it is given up.
    return new Promise((_resolve, reject) =>
      request.signal.addEventListener('abort', () => {
        stopped = true;
        reject(new DOMException('stopped', 'AbortError'));
      }),
    );
  };
  const { unmount } = asked();
  expect(await screen.findByText('1200 of 30000 sheets compared')).toBeTruthy();
  expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('4');
  unmount();
  await waitFor(() => expect(stopped).toBe(true));
});

import { render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { ThemeProvider } from '@mui/material/styles';
import type { StandardImpact } from '@mendrel/contract';
import { STARTING_STANDARD } from '@mendrel/core';
import { makeStore } from '../../app/store';
import { theme } from '../../app/theme';
import { answering } from '../../testing/answering';
import { SaveDialog } from './SaveDialog';

const NONE = { texts: 0, changed: 0, spills: 0, mended: 0 };

function saving(sheets: Partial<StandardImpact['sheets']>, designs: StandardImpact['designs'] = []): void {
  answering(() => ({ body: { designs, sheets: { ...NONE, all: 0, count: 0, touched: 0, atOnce: 0, ...sheets } } }));
  render(
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

test('a change that no text shows says so, once it was computed', async () => {
  saving({ all: 12, count: 12 });
  expect(screen.getByRole('button', { name: 'Save the draft' }).hasAttribute('disabled')).toBe(true);
  expect(await screen.findByText('No text on any design or sheet changes.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Save the draft' }).hasAttribute('disabled')).toBe(false);
});

test('where not all sheets were looked at, that is said, whether any of them changes or not', async () => {
  saving({ all: 30_000, count: 5000 });
  expect(await screen.findByText(/or on the 5000 of 30000 sheets that were looked at/)).toBeTruthy();
});

test('what changes is told by design, and with the sheets that were not looked at', async () => {
  const quay = { ...NONE, id: 'q', name: 'Quay strip', atOnce: true, texts: 40, changed: 8, spills: 1 };
  saving({ all: 30_000, count: 5000, touched: 20, changed: 55, atOnce: 3 }, [quay]);
  expect(
    await screen.findByText(/^8 texts in 1 design and 55 texts on 20 sheets change\. 3 sheets follow/),
  ).toBeTruthy();
  expect(screen.getByText('Only 5000 of 30000 sheets were looked at; the others may change too.')).toBeTruthy();
  expect(screen.getByRole('rowheader', { name: 'Quay strip, all sizes, longest values' })).toBeTruthy();
});

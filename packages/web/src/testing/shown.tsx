import type { ReactElement } from 'react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ThemeProvider } from '@mui/material/styles';
import type { Action } from '@reduxjs/toolkit';
import { render } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';
import { userEvent } from '@testing-library/user-event';
import { SnackbarProvider } from 'notistack';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import type { Store } from '../app/store';
import { makeStore } from '../app/store';
import { theme } from '../app/theme';

/** Style sheets that reach no page: what is asked here is not how it looks, and matching rules takes half the time. */
const unseen = createCache({ key: 'css', container: document.createElement('head') });

const seen = createCache({ key: 'css' });

/** For the few claims that are about how something looks. */
export function WithStyles({ children }: { children: React.ReactNode }) {
  return <CacheProvider value={seen}>{children}</CacheProvider>;
}

interface Shown {
  user: UserEvent;
  store: Store;
  /** Shows it with other properties. */
  rerender: (element: ReactElement) => void;
}

/**
 * A component in the surroundings that the application gives it, and someone who uses it.
 * @param before what has been done before it is shown
 */
export function shown(element: ReactElement, before: readonly Action[] = []): Shown {
  const store = makeStore();
  for (const action of before) store.dispatch(action);
  const around = ({ children }: { children: React.ReactNode }) => (
    <CacheProvider value={unseen}>
      <Provider store={store}>
        <ThemeProvider theme={theme}>
          <SnackbarProvider>
            <MemoryRouter>{children}</MemoryRouter>
          </SnackbarProvider>
        </ThemeProvider>
      </Provider>
    </CacheProvider>
  );
  const { rerender } = render(element, { wrapper: around });
  return { user: userEvent.setup({ delay: null, pointerEventsCheck: 0 }), store, rerender };
}

/** Frames that are drawn when the test says so. */
export function framesByHand(): { next: () => void; waiting: () => number } {
  let asked = new Map<number, FrameRequestCallback>();
  let last = 0;
  vi.spyOn(window, 'requestAnimationFrame').mockImplementation((act) => {
    asked.set(++last, act);
    return last;
  });
  vi.spyOn(window, 'cancelAnimationFrame').mockImplementation((id) => void asked.delete(id));
  return {
    next() {
      const now = asked;
      asked = new Map();
      for (const act of now.values()) act(0);
    },
    waiting: () => asked.size,
  };
}

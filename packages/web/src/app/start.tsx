import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { SnackbarProvider } from 'notistack';
import { CommandProvider } from './commands';
import { MESSAGE_MS, MESSAGES } from './messages';
import { makeRouter } from './routes';
import { askWhenSeenAgain } from './seenAgain';
import { makeStore } from './store';
import { theme } from './theme';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root element');
const store = makeStore();
const router = makeRouter(store);
askWhenSeenAgain(store);

createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <ThemeProvider theme={theme} defaultMode="system">
        <CssBaseline />
        <SnackbarProvider
          maxSnack={1}
          transitionDuration={MESSAGE_MS}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
          Components={MESSAGES}
        >
          <CommandProvider>
            <RouterProvider router={router} />
          </CommandProvider>
        </SnackbarProvider>
      </ThemeProvider>
    </Provider>
  </StrictMode>,
);

import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import CloseIcon from '@mui/icons-material/Close';
import type { CustomContentProps } from 'notistack';
import { MaterialDesignContent, useSnackbar } from 'notistack';
import { forwardRef } from 'react';

/** In the colours of the theme: dark as the rail, or in the colour of its weight. */
const Content = styled(MaterialDesignContent)(({ theme }) => {
  const { office, error, warning } = (theme.vars ?? theme).palette;
  return {
    '&.notistack-MuiContent': { fontFamily: theme.typography.fontFamily, fontSize: '0.8125rem', maxWidth: 560 },
    '&.notistack-MuiContent-default, &.notistack-MuiContent-success, &.notistack-MuiContent-info': {
      backgroundColor: office.rail,
      color: office.railText,
    },
    '&.notistack-MuiContent-warning': { backgroundColor: warning.main, color: warning.contrastText },
    '&.notistack-MuiContent-error': { backgroundColor: error.main, color: error.contrastText },
  };
});

/** A short message at the bottom of the page, with what can be done about it; what it lies over is seen once it is dismissed. */
const Message = forwardRef<HTMLDivElement, CustomContentProps>(function Message({ action, ...content }, ref) {
  const { closeSnackbar } = useSnackbar();
  return (
    <Content
      {...content}
      ref={ref}
      action={
        <>
          {typeof action === 'function' ? action(content.id) : action}
          <IconButton
            size="small"
            color="inherit"
            aria-label="Dismiss the message"
            onClick={() => closeSnackbar(content.id)}
          >
            <CloseIcon fontSize="small" />
          </IconButton>
        </>
      }
    />
  );
});

/** One look for every kind of message. */
export const MESSAGES = { default: Message, success: Message, info: Message, warning: Message, error: Message };

/** How long a message comes and goes, in ms: the next one waits for it. */
export const MESSAGE_MS = { enter: 150, exit: 100 };

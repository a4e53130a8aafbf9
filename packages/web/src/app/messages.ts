import { styled } from '@mui/material/styles';
import { MaterialDesignContent } from 'notistack';

/** A short message at the bottom of the page, in the colours of the theme: dark as the rail, or in the colour of its weight. */
const Message = styled(MaterialDesignContent)(({ theme }) => {
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

/** One look for every kind of message. */
export const MESSAGES = { default: Message, success: Message, info: Message, warning: Message, error: Message };

import { Component } from 'react';
import type { ErrorInfo, ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

interface Props {
  children: ReactNode;
  /** Changing it gives the place a fresh start. */
  resetKey: string;
}

/** Keeps an error in one place from taking the whole interface down. */
export class ErrorBoundary extends Component<Props, { failed: boolean; key: string }> {
  override state = { failed: false, key: this.props.resetKey };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  static getDerivedStateFromProps(props: Props, state: { failed: boolean; key: string }) {
    return props.resetKey === state.key ? null : { failed: false, key: props.resetKey };
  }

  override componentDidCatch(error: Error, info: ErrorInfo): void {
    console.error(error, info.componentStack);
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children;
    return (
      <Box role="alert" sx={{ p: 12, maxWidth: 560 }}>
        <Typography variant="h1" component="h1">
          This place could not be shown
        </Typography>
        <Typography sx={{ my: 3 }}>
          Something in it went wrong. What you saved is safe; what you were editing is still here when you try again.
        </Typography>
        <Button variant="contained" onClick={() => this.setState({ failed: false })}>
          Try again
        </Button>
      </Box>
    );
  }
}

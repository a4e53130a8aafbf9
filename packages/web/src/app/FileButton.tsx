import { useRef } from 'react';
import type { ButtonProps } from '@mui/material/Button';
import Button from '@mui/material/Button';

interface Props extends Pick<ButtonProps, 'size' | 'variant' | 'disabled' | 'children'> {
  /** What is chosen, for those who do not see the button. */
  of: string;
  /** Endings and types that are offered. */
  accept: string;
  onFile: (file: File) => void;
}

/** A button that lets a file be chosen; the same file may be chosen again. */
export function FileButton({ of, accept, onFile, ...button }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => picker.current?.click()} />
      <input
        ref={picker}
        type="file"
        accept={accept}
        hidden
        aria-label={of}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}

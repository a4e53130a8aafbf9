import { EditError, LEAST_OPACITY as LEAST } from '@mendrel/core';
import { Typed } from '../../../app/Typed';
import { withOptional } from './withOptional';

function read(text: string): string {
  const value = Number(text.replace(/\s*%$/, ''));
  if (text !== '' && !(Number.isInteger(value) && value >= LEAST && value <= 100))
    throw new EditError(`A whole number from ${LEAST} to 100.`);
  return text === '' || value === 100 ? '' : String(value);
}

/** How much something covers what lies under it, in per cent. */
export function OpacityField<T extends { opacity?: number | undefined }>({
  of,
  onSet,
}: {
  of: T;
  onSet: (next: T) => void;
}) {
  return (
    <Typed
      label="Opacity, %"
      value={of.opacity === undefined ? '' : String(of.opacity)}
      placeholder="100"
      read={read}
      onSet={(text) => onSet(withOptional<T, 'opacity'>(of, 'opacity', text === '' ? undefined : Number(text)))}
    />
  );
}

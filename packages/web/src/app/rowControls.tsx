import { useEffect, useRef } from 'react';
import type { GridSlotProps } from '@mui/x-data-grid';
import { SCHEMES } from './theme';

/** Line icons on a grid of 24, as backgrounds: an svg of its own in each row would take a sixth of a frame while rows scroll. */
const PATHS = {
  edit: 'M4 20l1-4L16 5l3 3L8 19zM14 7l3 3',
  delete: 'M5 7h14M10 7V4h4v3M7 7l1 13h8l1-13M10.5 11v5M13.5 11v5',
} as const;
type RowIcon = keyof typeof PATHS;

const iconOf = (icon: RowIcon, colour: string): string =>
  `url("data:image/svg+xml,${encodeURIComponent(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24" fill="none" stroke="${colour}" stroke-width="1.6" ` +
      `stroke-linecap="round" stroke-linejoin="round"><path d="${PATHS[icon]}"/></svg>`,
  )}")`;

/** How an icon is drawn in each scheme; where the person has colours of their own, in that of their buttons. */
function lookOf(icon: RowIcon): object {
  const { light, dark } = SCHEMES;
  return {
    [`& .row-button.${icon}`]: {
      backgroundImage: iconOf(icon, light.palette.text.secondary),
      '[data-scheme="dark"] &': { backgroundImage: iconOf(icon, dark.palette.text.secondary) },
      '@media (forced-colors: active)': {
        forcedColorAdjust: 'none',
        // In either scheme.
        backgroundImage: 'none !important',
        backgroundColor: 'ButtonText',
        mask: `${iconOf(icon, '#000')} center / 20px no-repeat`,
      },
    },
  };
}

/** The controls that stand in each row of a table, for the look of the table: thousands of rows are built and painted while it scrolls. */
export const ROW_CONTROLS_LOOK = {
  '& .row-button': {
    width: 28,
    height: 28,
    p: 0,
    border: 0,
    borderRadius: '50%',
    cursor: 'pointer',
    background: 'transparent center / 20px no-repeat',
    '&:hover': { backgroundColor: 'action.hover' },
    '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main' },
  },
  ...lookOf('edit'),
  ...lookOf('delete'),
  // The whole cell is clicked.
  '& .row-choice': {
    display: 'grid',
    placeItems: 'center',
    minWidth: 34,
    minHeight: 34,
    width: '100%',
    height: '100%',
    cursor: 'pointer',
  },
  '& .row-choice input': {
    width: 17,
    height: 17,
    m: 0,
    cursor: 'inherit',
    accentColor: 'var(--mui-palette-primary-main)',
  },
} as const;

/** A button of a row that shows an icon. */
export const RowButton = ({ icon, label, onClick }: { icon: RowIcon; label: string; onClick: () => void }) => (
  <button type="button" className={`row-button ${icon}`} aria-label={label} title={label} onClick={onClick} />
);

/** The box by which a row is chosen, and the one over them. */
export function RowBox({
  checked,
  indeterminate = false,
  disabled,
  tabIndex,
  slotProps,
  onChange,
  onClick,
  onKeyDown,
}: GridSlotProps['baseCheckbox']) {
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => {
    // No attribute says so.
    if (box.current) box.current.indeterminate = indeterminate;
  }, [indeterminate]);
  return (
    <label className="row-choice">
      <input
        {...slotProps?.htmlInput}
        type="checkbox"
        ref={box}
        checked={checked ?? false}
        disabled={disabled}
        tabIndex={tabIndex}
        onChange={onChange}
        onClick={onClick}
        onKeyDown={onKeyDown}
      />
    </label>
  );
}

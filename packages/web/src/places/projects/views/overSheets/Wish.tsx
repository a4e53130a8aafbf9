import { useLayoutEffect, useRef } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { Chosen } from '../../../../app/Chosen';
import type { Together } from './sheetsToFill';
import { TOGETHER, TOGETHER_WORDS } from './sheetsToFill';

interface Props {
  sheets: readonly Sheet[];
  chosen: ReadonlySet<string>;
  /** Sheets that may be chosen at once. */
  most: number;
  onChosen: (chosen: ReadonlySet<string>) => void;
  like: Sheet;
  /** How many views wait in the tray of the project, and whether they are arranged as well. */
  tray: number;
  fromTray: boolean;
  onFromTray: (fromTray: boolean) => void;
  further: boolean;
  onFurther: (further: boolean) => void;
  together: Together;
  onTogether: (together: Together) => void;
  /** Undefined while each view keeps its own. */
  scale: string | undefined;
  scales: readonly string[];
  onScale: (scale: string | undefined) => void;
}

const OWN = 'own';

/** Which sheets take part in an arrangement, and how it is to be. */
export function Wish(props: Props) {
  const { sheets, chosen, most, onChosen, like, further, onFurther, together, onTogether, scale, scales, onScale } =
    props;
  const toggled = (id: string): ReadonlySet<string> => {
    const next = new Set(chosen);
    if (!next.delete(id) && next.size < most) next.add(id);
    return next;
  };
  const list = useRef<HTMLDivElement>(null);
  const firstChosen = useRef(sheets.findIndex(({ id }) => chosen.has(id)));
  useLayoutEffect(() => {
    // The list begins with those that are chosen.
    const row = list.current?.children[firstChosen.current];
    if (row instanceof HTMLElement && list.current) list.current.scrollTop = row.offsetTop - list.current.offsetTop;
  }, []);
  const ofKind = sheets.filter(({ kind, size }) => kind === like.kind && size === like.size).slice(0, most);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: 2, minHeight: 0 }}>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
        <Typography component="legend" variant="h3" sx={{ color: 'text.secondary', mb: 1 }}>
          Sheets ({chosen.size})
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, mb: 1 }}>
          <Button size="small" onClick={() => onChosen(new Set(ofKind.map(({ id }) => id)))}>
            Each {like.kind} of {like.size}
          </Button>
          <Button size="small" color="inherit" onClick={() => onChosen(new Set([like.id]))}>
            Only {like.number}
          </Button>
        </Box>
        <Box
          ref={list}
          tabIndex={0}
          role="group"
          aria-label="Sheets to arrange on"
          sx={{ maxHeight: 220, overflow: 'auto', border: 1, borderColor: 'divider', px: 2 }}
        >
          {sheets.map(({ id, number, title, views }) => (
            <FormControlLabel
              key={id}
              sx={{ display: 'flex', mr: 0 }}
              control={
                <Checkbox
                  size="small"
                  checked={chosen.has(id)}
                  onChange={() => onChosen(toggled(id))}
                  sx={{ p: 0.5 }}
                />
              }
              label={
                <Box sx={{ fontSize: '0.8125rem', whiteSpace: 'nowrap' }}>
                  <b>{number}</b> {title.slice(0, 24)}{' '}
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {views.length === 0 ? '' : counted(views.length, 'view')}
                  </Box>
                </Box>
              }
            />
          ))}
        </Box>
      </Box>
      {props.tray > 0 ? (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={props.fromTray}
              onChange={({ target }) => props.onFromTray(target.checked)}
            />
          }
          label={`With ${counted(props.tray, 'view')} of the tray`}
        />
      ) : null}
      <FormControlLabel
        control={<Checkbox size="small" checked={further} onChange={({ target }) => onFurther(target.checked)} />}
        label={`Add sheets like ${like.number} where they are needed`}
      />
      <Chosen
        label="Keep together"
        value={together}
        options={TOGETHER.map((each) => [each, TOGETHER_WORDS[each]] as const)}
        onSet={onTogether}
      />
      <Chosen
        label="Scale"
        value={scale ?? OWN}
        options={[[OWN, 'each view its own'], ...scales.map((each) => [each, `all views ${each}`] as const)]}
        onSet={(next) => onScale(next === OWN ? undefined : next)}
      />
    </Box>
  );
}

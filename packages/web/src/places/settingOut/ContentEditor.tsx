import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Caption, Content, Field, Finding, OfficeStandard, TextLayout } from '@mendrel/core';
import { fillPattern, formatLength, PARAMETERS, parsePattern, PatternError } from '@mendrel/core';
import { FindingMark } from '../../app/FindingMark';

interface Props {
  content: Content;
  standard: OfficeStandard;
  text: TextLayout | undefined;
  findings: readonly Finding[];
  unit: 'mm' | 'in';
  onChange: (content: Content) => void;
  onRemove: () => void;
}

const KIND_WORDS = { caption: 'Caption', field: 'Field', picture: 'Picture', table: 'Table' } as const;

/** One content of the selected cell: its words, its lettering role, where it sits and what it may do to fit. */
export function ContentEditor({ content, standard, text, findings, unit, onChange, onRemove }: Props) {
  const isText = content.kind === 'caption' || content.kind === 'field';
  const role = isText ? standard.roles.find((each) => each.id === content.role) : undefined;
  const worst = findings[0];
  return (
    <Box
      role="group"
      aria-label={KIND_WORDS[content.kind]}
      sx={{ borderTop: 1, borderColor: 'divider', py: 3, display: 'flex', flexDirection: 'column', gap: 2.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Typography component="h3" sx={{ flex: 1 }}>
          <b>{KIND_WORDS[content.kind]}</b>
          {role ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              · {role.name.toLowerCase()} {formatLength(role.height, unit, true)}
            </Box>
          ) : null}
        </Typography>
        <Button
          size="small"
          color="inherit"
          onClick={onRemove}
          aria-label={`Remove this ${KIND_WORDS[content.kind].toLowerCase()}`}
        >
          Remove
        </Button>
      </Box>
      {isText ? (
        <TextEditor content={content} standard={standard} onChange={onChange} />
      ) : (
        <Typography sx={{ color: 'text.secondary' }}>{otherWords(content)}</Typography>
      )}
      {text ? (
        <Typography variant="caption" sx={{ color: 'text.secondary' }}>
          {fitInWords(text)}
        </Typography>
      ) : null}
      {worst ? (
        <Typography variant="caption" component="div">
          <FindingMark finding={worst} more={findings.length - 1} />
          {worst.mend ? <Box sx={{ color: 'text.secondary', pl: 4 }}>To mend it: {worst.mend}.</Box> : null}
        </Typography>
      ) : null}
    </Box>
  );
}

function otherWords(content: Content): string {
  if (content.kind === 'picture')
    return `${content.name}, ${content.width.toFixed(1)} × ${content.height.toFixed(1)} mm at natural size.`;
  if (content.kind === 'table')
    return `Table of ${content.table}: ${content.columns.map((column) => column.heading || '—').join(', ')}; ${content.rows} rows.`;
  return '';
}

function fitInWords(text: TextLayout): string {
  switch (text.fit) {
    case 'fits':
      return `Fits on one line, ${text.width.toFixed(1)} mm wide.`;
    case 'wrapped':
      return `Wraps to ${text.lines.length} lines.`;
    case 'condensed':
      return `Condensed to ${Math.round(text.widthFactor * 100)} %${text.lines.length > 1 ? ` on ${text.lines.length} lines` : ''}.`;
    case 'stepped':
      return `Steps down to ${text.height} mm${text.lines.length > 1 ? ` on ${text.lines.length} lines` : ''}.`;
    case 'spills':
      return `Spills by ${text.by.toFixed(1)} mm.`;
  }
}

type TextContent = Caption | Field;

function TextEditor({
  content,
  standard,
  onChange,
}: {
  content: TextContent;
  standard: OfficeStandard;
  onChange: (content: Content) => void;
}) {
  const words = content.kind === 'caption' ? content.text : content.pattern;
  const [typed, setTyped] = useState<string>();
  const problem = content.kind === 'field' && typed !== undefined ? patternProblem(typed) : undefined;
  const keep = (text: string): void => {
    if (text === words || problem) return;
    onChange(content.kind === 'caption' ? { ...content, text } : { ...content, pattern: text });
  };
  const select = (label: string, value: string, options: readonly [string, string][], set: (value: string) => void) => (
    <TextField select label={label} value={value} onChange={(event) => set(event.target.value)}>
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <>
      <TextField
        label={content.kind === 'caption' ? 'Fixed words' : 'Words from data'}
        value={typed ?? words}
        error={problem !== undefined}
        helperText={problem ?? (content.kind === 'field' ? fieldHelp(typed ?? words) : undefined)}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed !== undefined && !problem) {
            keep(typed);
            setTyped(undefined);
          }
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && typed !== undefined && !problem) {
            keep(typed);
            setTyped(undefined);
          }
        }}
        slotProps={{ htmlInput: { spellCheck: content.kind === 'caption' } }}
      />
      {content.kind === 'field'
        ? select(
            'Add a parameter',
            '',
            [['', 'Choose…'], ...PARAMETERS.map((each): [string, string] => [each.key, `${each.name}  {${each.key}}`])],
            (key) => {
              if (key)
                onChange({ ...content, pattern: content.pattern === '' ? `{${key}}` : `${content.pattern} {${key}}` });
            },
          )
        : null}
      {select(
        'Lettering role',
        content.role,
        standard.roles.map((each): [string, string] => [each.id, each.name]),
        (role) => onChange({ ...content, role }),
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>
        {select(
          'Across',
          content.horizontal,
          [
            ['left', 'Left'],
            ['centre', 'Centre'],
            ['right', 'Right'],
          ],
          (value) => onChange({ ...content, horizontal: value as TextContent['horizontal'] }),
        )}
        {select(
          'Up',
          content.vertical,
          [
            ['top', 'Top'],
            ['middle', 'Middle'],
            ['bottom', 'Bottom'],
          ],
          (value) => onChange({ ...content, vertical: value as TextContent['vertical'] }),
        )}
        {select(
          'Turned',
          String(content.rotation),
          [
            ['0', 'Level'],
            ['90', '90° up'],
            ['180', '180°'],
            ['270', '90° down'],
          ],
          (value) => onChange({ ...content, rotation: Number(value) as TextContent['rotation'] }),
        )}
        {select(
          'Lines at most',
          String(content.fit.lines),
          [1, 2, 3, 4, 6, 12, 40]
            .concat([1, 2, 3, 4, 6, 12, 40].includes(content.fit.lines) ? [] : [content.fit.lines])
            .map((n): [string, string] => [String(n), String(n)]),
          (value) => onChange({ ...content, fit: { ...content.fit, lines: Number(value) } }),
        )}
        {select(
          'Condense to',
          String(content.fit.condense),
          [1, 0.95, 0.9, 0.85, 0.8, 0.75, 0.7].map((n): [string, string] => [
            String(n),
            n === 1 ? 'Never' : `${Math.round(n * 100)} %`,
          ]),
          (value) => onChange({ ...content, fit: { ...content.fit, condense: Number(value) } }),
        )}
        {select(
          'Step down',
          String(content.fit.steps),
          [0, 1, 2, 3].map((n): [string, string] => [String(n), n === 0 ? 'Never' : `${n} height${n > 1 ? 's' : ''}`]),
          (value) => onChange({ ...content, fit: { ...content.fit, steps: Number(value) } }),
        )}
      </Box>
    </>
  );
}

function patternProblem(pattern: string): string | undefined {
  try {
    parsePattern(pattern);
    return undefined;
  } catch (error) {
    if (error instanceof PatternError) return error.message;
    throw error;
  }
}

function fieldHelp(pattern: string): string {
  const values = Object.fromEntries(PARAMETERS.map((each) => [each.key, each.typical]));
  const { text, missing } = fillPattern(pattern, values);
  const unknown = missing.find((key) => !PARAMETERS.some((each) => each.key === key));
  return unknown ? `There is no parameter {${unknown}}.` : text === '' ? 'Nothing yet.' : `Reads for example: ${text}`;
}

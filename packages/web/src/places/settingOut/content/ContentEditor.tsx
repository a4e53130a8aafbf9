import ArrowDownwardIcon from '@mui/icons-material/ArrowDownward';
import ArrowUpwardIcon from '@mui/icons-material/ArrowUpward';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import type { Content, Finding, OfficeStandard, TextLayout, WorkingUnit } from '@mendrel/core';
import { formatLength, isText, kindOf, withCondition } from '@mendrel/core';
import { FindingMark } from '../../../app/FindingMark';
import { Typed } from '../../../app/Typed';
import { editedKind } from './kinds';
import { fitInWords, PlacingEditor } from './PlacingEditor';

interface Props {
  content: Content;
  standard: OfficeStandard;
  text: TextLayout | undefined;
  findings: readonly Finding[];
  unit: WorkingUnit;
  first: boolean;
  last: boolean;
  onChange: (content: Content) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}

/** One content of the selected cell: what it says or shows, where it sits, and when it is there. */
export function ContentEditor(props: Props) {
  const { content, standard, text, findings, unit, first, last, onChange, onMove, onRemove } = props;
  const role = isText(content) ? standard.roles.find((each) => each.id === content.role) : undefined;
  const worst = findings[0];
  const kind = kindOf(content).name;
  const { Editor } = editedKind(content.kind);
  return (
    <Box
      role="group"
      aria-label={kind}
      sx={{ borderTop: 1, borderColor: 'divider', py: 3, display: 'flex', flexDirection: 'column', gap: 2.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Typography component="h3" noWrap sx={{ flex: 1 }}>
          <b>{kind}</b>
          {role ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              · {role.name.toLowerCase()} {formatLength(role.height, unit, true)}
            </Box>
          ) : null}
        </Typography>
        {first ? null : (
          <IconButton size="small" aria-label={`Move this ${kind.toLowerCase()} up`} onClick={() => onMove(-1)}>
            <ArrowUpwardIcon fontSize="inherit" />
          </IconButton>
        )}
        {last ? null : (
          <IconButton size="small" aria-label={`Move this ${kind.toLowerCase()} down`} onClick={() => onMove(1)}>
            <ArrowDownwardIcon fontSize="inherit" />
          </IconButton>
        )}
        <Button size="small" color="inherit" onClick={onRemove} aria-label={`Remove this ${kind.toLowerCase()}`}>
          Remove
        </Button>
      </Box>
      <Editor content={content} standard={standard} unit={unit} onChange={onChange} />
      {text ? (
        <Typography variant="caption" sx={{ color: 'text.secondary' }}>
          {fitInWords(text, unit)}
        </Typography>
      ) : null}
      {worst ? (
        <Typography variant="caption" component="div">
          <FindingMark finding={worst} more={findings.length - 1} />
          {worst.mend ? <Box sx={{ color: 'text.secondary', pl: 4 }}>Fix: {worst.mend}.</Box> : null}
        </Typography>
      ) : null}
      <PlacingEditor content={content} unit={unit} onChange={onChange} />
      <Typed
        label="Show when"
        formula
        value={content.when ?? ''}
        placeholder="always"
        onSet={(when) => onChange(withCondition(content, when))}
      />
    </Box>
  );
}

import Box from '@mui/material/Box';
import type { MoreRows, OfficeStandard, TableColumn, TableContent, TableKindName } from '@mendrel/core';
import {
  EditError,
  isWords,
  MORE_ROWS,
  MOST_BESIDE,
  MOST_TABLE_ROWS,
  parametersOf,
  roleFor,
  rowKeysOf,
  shareOfWidth,
  TABLE_KINDS,
  tableId,
  tableKindOf,
  TABLES,
  usualColumns,
} from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';
import { ChosenPen, ChosenRole } from '../details/Chosen';
import { Pair } from '../details/Section';
import { Typed } from '../../../app/Typed';
import { asFormula } from '../../../app/asFormula';
import type { EditedKind, EditorProps } from './editing';
import { EntryRows } from './EntryRows';
import { LanguageFields } from './LanguageFields';
import { readPattern } from './patternProblem';
import { withOptional } from './withOptional';

const MORE_WORDS: Readonly<Record<MoreRows, string>> = {
  first: 'First rows, and how many more',
  last: 'Last rows, and how many before',
  smaller: 'All rows, set smaller',
  next: 'Go on in the next table of these',
};
const AS_ERROR = 'error';
/** A column whose line follows the table has no pen of its own. */
const AS_TABLE = '';

/** What a table may list: each kind, and each of the office's own tables by its name. */
const listed = (standard: OfficeStandard): (readonly [string, string])[] => [
  ...TABLES.filter((kind) => kind !== 'own').map((kind) => [kind, TABLE_KINDS[kind].name] as const),
  ...standard.tables.map(({ id, name }) => [`own:${id}`, name] as const),
];

const choiceOf = ({ table, own }: TableContent): string => (table === 'own' ? `own:${own ?? ''}` : table);

/** Columns of another kind of table: the usual ones, or those that the office gave its own. */
function columnsFor(
  choice: string,
  standard: OfficeStandard,
): Pick<TableContent, 'table' | 'columns'> & { own?: string } {
  if (!choice.startsWith('own:')) {
    const table = choice as TableKindName;
    return { table, columns: usualColumns(table) };
  }
  const own = choice.slice(4);
  const columns = standard.tables.find(({ id }) => id === own)?.columns ?? [];
  return {
    table: 'own',
    own,
    columns: columns.map(({ key, name }) => ({ heading: name, shows: `{row.${key}}`, width: '*' })),
  };
}

/** What a column can show by itself; anything else is typed as a pattern. */
function shownChoices(content: TableContent, standard: OfficeStandard): (readonly [string, string])[] {
  const rows = (rowKeysOf(tableId(content), standard.tables) ?? []).map(
    ({ key, name }) => [`{row.${key}}`, name] as const,
  );
  if (content.table !== 'index') return rows;
  const sheets = [...parametersOf(standard).values()].filter((each) => each.scope === 'sheet' && isWords(each));
  return sheets.map(({ key, name }) => [`{${key}}`, name] as const);
}

/** A table: what it lists, its columns, its rows and what becomes of more of them than there is room for. */
function TableEditor({ content, standard, unit, onChange }: EditorProps<TableContent>) {
  const choices = listed(standard);
  const choice = choiceOf(content);
  const keys = shownChoices(content, standard);
  return (
    <>
      <Chosen
        label="Lists"
        value={choice}
        options={choices.some(([key]) => key === choice) ? choices : [[choice, 'A table that is gone'], ...choices]}
        help={sourceInWords(content)}
        onSet={(next) => onChange({ ...withOptional(content, 'own', undefined), ...columnsFor(next, standard) })}
      />
      <Typed
        label="Title"
        value={content.title ?? ''}
        onSet={(title) => onChange(withOptional(content, 'title', title || undefined))}
      />
      {content.title ? (
        <LanguageFields
          standard={standard}
          what="Title"
          words={content.titleIn}
          onSet={(titleIn) => onChange(withOptional(content, 'titleIn', titleIn))}
        />
      ) : null}
      <Pair>
        <Chosen
          label="Headings"
          value={content.heading}
          options={[
            ['bottom', 'At the bottom'],
            ['top', 'At the top'],
            ['none', 'None'],
          ]}
          onSet={(heading) => onChange({ ...content, heading })}
        />
        <Typed
          label="Rows"
          value={content.rows === 0 ? '' : String(content.rows)}
          placeholder="fill the cell"
          read={(text) => {
            const rows = text.trim() === '' ? 0 : Number(text);
            if (!Number.isInteger(rows) || rows < 0 || rows > MOST_TABLE_ROWS)
              throw new EditError(`A whole number from 1 to ${MOST_TABLE_ROWS}, or nothing to fill the cell.`);
            return rows === 0 ? '' : String(rows);
          }}
          onSet={(text) => onChange({ ...content, rows: Number(text) })}
        />
        <Typed
          label="Row height"
          length={unit}
          required
          value={content.rowHeight}
          onSet={(rowHeight) => onChange({ ...content, rowHeight })}
        />
        <Chosen
          label="Long texts"
          value={content.growing ? 'grow' : 'fit'}
          options={[
            ['fit', 'Fit'],
            ['grow', 'Grow row'],
          ]}
          onSet={(how) => onChange(withOptional(content, 'growing', how === 'grow' || undefined))}
        />
        <Chosen
          label="Blank rows"
          value={content.onlyFilled ? 'not' : 'drawn'}
          options={[
            ['drawn', 'Drawn'],
            ['not', 'Left out'],
          ]}
          onSet={(how) => onChange(withOptional(content, 'onlyFilled', how === 'not' || undefined))}
        />
        <Chosen
          label="Side by side"
          value={String(content.beside ?? 1)}
          options={Array.from(
            { length: MOST_BESIDE },
            (_, i) => [String(i + 1), i === 0 ? 'One' : String(i + 1)] as const,
          )}
          onSet={(text) => onChange(withOptional(content, 'beside', text === '1' ? undefined : Number(text)))}
        />
      </Pair>
      <Chosen
        label="More rows than room"
        value={content.more ?? AS_ERROR}
        options={[[AS_ERROR, 'An error'], ...MORE_ROWS.map((each) => [each, MORE_WORDS[each]] as const)]}
        onSet={(more) => onChange(withOptional(content, 'more', more === AS_ERROR ? undefined : more))}
      />
      <Chosen
        label="Begins with"
        value={content.goesOn ? 'on' : 'first'}
        options={[
          ['first', 'The first row'],
          ['on', 'Rows that the table before it leaves'],
        ]}
        onSet={(how) => onChange(withOptional(content, 'goesOn', how === 'on' || undefined))}
      />
      <EntryRows
        entries={content.columns}
        name="column"
        most={30}
        widths="1fr"
        blank={(): TableColumn => ({ heading: 'Column', shows: keys[0]?.[0] ?? '', width: '*' })}
        fields={(column, position, change) => (
          <ColumnFields
            column={column}
            position={position}
            keys={keys}
            standard={standard}
            unit={unit}
            onChange={change}
          />
        )}
        onSet={(columns) =>
          onChange({
            ...content,
            columns: columns.map((each) => (each.pen === AS_TABLE ? withOptional(each, 'pen', undefined) : each)),
          })
        }
      />
      <ChosenRole
        label="Headings in"
        value={content.captionRole}
        standard={standard}
        onSet={(captionRole) => onChange({ ...content, captionRole })}
      />
      <ChosenRole
        label="Rows in"
        value={content.valueRole}
        standard={standard}
        onSet={(valueRole) => onChange({ ...content, valueRole })}
      />
      <ChosenPen
        label="Lines"
        value={content.pen}
        standard={standard}
        unset="As dividers"
        onSet={(pen) => onChange(withOptional(content, 'pen', pen))}
      />
      <Chosen
        label="Every second row"
        value={content.stripes ?? ''}
        options={[
          ['', 'On paper'],
          ['#f0f0f0', 'On light grey'],
          ['#dddddd', 'On grey'],
          ...(content.stripes && !['#f0f0f0', '#dddddd'].includes(content.stripes)
            ? [[content.stripes, content.stripes] as const]
            : []),
        ]}
        onSet={(stripes) => onChange(withOptional(content, 'stripes', stripes || undefined))}
      />
    </>
  );
}

const SOURCE_WORDS = {
  register: 'A row for each sheet of the project',
  entered: 'Rows are entered with the project, or for the whole office',
  revisions: 'Rows are made with the revisions of a project, for each sheet its own',
  issues: 'Rows are made with the issues of a project',
  recorded: 'Stays blank: areas are not kept yet',
} as const;

const sourceInWords = ({ table }: TableContent): string => SOURCE_WORDS[tableKindOf(table).source];

interface ColumnProps {
  column: TableColumn;
  position: number;
  keys: readonly (readonly [string, string])[];
  standard: OfficeStandard;
  unit: EditorProps<TableContent>['unit'];
  onChange: (change: Partial<TableColumn>) => void;
}

/** One column: its heading and width over what it shows and where that stands. */
function ColumnFields({ column, position, keys, standard, unit, onChange }: ColumnProps) {
  const known = keys.some(([pattern]) => pattern === column.shows);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, pb: 3 }}>
      <Pair>
        <Typed label={`Column ${position}`} value={column.heading} onSet={(heading) => onChange({ heading })} />
        <Typed
          label="Width"
          required
          value={column.width}
          read={(text) => (shareOfWidth(text) === undefined ? asFormula(text, unit) : text)}
          onSet={(width) => onChange({ width })}
        />
        <Chosen
          label="Shows"
          value={column.shows}
          options={known ? keys : [[column.shows, column.shows || 'Nothing'], ...keys]}
          onSet={(shows) => onChange({ shows })}
        />
        <Chosen
          label="Aligned"
          value={column.horizontal ?? 'left'}
          options={[
            ['left', 'Left'],
            ['centre', 'Centre'],
            ['right', 'Right'],
          ]}
          onSet={(horizontal) => onChange({ horizontal })}
        />
      </Pair>
      <ChosenPen
        label="Line to its right"
        value={column.pen}
        standard={standard}
        unset="As the table"
        onSet={(pen) => onChange({ pen: pen ?? AS_TABLE })}
      />
      <LanguageFields
        standard={standard}
        what={`Column ${position}`}
        words={column.headingIn}
        onSet={(headingIn) => onChange({ headingIn: headingIn ?? {} })}
      />
      <Typed label="Pattern" value={column.shows} read={readPattern} onSet={(shows) => onChange({ shows })} />
    </Box>
  );
}

/** Rows of a new table are set in lettering of this height where the office has it, in mm. */
const ROW_LETTERING = 2.5;

export const tables: EditedKind<'table'> = {
  Editor: TableEditor,
  adding: { menu: 'Table', command: 'Add a table' },
  make: ({ id, unit, standard }) => ({
    id,
    kind: 'table',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    table: 'revisions',
    columns: usualColumns('revisions'),
    rowHeight: unit === 'in' ? '1/4 in' : '6 mm',
    rows: 0,
    heading: 'bottom',
    captionRole: roleFor(standard, 'caption', unit).id,
    valueRole: roleFor(standard, 'value', unit, ROW_LETTERING).id,
  }),
};

import type { ComponentType } from 'react';
import { Suspense, useDeferredValue, useState } from 'react';
import Box from '@mui/material/Box';
import ChangeHistoryIcon from '@mui/icons-material/ChangeHistory';
import { GridEditInputCell } from '@mui/x-data-grid';
import type { GridColDef, GridRenderEditCellParams } from '@mui/x-data-grid';

import type { Sheet } from '@mendrel/contract';
import type { OfficeStandard, Parameter, SheetKind, Values } from '@mendrel/core';
import { choicesOf, isWords, parametersOf, readOutlineValue } from '@mendrel/core';
import { later } from '../../../app/later';
import { RowButton } from '../../../app/rowControls';
import type { ExchangeColumn } from './exchange';
import { editLines } from './LinesEditCell';
import type { OwnKey, Row } from './rows';
import { useStill } from './scrolling';
import { isDrawn } from '../drawnBefore';
import type { ProjectSheet, SheetLook } from '../sheetDrawings';
import { PICTURE } from './pictureSizes';

export type OwnColumn = Pick<Parameter, 'name' | 'hint' | 'kind' | 'choices' | 'shipped'> & { key: OwnKey };

/** What a sheet keeps in fields of its own, or in columns that are always there. */
const OTHERWISE: ReadonlySet<string> = new Set([
  'sheet.number',
  'sheet.title',
  'sheet.kind',
  'sheet.drawnBy',
  'sheet.checkedBy',
  'sheet.date',
]);

/** Everything else that is typed for each sheet: what ships first, then the office's own; pictures are chosen in its form. */
export const ownOf = (standard: Pick<OfficeStandard, 'parameters'>, values: Values): OwnColumn[] =>
  [...parametersOf(standard).values()].flatMap((each): OwnColumn[] => {
    const { key } = each;
    if (!isSheetKey(key) || each.computed || OTHERWISE.has(key) || !isWords(each)) return [];
    if (key === PART) return partColumns(values, each);
    return [{ ...each, key }];
  });

const isSheetKey = (key: string): key is OwnKey => key.startsWith('sheet.');
const PART = 'sheet.keyPlanPart';

/** The column for the part of the key plan, where the project has an outline with parts. */
function partColumns(values: Values, parameter: Parameter): OwnColumn[] {
  const parts = Object.values(values).flatMap((value) => readOutlineValue(value)?.parts ?? []);
  if (parts.length === 0) return [];
  const hint = `${parts.map(({ name }) => name).join(', ')}, or several with commas`;
  return [{ ...parameter, key: PART, name: 'Part', hint }];
}

/** The column of designs that single sheets have. */
const DESIGN = 'design';

/** Columns that are not seen until somebody wants them: those that ship and are seldom told apart sheet by sheet. */
export const isUsual = (own: readonly OwnColumn[], field: string): boolean => {
  if (field === DESIGN) return false;
  const column = own.find(({ key }) => key === field);
  return column === undefined || !column.shipped || field === PART;
};

/** The columns that hold words which are typed or computed, as they go out and come in. */
export const exchangeColumns = (own: readonly OwnColumn[]): ExchangeColumn[] => [
  { field: 'number', name: 'Number', typed: true },
  { field: 'title', name: 'Title', typed: true },
  { field: 'kind', name: 'Kind', typed: true },
  { field: 'size', name: 'Size', typed: true },
  { field: 'scale', name: 'Scale', typed: false },
  { field: 'revision', name: 'Rev', typed: false },
  { field: 'drawnBy', name: 'Drawn', typed: true, key: 'sheet.drawnBy' },
  { field: 'checkedBy', name: 'Checked', typed: true, key: 'sheet.checkedBy' },
  { field: 'date', name: 'Date', typed: true, key: 'sheet.date' },
  ...own.map(({ key, name }) => ({ field: key, name, typed: true, key })),
];

/** What the buttons of a row ask for. */
export interface RowActions {
  onOpen: (row: Row) => void;
  onDelete: (row: Row) => void;
}

/** The revision that a sheet has, with a mark where the sheet has changed since. */
function RevisionCell({ code, changed }: { code: string; changed: boolean }) {
  if (code === '') return '—';
  if (!changed) return code;
  const words = `changed since ${code}`;
  return (
    <Box title={words} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      {code}
      <ChangeHistoryIcon titleAccess={words} sx={{ fontSize: 15, color: 'warning.main' }} />
    </Box>
  );
}

/** A field of one line. What is typed is its value at once: a key that ends it does not wait for it. */
const editText = (params: GridRenderEditCellParams): React.ReactNode => (
  <GridEditInputCell {...params} debounceMs={0} />
);

/** A column for an own parameter, with its choices where it has some. */
function ownColumn(parameter: OwnColumn): GridColDef<Row> {
  const { key, name, hint } = parameter;
  const base = { field: key, headerName: name, width: 88, editable: true, ...(hint ? { description: hint } : {}) };
  const options = choicesOf(parameter);
  if (options) return { ...base, type: 'singleSelect', valueOptions: ['', ...options] };
  return parameter.kind === 'text' || parameter.kind === 'long text'
    ? { ...base, renderEditCell: editLines }
    : { ...base, renderEditCell: editText };
}

/** Widths of the column of numbers: of a character, of what stands around them, and the least and the most, in px. */
const NUMBER_WIDTH = { character: 8.5, around: 24, least: 80, most: 180 } as const;

/** How wide the column of numbers is for the longest of them. */
export const widthForNumbers = (characters: number): number => {
  const { character, around, least, most } = NUMBER_WIDTH;
  return Math.min(most, Math.max(least, Math.round(characters * character + around)));
};

/** What columns are made of. */
interface ColumnsOf {
  sizesOf: (sheet: SheetLook) => readonly string[];
  own: readonly OwnColumn[];
  kinds: readonly SheetKind[];
  /** Whether pictures are large. */
  large: boolean;
  /** Wide enough for the longest number, in px. */
  numberWidth: number;
  /** A design of a sheet's own in words. */
  designName: (design: Sheet['design']) => string;
}

/** The register's columns. What is wrong stands beside the title, so that it is seen however many columns follow. */
export function columnsFor(
  { sizesOf, own, kinds, large, numberWidth, designName }: ColumnsOf,
  actions: RowActions,
): GridColDef<Row>[] {
  return [
    {
      field: 'picture',
      headerName: 'Sheet',
      width: PICTURE[large ? 'large' : 'small'].width + 16,
      sortable: false,
      renderCell: ({ row }) => <Drawn of={row.drawn} as={large ? LargePicture : SmallPicture} />,
    },
    {
      field: 'number',
      headerName: 'Number',
      width: numberWidth,
      editable: true,
      renderEditCell: editText,
      cellClassName: 'number',
      renderCell: ({ row }) => <b style={{ fontWeight: 600 }}>{row.number}</b>,
    },
    { field: 'title', headerName: 'Title', flex: 1.2, minWidth: 160, editable: true, renderEditCell: editLines },
    {
      field: 'findings',
      headerName: 'Findings',
      flex: 1,
      minWidth: 116,
      sortable: false,
      renderCell: ({ row }) => <Drawn of={row.drawn} as={Findings} />,
    },
    {
      field: 'kind',
      headerName: 'Kind',
      width: 82,
      editable: true,
      type: 'singleSelect',
      valueOptions: kinds.map(({ name }) => name),
    },
    {
      field: 'size',
      headerName: 'Size',
      width: 74,
      editable: true,
      type: 'singleSelect',
      // Asked of the lines of groups too, which have no sheet.
      valueOptions: ({ row }) => (row && 'sheet' in row ? [...new Set([...sizesOf(row.sheet), row.size])] : []),
    },
    { field: 'scale', headerName: 'Scale', width: 74, valueFormatter: (value: string) => value || '—' },
    {
      field: 'revision',
      headerName: 'Rev',
      width: 58,
      renderCell: ({ row }) => <RevisionCell code={row.revision} changed={row.changedSince} />,
    },
    { field: 'drawnBy', headerName: 'Drawn', width: 64, editable: true, renderEditCell: editText },
    { field: 'checkedBy', headerName: 'Checked', width: 78, editable: true, renderEditCell: editText },
    { field: 'date', headerName: 'Date', width: 104, editable: true, renderEditCell: editText },
    ...own.map(ownColumn),
    {
      field: DESIGN,
      headerName: 'Own design',
      width: 150,
      valueGetter: (_value, row) => designName(row.sheet.design),
    },
    {
      field: 'actions',
      headerName: 'Edit',
      width: 76,
      display: 'flex',
      sortable: false,
      renderCell: ({ row }) => (
        <>
          <RowButton label={`All data of ${row.number}`} icon="edit" onClick={() => actions.onOpen(row)} />
          <RowButton label={`Delete ${row.number}`} icon="delete" onClick={() => actions.onDelete(row)} />
        </>
      ),
    },
  ];
}

const drawnCells = () => import('./drawnCells');
const SmallPicture = later(() => drawnCells().then((cells) => cells.SmallPicture));
const LargePicture = later(() => drawnCells().then((cells) => cells.LargePicture));
const Findings = later(() => drawnCells().then((cells) => cells.Findings));

/**
 * Shows what is drawn of a sheet once the table stands still: typing and scrolling do not wait for pictures, and the table does not wait
 * for the code that draws. The grid builds the cells that are seen, so no other sheets are drawn.
 */
function Drawn({ of, as: Cell }: { of: ProjectSheet | undefined; as: ComponentType<{ sheet: ProjectSheet }> }) {
  const still = useStill();
  const [begun, setBegun] = useState(still);
  if (still && !begun) setBegun(true);
  const ready = of !== undefined && isDrawn(of);
  // What is not drawn yet when the table moves on is left for when it stands again.
  const wanted = begun && (still || ready);
  const now = useDeferredValue(wanted, wanted && ready);
  return of && wanted && now ? (
    <Suspense fallback={null}>
      <Cell sheet={of} />
    </Suspense>
  ) : null;
}

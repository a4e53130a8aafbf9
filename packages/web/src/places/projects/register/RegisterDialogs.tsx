import type { Project, Sheet } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { AddSheet } from './AddSheet';
import type { ColumnChoice } from './columnChoice';
import { ColumnChoices } from './ColumnChoices';
import { CopySheets } from './CopySheets';
import type { TableDifferences } from './exchange';
import type { Replaced } from './findReplace';
import { DeleteSheets } from './DeleteSheets';
import { DesignOfSheets } from './DesignOfSheets';
import { FindReplace } from './FindReplace';
import { MoveSheets } from './MoveSheets';
import { ReadTable } from './ReadTable';
import { Renumber } from './Renumber';
import type { Row } from './rows';
import { SetValue } from './SetValue';
import { SheetData } from './SheetData';
import type { RegisterEdits, RegisterStep } from './useRegisterEdits';
import type { ProjectSheet, SheetLook } from '../sheetDrawings';
import { sheetApi } from '../../../app/sheetApi';

/** What is open over the register. */
export type RegisterDialog =
  | { kind: 'add' | 'find' | 'columns' | 'read' | 'set' | 'renumber' | 'design' | 'move' | 'copy' }
  | { kind: 'data'; sheet: string }
  | { kind: 'delete'; sheets: readonly string[] };

interface Props {
  dialog: RegisterDialog | undefined;
  project: Project;
  sheets: readonly Sheet[];
  chosen: ReadonlySet<string>;
  /** Those that were chosen, or all that are shown where none is. */
  rows: readonly Row[];
  standard: OfficeStandard;
  /** All sheets with what they are drawn from. */
  sources: readonly ProjectSheet[];
  sizesOf: (sheet: SheetLook) => readonly string[];
  columns: readonly { field: string; headerName?: string }[];
  /** Columns by which rows can be grouped. */
  groups: readonly { field: string; name: string }[];
  choice: ColumnChoice;
  usual: (field: string) => boolean;
  /** Columns whose words can be found. */
  words: readonly { field: string; name: string }[];
  compare: (table: readonly (readonly string[])[]) => TableDifferences | string;
  apply: RegisterEdits['apply'];
  /** Does a step and tells of it. @returns why it was not done */
  run: (step: RegisterStep) => Promise<string | undefined>;
  onReplace: (cells: readonly Replaced[]) => Promise<string | undefined>;
  onColumns: (choice: ColumnChoice) => void;
  onClose: () => void;
}

/** Whatever is open over the register. */
export function RegisterDialogs(props: Props) {
  const { dialog, project, chosen, rows, standard, sizesOf, run, apply, onClose } = props;
  // As they are by now: the table shows thousands of them a little later.
  const sheets = sheetApi.useSheetsQuery(project.id).currentData ?? props.sheets;
  const those = sheets.filter(({ id }) => chosen.has(id));
  switch (dialog?.kind) {
    case 'add':
      return <AddSheet project={project} sizesOf={sizesOf} onClose={onClose} />;
    case 'find':
      return (
        <FindReplace
          rows={rows}
          of={chosen.size > 0 ? counted(chosen.size, 'chosen sheet') : counted(rows.length, 'sheet')}
          columns={props.words}
          onReplace={props.onReplace}
          onClose={onClose}
        />
      );
    case 'columns':
      return (
        <ColumnChoices
          columns={props.columns}
          groups={props.groups}
          choice={props.choice}
          usual={props.usual}
          onChange={props.onColumns}
          onClose={onClose}
        />
      );
    case 'read':
      return <ReadTable compare={props.compare} onTake={run} onClose={onClose} />;
    case 'set':
      return (
        <SetValue
          chosen={those}
          standard={standard}
          sizesOf={sizesOf}
          onSet={(changes) => run({ changes })}
          onClose={onClose}
        />
      );
    case 'renumber':
      return (
        <Renumber
          project={project}
          sheets={sheets}
          chosen={chosen}
          onRenumber={(changes) => run({ changes })}
          onClose={onClose}
        />
      );
    case 'design':
      return (
        <DesignOfSheets
          project={project}
          chosen={those}
          sources={props.sources}
          onSet={(changes) => run({ changes })}
          onClose={onClose}
        />
      );
    case 'move':
      return (
        <MoveSheets sheets={sheets} chosen={chosen} onMove={(order) => run({ changes: [], order })} onClose={onClose} />
      );
    case 'copy':
      return (
        <CopySheets
          project={project}
          sheets={sheets}
          chosen={those}
          onCopy={(added) => run({ changes: [], added })}
          onClose={onClose}
        />
      );
    case 'data': {
      const open = sheets.find(({ id }) => id === dialog.sheet);
      return open ? (
        <SheetData
          key={open.id}
          sheet={open}
          sizesOf={sizesOf}
          standard={standard}
          drawn={props.sources.find(({ sheet }) => sheet.id === open.id)}
          apply={apply}
          onClose={onClose}
        />
      ) : null;
    }
    case 'delete':
      return (
        <DeleteSheets
          sheets={sheets.filter(({ id }) => dialog.sheets.includes(id))}
          onDelete={(deleted, keepViews) => run({ changes: [], deleted, keepViews })}
          onClose={onClose}
        />
      );
    case undefined:
      return null;
  }
}

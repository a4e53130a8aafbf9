import type { OwnTable } from '@mendrel/core';
import { MOST_OWN_COLUMNS, renamedColumns, TABLE_KINDS, TABLES } from '@mendrel/core';
import { Card } from '../../../app/Card';
import { PlainTable } from '../../../app/PlainTable';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { EntryError, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const COLUMNS: Column<OwnTable>[] = [
  words(
    { key: 'name', name: 'Name', width: 160 },
    (each) => each.name,
    (each, name) => ({ ...each, name }),
  ),
  {
    key: 'columns',
    name: 'Columns, with | between',
    width: 420,
    write: ({ columns }) => columns.map(({ name }) => name).join(' | '),
    read(text, each) {
      const names = text
        .split('|')
        .map((name) => name.trim())
        .filter((name) => name !== '');
      if (names.length === 0) throw new EntryError('a table has a column at least');
      if (names.length > MOST_OWN_COLUMNS) throw new EntryError(`a table has at most ${MOST_OWN_COLUMNS} columns`);
      if (new Set(names).size < names.length) throw new EntryError('two columns have the same name');
      return { ...each, columns: renamedColumns(each.columns, names) };
    },
  },
];

const SOURCE_WORDS = {
  register: 'a row for each sheet',
  entered: 'entered in office or project data',
  revisions: 'the revisions of each sheet',
  issues: 'the issues of each sheet, and their recipients',
  recorded: 'blank until areas are kept',
} as const;

/** Tables that the office keeps besides those that Mendrel knows. */
export function Tables() {
  const { standard, change, problemsIn } = useStandardEdit();
  return (
    <>
      <TableCard
        title="The office’s own tables"
        about="A door list, a list of finishes: designs show them, and their rows are entered under Office data or with a project. A column that gets another name keeps its rows."
        add="Add a table"
        path="tables"
        caption="Own tables"
        columns={COLUMNS}
        rows={standard.tables}
        idOf={(each) => each.id}
        nameOf={(each) => each.name}
        problems={problemsIn('tables')}
        onChange={(tables, field) => change({ tables }, field)}
        fresh={(rows) => ({
          id: freshId(rows, 'table'),
          name: freshName(rows, 'New table'),
          columns: [
            { key: 'c1', name: 'Number' },
            { key: 'c2', name: 'Description' },
          ],
        })}
        empty="No own tables yet. Those that Mendrel knows are listed below; add what your office needs besides."
      />
      <Card title="Tables that ship" about="Every design may show them.">
        <PlainTable caption="Tables that ship" headings={['Name', 'Columns', 'Rows']}>
          {TABLES.filter((kind) => kind !== 'own').map((kind) => {
            const { name, keys, source } = TABLE_KINDS[kind];
            return (
              <tr key={kind}>
                <th scope="row">{name}</th>
                <td>{keys.length === 0 ? 'every parameter of a sheet' : keys.map((each) => each.name).join(', ')}</td>
                <td>{SOURCE_WORDS[source]}</td>
              </tr>
            );
          })}
        </PlainTable>
      </Card>
    </>
  );
}

import { useState } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ParameterUse } from '@mendrel/contract';
import type { OwnParameter } from '@mendrel/core';
import { asParameter, counted, newParameter, PARAMETER_KINDS, PARAMETERS, valueProblem } from '@mendrel/core';
import { api } from '../../../app/api';
import { FindingMark } from '../../../app/FindingMark';
import { useAppSelector } from '../../../app/store';
import { PlainTable } from '../../../app/PlainTable';
import { Card } from '../../../app/Card';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, EntryError, plainOptions, readNumber, ticks, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const COLUMNS: Column<OwnParameter>[] = [
  words(
    { key: 'key', name: 'Key', width: 150 },
    (each) => each.key,
    (each, key) => ({ ...each, key }),
  ),
  words(
    { key: 'name', name: 'Name', width: 130 },
    (each) => each.name,
    (each, name) => ({ ...each, name }),
  ),
  choices(
    { key: 'kind', name: 'Kind', width: 106 },
    (each) => each.kind,
    (each, kind) => ({ ...each, kind: PARAMETER_KINDS.find((k) => k === kind) ?? each.kind }),
    () => plainOptions(PARAMETER_KINDS),
  ),
  words(
    { key: 'choices', name: 'Choices, with | between', width: 150 },
    (each) => each.choices.join(' | '),
    (each, text) => ({
      ...each,
      choices: text
        .split('|')
        .map((choice) => choice.trim())
        .filter((choice) => choice !== ''),
    }),
  ),
  words(
    { key: 'default', name: 'Default', width: 80 },
    (each) => each.default,
    (each, text) => ({ ...each, default: text }),
  ),
  words(
    { key: 'hint', name: 'Hint', width: 150 },
    (each) => each.hint,
    (each, hint) => ({ ...each, hint }),
  ),
  ticks(
    { key: 'required', name: 'Required', width: 40 },
    (each) => each.required,
    (each, on) => ({ ...each, required: on }),
  ),
  {
    key: 'most',
    name: 'Most characters',
    width: 60,
    figures: true,
    write: (each) => (each.most === null ? '' : String(each.most)),
    read(text, each) {
      if (text.trim() === '') return { ...each, most: null };
      const most = readNumber(text, 'Most characters', [1, 2000]);
      if (!Number.isInteger(most)) throw new EntryError('most characters is a whole number, or empty for no limit');
      return { ...each, most };
    },
  },
  words(
    { key: 'typical', name: 'Typical', width: 100 },
    (each) => each.typical,
    (each, text) => ({ ...each, typical: text }),
  ),
  words(
    { key: 'longest', name: 'Longest', width: 110 },
    (each) => each.longest,
    (each, text) => ({ ...each, longest: text }),
  ),
];

/** The office's own parameters and those that ship, with where each of the own ones stands. */
export function Parameters() {
  const { standard, change, problemsIn } = useStandardEdit();
  const uses = api.useParameterUsesQuery();
  const [chosen, setChosen] = useState(standard.parameters[0]?.id ?? '');
  const parameter = standard.parameters.find((each) => each.id === chosen);
  // A key that is being changed is still known under its old one.
  const saved = useAppSelector((root) => root.standard.saved?.parameters);
  const savedKey = ({ id, key }: OwnParameter): string => saved?.find((each) => each.id === id)?.key ?? key;
  return (
    <>
      <TableCard
        title="The office’s own parameters"
        about="A key is its scope (office, project, set or sheet) and one word. Change a key and it changes in every design and on every sheet when the draft is saved."
        add="Add a parameter"
        path="parameters"
        caption="Own parameters"
        columns={COLUMNS}
        rows={standard.parameters}
        idOf={(each) => each.id}
        nameOf={(each) => each.name}
        problems={problemsIn('parameters')}
        onChange={(parameters, field) => change({ parameters }, field)}
        fresh={(rows) =>
          newParameter({
            id: freshId(rows, 'parameter'),
            key: freshKey(rows),
            name: freshName(rows, 'New parameter'),
          })
        }
        chosen={chosen}
        onChoose={setChosen}
        empty="No own parameters yet. Those that ship are listed below; add what your office needs besides."
      >
        {parameter ? (
          <Typography sx={{ pt: 3 }}>
            {parameter.name}, {parameter.key}: used in{' '}
            {usesInWords(uses.data?.find((use) => use.key === savedKey(parameter))) || 'nothing yet'}.
          </Typography>
        ) : null}
        {parameter ? <Examples parameter={parameter} /> : null}
      </TableCard>
      <Card title="Parameters that ship" about="They cannot be changed. Computed ones are never typed.">
        <PlainTable caption="Parameters that ship" headings={['Key', 'Name', 'Kind', 'Typical', 'Longest', 'Used in']}>
          {PARAMETERS.map((each) => (
            <tr key={each.key}>
              <th scope="row">{each.key}</th>
              <td>{each.name}</td>
              <td>{each.computed ? 'computed' : each.kind}</td>
              <td>{each.typical}</td>
              <td>{each.longest}</td>
              <td>{usesInWords(uses.data?.find((use) => use.key === each.key))}</td>
            </tr>
          ))}
        </PlainTable>
      </Card>
    </>
  );
}

/** Where a parameter stands, as the draft was saved last. */
function usesInWords(use: ParameterUse | undefined): string {
  if (!use) return '';
  const { designs, revisions, projects, sets, sheets, fileNames, office } = use;
  const parts = [
    ...designs.map((each) => `${each.name} (${counted(each.places, 'place')})`),
    ...revisions.map(({ name, number }) => `${name}, revision ${number}`),
    ...(office ? ['office data'] : []),
    ...(projects > 0 ? [counted(projects, 'project')] : []),
    ...(sets > 0 ? [counted(sets, 'set')] : []),
    ...(sheets > 0 ? [counted(sheets, 'sheet')] : []),
    ...(fileNames > 0 ? [`file names of ${counted(fileNames, 'project')}`] : []),
  ];
  return parts.length > 0 ? parts.join(', ') : 'nothing yet';
}

/** Whether the default and the examples are values that the parameter takes. */
function Examples({ parameter }: { parameter: OwnParameter }) {
  const problems = (['default', 'typical', 'longest'] as const).flatMap((which) => {
    const problem = valueProblem(asParameter(parameter), parameter[which]);
    return problem === undefined ? [] : [`${which}: ${problem}`];
  });
  if (problems.length === 0) return null;
  return (
    <Box sx={{ pt: 3 }}>
      {problems.map((problem) => (
        <FindingMark key={problem} finding={{ weight: 'gap', message: problem }} />
      ))}
    </Box>
  );
}

function freshKey(rows: readonly OwnParameter[]): string {
  for (let n = rows.length + 1; ; n++) {
    const key = `sheet.own${n}`;
    if (!rows.some((row) => row.key === key)) return key;
  }
}

import { useState } from 'react';
import type { Device, OfficeStandard } from '@mendrel/core';
import { EDGES, formatLength, frameOnDevices, sizesOf } from '@mendrel/core';
import { FindingMark, Fits } from '../../../app/FindingMark';
import { PlainTable } from '../../../app/PlainTable';
import { Card } from '../../../app/Card';
import { TableCard } from '../TableCard';
import type { Column } from '../table/columns';
import { choices, lengths, plainOptions, words } from '../table/columns';
import { freshId, freshName, useStandardEdit } from '../useStandardEdit';

const DEVICE_COLUMNS: Column<Device>[] = [
  words(
    { key: 'name', name: 'Device', width: 220 },
    (device) => device.name,
    (device, name) => ({ ...device, name }),
  ),
];

type Paper = Device['papers'][number] & { id: string };
type Roll = Device['rolls'][number] & { id: string };

const edgeNames = { left: 'Left', right: 'Right', top: 'Top', bottom: 'Bottom' } as const;

const paperColumns = (standard: OfficeStandard): Column<Paper>[] => [
  choices(
    { key: 'size', name: 'Paper', width: 150 },
    (paper) => paper.size,
    (paper, size) => ({ ...paper, size }),
    () => plainOptions(sizesOf(standard).map((size) => size.name)),
  ),
  ...EDGES.map((edge) =>
    lengths<Paper>(
      { key: `margins.${edge}`, name: edgeNames[edge], width: 70 },
      (paper) => paper.margins[edge],
      (paper, mm) => ({ ...paper, margins: { ...paper.margins, [edge]: mm } }),
      () => standard.unit,
      [0, 200],
    ),
  ),
];

const rollColumns = (standard: OfficeStandard): Column<Roll>[] => {
  const column = (key: 'width' | 'longest' | 'side' | 'lead', name: string, limits: [number, number]): Column<Roll> =>
    lengths(
      { key, name, width: 96 },
      (roll) => roll[key],
      (roll, mm) => ({ ...roll, [key]: mm }),
      () => standard.unit,
      limits,
    );
  return [
    column('width', 'Roll width', [50, 3000]),
    column('longest', 'Longest piece', [100, 50_000]),
    column('side', 'Along the sides', [0, 200]),
    column('lead', 'At both ends', [0, 200]),
  ];
};

/** Printers and plotters with what they cannot print on, and the frames that fall outside it. */
export function Devices() {
  const { standard, change, problemsIn } = useStandardEdit();
  const [chosen, setChosen] = useState(standard.devices[0]?.id ?? '');
  const index = Math.max(
    0,
    standard.devices.findIndex((each) => each.id === chosen),
  );
  const device = standard.devices[index];
  const problems = problemsIn('devices');
  const setDevice = (part: Partial<Device>, field?: string): void =>
    change({ devices: standard.devices.map((each, i) => (i === index ? { ...each, ...part } : each)) }, field);
  const below = (part: 'papers' | 'rolls') => ({
    path: `devices.${index}.${part}`,
    problems: problems.filter((each) => each.where.startsWith(`devices.${index}.${part}`)),
    idOf: (row: { id: string }) => row.id,
  });
  return (
    <>
      <FramesOnDevices standard={standard} />
      <TableCard
        title="Devices"
        about="Printers and plotters of the office. Choose one to see its papers and rolls."
        add="Add a device"
        path="devices"
        caption="Devices"
        columns={DEVICE_COLUMNS}
        rows={standard.devices}
        idOf={(each) => each.id}
        nameOf={(each) => each.name}
        problems={problems}
        onChange={(devices, field) => change({ devices }, field)}
        fresh={(rows) => ({ id: freshId(rows, 'device'), name: freshName(rows, 'New device'), papers: [], rolls: [] })}
        chosen={device?.id}
        onChoose={setChosen}
        empty="No devices yet. Add one to see which frames it can print."
        extra={{
          name: 'Takes',
          width: 190,
          of: (each) =>
            [
              ...each.papers.map((paper) => paper.size),
              ...each.rolls.map((roll) => `roll ${formatLength(roll.width, standard.unit, true)}`),
            ].join(', ') || 'nothing yet',
        }}
      />
      {device ? (
        <>
          <TableCard
            {...below('papers')}
            title={`Papers of ${device.name}`}
            about={`What cannot be printed on along each edge of the sheet as it usually lies, in ${standard.unit}.`}
            add="Add a paper"
            caption={`Papers of ${device.name}`}
            columns={paperColumns(standard)}
            rows={device.papers.map((paper, i) => ({ ...paper, id: String(i) }))}
            nameOf={(paper) => paper.size}
            onChange={(papers, field) => setDevice({ papers: papers.map(({ id: _id, ...paper }) => paper) }, field)}
            fresh={(rows) => ({
              id: String(rows.length),
              size: 'ISO A3',
              margins: { left: 5, right: 5, top: 5, bottom: 5 },
            })}
            empty="No cut papers."
          />
          <TableCard
            {...below('rolls')}
            title={`Rolls of ${device.name}`}
            about={`In ${standard.unit}. A sheet lies with its short edge across the narrowest roll that is wide enough.`}
            add="Add a roll"
            caption={`Rolls of ${device.name}`}
            columns={rollColumns(standard)}
            rows={device.rolls.map((roll, i) => ({ ...roll, id: String(i) }))}
            nameOf={(roll) => `roll ${formatLength(roll.width, standard.unit, true)}`}
            onChange={(rolls, field) => setDevice({ rolls: rolls.map(({ id: _id, ...roll }) => roll) }, field)}
            fresh={(rows) => ({ id: String(rows.length), width: 914.4, longest: 15_000, side: 5, lead: 5 })}
            empty="No rolls."
          />
        </>
      ) : null}
    </>
  );
}

/** Sizes by devices: whether the frame lies inside what can be printed, and by how much it does not. */
function FramesOnDevices({ standard }: { standard: OfficeStandard }) {
  const rows = sizesOf(standard)
    .map((size) => ({ size, on: frameOnDevices(standard, size) }))
    .filter(({ size, on }) => on.length > 0 && Math.max(size.width, size.height) >= 297);
  return (
    <Card
      title="Frames inside what can be printed"
      about="For every device that takes the size: the paper it goes on, or how far the frame falls outside and where."
    >
      <PlainTable caption="Frames on devices" headings={['Size', ...standard.devices.map((device) => device.name)]}>
        {rows.map(({ size, on }) => (
          <tr key={size.name}>
            <th scope="row">{size.name}</th>
            {standard.devices.map((device) => {
              const found = on.find((each) => each.device.id === device.id);
              return (
                <td key={device.id}>
                  {!found ? (
                    <span aria-label="not taken">–</span>
                  ) : found.worst > 0.005 ? (
                    <FindingMark
                      finding={{
                        weight: 'gap',
                        message: `${EDGES.filter((edge) => found.outside[edge] > 0.005)
                          .map((edge) => `${edge} ${formatLength(round(found.outside[edge]), standard.unit, true)}`)
                          .join(', ')} outside`,
                      }}
                    />
                  ) : (
                    <Fits word={`inside, ${found.paper}`} />
                  )}
                </td>
              );
            })}
          </tr>
        ))}
      </PlainTable>
    </Card>
  );
}

const round = (mm: number): number => Math.round(mm * 1000) / 1000;

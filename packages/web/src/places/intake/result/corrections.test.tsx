import { cleanup, screen, within } from '@testing-library/react';
import type { Asked, Corrections, Difference, IntakeReport, ReportText } from '@mendrel/core';
import { parametersOf, STARTING_STANDARD } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { Decisions } from './Decisions';
import { Differences } from './Differences';
import { Layers } from './Layers';
import { AskedThing } from './AskedThing';
import { FoundFields } from './FoundFields';
import { LetteringAndPens } from './LetteringAndPens';
import { OldPictures } from './OldPictures';

const difference = (i: number): Difference => ({ what: 'line', words: `line ${i}`, x: i, y: 0, by: 1 });
/** What intake says of a drawing, as far as it is looked at here. */
const report = (more: Partial<IntakeReport> = {}): IntakeReport =>
  ({
    solved: { size: 'ISO A1', spills: 0 },
    deviation: { max: 0.02, mean: 0.01 },
    textDeviation: { max: 1, mean: 0.5 },
    differences: [],
    moreDifferences: 0,
    lettering: [],
    pens: [],
    layers: [],
    decisions: [],
    cleaning: [],
    reach: 0.48,
    rounded: [],
    dropped: [],
    unresolved: [],
    ...more,
  }) as unknown as IntakeReport;

describe('what differs', () => {
  const listed = (): string[] =>
    within(screen.getByRole('list', { name: 'What differs' }))
      .getAllByRole('button')
      .map((each) => each.textContent ?? '');

  test('the first are shown, the rest is unfolded and folded again', async () => {
    const many = Array.from({ length: 30 }, (_, i) => difference(i));
    const { user } = shown(
      <Differences report={report({ differences: many, moreDifferences: 7 })} marked={undefined} onMark={vi.fn()} />,
    );
    expect(listed()).toHaveLength(12);
    await user.click(screen.getByRole('button', { name: 'Show 18 more' }));
    expect(listed()).toHaveLength(30);
    expect(screen.getByText('and 7 smaller ones that are not listed')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show the largest 12' }));
    expect(listed()).toHaveLength(12);
  });

  test('one is marked by a click, and let go by another', async () => {
    const [one] = [difference(1)];
    const onMark = vi.fn();
    const { user, rerender } = shown(
      <Differences report={report({ differences: [one] })} marked={undefined} onMark={onMark} />,
    );
    await user.click(screen.getByRole('button', { name: 'line 1: 1.0 mm' }));
    expect(onMark).toHaveBeenLastCalledWith(one);
    rerender(<Differences report={report({ differences: [one] })} marked={one} onMark={onMark} />);
    const button = screen.getByRole('button', { name: 'line 1: 1.0 mm' });
    expect(button.getAttribute('aria-pressed')).toBe('true');
    await user.click(button);
    expect(onMark).toHaveBeenLastCalledWith(undefined);
  });
});

describe('layers', () => {
  const layers = [
    { name: 'HELP', entities: 3, block: 3 },
    { name: 'STAMP', entities: 4, block: 0 },
  ];
  const choose = async (corrections: Corrections, layer: RegExp, option: string) => {
    const onCorrect = vi.fn();
    const { user } = shown(
      <Layers report={report({ layers })} corrections={corrections} busy={false} onCorrect={onCorrect} />,
    );
    await user.click(screen.getByRole('combobox', { name: layer }));
    await user.click(screen.getByRole('option', { name: option }));
    return onCorrect;
  };

  test('one is left out, and what was set of others stays', async () => {
    const onCorrect = await choose({ layers: { STAMP: 'block' } }, /^HELP: 3 of 3 in the block/, 'Leave out');
    expect(onCorrect).toHaveBeenCalledWith({ STAMP: 'block', HELP: 'out' });
  });

  test('of many the block’s own come first, and the rest is unfolded', async () => {
    const many = Array.from({ length: 30 }, (_, i) => ({ name: `L${i}`, entities: 1, block: i % 3 === 0 ? 1 : 0 }));
    const { user } = shown(
      <Layers
        report={report({ layers: many })}
        corrections={{ layers: { L29: 'out' } }}
        busy={false}
        onCorrect={vi.fn()}
      />,
    );
    const names = (): string[] => screen.getAllByRole('combobox').map((each) => each.textContent ?? '');
    expect(names()).toHaveLength(10);
    expect(names()[0]).toBe('Leave out');
    await user.click(screen.getByRole('button', { name: 'Show 20 more layers' }));
    expect(names()).toHaveLength(30);
  });

  test('one is taken as it was found again', async () => {
    const onCorrect = await choose({ layers: { STAMP: 'block', HELP: 'out' } }, /^STAMP/, 'As found');
    expect(onCorrect).toHaveBeenCalledWith({ HELP: 'out' });
  });
});

describe('lettering', () => {
  const [value, title] = ['value', 'title'].map((id) => STARTING_STANDARD.roles.find((role) => role.id === id)!);
  const row = { height: 3.5, texts: 4, role: 'value', found: 'value', roleHeight: 3.5 };
  const choose = async (lettering: IntakeReport['lettering'], corrections: Corrections, option: string) => {
    const onCorrect = vi.fn();
    const { user } = shown(
      <LetteringAndPens
        report={report({ lettering })}
        standard={STARTING_STANDARD}
        corrections={corrections}
        busy={false}
        onCorrect={onCorrect}
      />,
    );
    await user.click(screen.getByRole('combobox', { name: 'Role of texts of 3.5\u00a0mm' }));
    await user.click(screen.getByRole('option', { name: new RegExp(`^${option},`) }));
    return onCorrect;
  };

  test('texts of a height are given another role', async () => {
    const kept = { height: 1.8, from: 'caption', to: 'notes' };
    const onCorrect = await choose([row], { roles: [kept] }, title!.name);
    expect(onCorrect).toHaveBeenCalledWith([kept, { height: 3.5, from: 'value', to: 'title' }]);
  });

  test('the role that was found takes the correction back', async () => {
    const set = { height: 3.52, from: 'value', to: 'title' };
    const onCorrect = await choose([{ ...row, role: 'title', roleHeight: 5 }], { roles: [set] }, value!.name);
    expect(onCorrect).toHaveBeenCalledWith([]);
  });
});

const NONE = { marked: undefined, onMark: () => undefined, onReach: () => undefined };

test('what was cleaned is shown where it was', async () => {
  const step = { what: 'overlaps' as const, pieces: 2, places: [{ x: 1, y: 2 }] };
  const empty = { what: 'empty layers' as const, pieces: 3, places: [] };
  const onMark = vi.fn();
  const { user } = shown(
    <Decisions
      report={report({ cleaning: [step, empty] })}
      unit="mm"
      asDrawn={false}
      busy={false}
      marked={undefined}
      onMark={onMark}
      onAsDrawn={vi.fn()}
      onReach={vi.fn()}
    />,
  );
  expect(screen.getByText(/3 cases of empty layers/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Show overlaps on the paper' }));
  expect(onMark).toHaveBeenCalledWith(step);
});

test('how far ends are drawn is typed, within what may be', async () => {
  const onReach = vi.fn();
  const { user } = shown(
    <Decisions
      report={report()}
      unit="mm"
      asDrawn={false}
      busy={false}
      {...NONE}
      onAsDrawn={vi.fn()}
      onReach={onReach}
    />,
  );
  const reach = screen.getByRole('textbox', { name: /^Close gaps up to/ });
  await user.clear(reach);
  await user.type(reach, '50{Enter}');
  expect(onReach).not.toHaveBeenCalled();
  expect(screen.getByText('from 0 to 5 mm')).toBeTruthy();
  await user.clear(reach);
  await user.type(reach, '1,5{Enter}');
  expect(onReach).toHaveBeenCalledWith(1.5);
});

describe('rounded lengths', () => {
  const rounded = [{ measured: 29.98, taken: 30, cells: 2 }];

  test('are named, and can stay as drawn', async () => {
    const onAsDrawn = vi.fn();
    const { user } = shown(
      <Decisions report={report({ rounded })} unit="mm" asDrawn={false} busy={false} {...NONE} onAsDrawn={onAsDrawn} />,
    );
    expect(screen.getByText(/29\.98 mm → 30 mm\./)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Use lengths as drawn' }));
    expect(onAsDrawn).toHaveBeenCalledWith(true);
  });

  test('are rounded again', async () => {
    const onAsDrawn = vi.fn();
    const { user } = shown(
      <Decisions report={report()} unit="mm" asDrawn busy={false} {...NONE} onAsDrawn={onAsDrawn} />,
    );
    await user.click(screen.getByRole('button', { name: 'Round them' }));
    expect(onAsDrawn).toHaveBeenCalledWith(false);
  });
});

const PARAMETERS = [...parametersOf(STARTING_STANDARD).values()];
const reportText = (id: number, text: string, more: Partial<ReportText>): ReportText => ({
  id,
  text,
  kind: 'field',
  parameter: null,
  role: 'value',
  x: 0,
  y: 0,
  height: 2.5,
  cell: 'cell-1',
  ...more,
});

test('the options of one choice are listed once, and what is said of them goes to the first', async () => {
  const options = ['Draft', 'Tender'].map((words, i) =>
    reportText(i, words, { kind: 'option', parameter: 'sheet.status' }),
  );
  const onCorrect = vi.fn();
  const { user } = shown(
    <FoundFields report={report({ texts: options })} parameters={PARAMETERS} busy={false} onCorrect={onCorrect} />,
  );
  await user.click(screen.getByRole('combobox', { name: 'Boxes “Draft”, “Tender”' }));
  await user.click(screen.getByRole('option', { name: 'Issue purpose (sheet)' }));
  expect(onCorrect).toHaveBeenCalledWith(0, { kind: 'field', parameter: 'sheet.issuePurpose' });
});

test('what was clicked tells its layer, what it was drawn with and what became of it', () => {
  const asked = (more: Partial<Asked>): Asked => ({
    kind: 'text',
    words: 'Roof plan',
    layer: 'LETTERS',
    height: 3.5,
    bounds: { x: 0, y: 0, width: 20, height: 3.5 },
    became: { kind: 'text', text: reportText(1, 'Roof plan', { parameter: 'sheet.title' }) },
    ...more,
  });
  const told = (thing: Asked): string => {
    shown(
      <AskedThing
        asked={thing}
        report={report({ pens: [{ sign: '0.50 mm', length: 1, uses: [], pen: 'medium' }] })}
        standard={STARTING_STANDARD}
        parameters={PARAMETERS}
        unit="mm"
      />,
    );
    const words = screen.getByRole('status').textContent ?? '';
    cleanup();
    return words;
  };
  expect(told(asked({}))).toBe(
    'Text“Roof plan”LayerLETTERSHeight3.5 mmBecamea value of Sheet title, in the role Value',
  );
  const line = asked({ kind: 'line', words: '', pen: '0.50 mm', became: { kind: 'block' } });
  expect(told(line)).toContain('Old pen0.50 mmBecamea line of the title blockNew pen');
  expect(told(asked({ became: { kind: 'out', why: 'the layer is off' } }))).toContain('left out: the layer is off');
});

test('a picture without its file can be given it, and one that was given can be left out again', async () => {
  const pictures = [{ name: 'quill.png', x: 0, y: 0, width: 48, height: 12, cell: 'cell-1', given: false }];
  const { rerender, user } = shown(
    <OldPictures
      report={report({ pictures, marks: [] })}
      corrections={{}}
      unit="mm"
      busy={false}
      onCorrect={vi.fn()}
    />,
  );
  expect(screen.getByText(/quill.png, 48 × 12 mm: its file is not in the drawing/)).toBeTruthy();
  expect(screen.getByLabelText('File of quill.png')).toBeTruthy();
  const onCorrect = vi.fn();
  const image = { type: 'png', columns: 4, rows: 2, asset: 'a'.repeat(64) } as const;
  rerender(
    <OldPictures
      report={report({ pictures: [{ ...pictures[0]!, given: true }], marks: [] })}
      corrections={{ pictures: { 'quill.png': { image } } }}
      unit="mm"
      busy={false}
      onCorrect={onCorrect}
    />,
  );
  await user.click(screen.getByRole('button', { name: 'Leave out' }));
  expect(onCorrect).toHaveBeenCalledWith({ pictures: {} });
});

test('marks that are known symbols stay as drawn, or become the symbols', async () => {
  const onCorrect = vi.fn();
  const place = { x: 0, y: 0, width: 20, height: 20, cell: 'cell-1' };
  const marks = [
    { ...place, symbol: 'north' as const },
    { ...place, symbol: 'scale bar' as const },
  ];
  const { user } = shown(
    <OldPictures
      report={report({ pictures: [], marks })}
      corrections={{}}
      unit="mm"
      busy={false}
      onCorrect={onCorrect}
    />,
  );
  const choice = screen.getByRole('checkbox', { name: 'Use Mendrel’s symbol for the north arrow and the scale bar' });
  expect(choice).toHaveProperty('checked', false);
  await user.click(choice);
  expect(onCorrect).toHaveBeenCalledWith({ symbols: true });
});

import { screen, within } from '@testing-library/react';
import type { Corrections, Difference, IntakeReport } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { Decisions } from './Decisions';
import { Differences } from './Differences';
import { Layers } from './Layers';
import { LetteringAndPens } from './LetteringAndPens';

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
      <Differences report={report({ differences: many, moreDifferences: 7 })} marked={undefined} onMark={jest.fn()} />,
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
    const onMark = jest.fn();
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
    const onCorrect = jest.fn();
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
        onCorrect={jest.fn()}
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
    const onCorrect = jest.fn();
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
  const onMark = jest.fn();
  const { user } = shown(
    <Decisions
      report={report({ cleaning: [step, empty] })}
      unit="mm"
      asDrawn={false}
      busy={false}
      marked={undefined}
      onMark={onMark}
      onAsDrawn={jest.fn()}
      onReach={jest.fn()}
    />,
  );
  expect(screen.getByText(/3 cases of empty layers/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Show overlaps on the paper' }));
  expect(onMark).toHaveBeenCalledWith(step);
});

test('how far ends are drawn is typed, within what may be', async () => {
  const onReach = jest.fn();
  const { user } = shown(
    <Decisions
      report={report()}
      unit="mm"
      asDrawn={false}
      busy={false}
      {...NONE}
      onAsDrawn={jest.fn()}
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
    const onAsDrawn = jest.fn();
    const { user } = shown(
      <Decisions report={report({ rounded })} unit="mm" asDrawn={false} busy={false} {...NONE} onAsDrawn={onAsDrawn} />,
    );
    expect(screen.getByText(/29\.98 mm → 30 mm\./)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Use lengths as drawn' }));
    expect(onAsDrawn).toHaveBeenCalledWith(true);
  });

  test('are rounded again', async () => {
    const onAsDrawn = jest.fn();
    const { user } = shown(
      <Decisions report={report()} unit="mm" asDrawn busy={false} {...NONE} onAsDrawn={onAsDrawn} />,
    );
    await user.click(screen.getByRole('button', { name: 'Round them' }));
    expect(onAsDrawn).toHaveBeenCalledWith(false);
  });
});

import { screen } from '@testing-library/react';
import type { Corrections, IntakeReport, Parameter, ReportText } from '@mendrel/core';
import { parametersOf, STARTING_STANDARD } from '@mendrel/core';
import { answering } from '../../../testing/answering';
import { shown } from '../../../testing/shown';
import { Teaching } from './Teaching';

const text = (id: number, words: string, kind: ReportText['kind'], parameter: string | null): ReportText => ({
  id,
  text: words,
  kind,
  parameter,
  role: null,
  x: 0,
  y: 0,
  height: 2.5,
  cell: 'cell-1',
});
const parameters: Parameter[] = [...parametersOf(STARTING_STANDARD).values()];

/** The offers for a cell with one caption and one value that was given a parameter; what the office has been taught since. */
function offers(caption: string, parameter: string) {
  const report = {
    texts: [text(1, caption, 'caption', null), text(2, 'Ferry Terminal', 'field', parameter)],
  } as unknown as IntakeReport;
  const corrections: Corrections = { texts: { 2: { kind: 'field', parameter } } };
  let captions: Record<string, string> = {};
  const asked: unknown[] = [];
  answering(({ method, body }) => {
    if (method === 'PUT') {
      asked.push(body);
      const { sign, answer } = body as { sign: string; answer: string | null };
      captions = answer === null ? {} : { [sign]: answer };
    }
    return { body: { captions, pens: {} } };
  });
  const { user } = shown(<Teaching report={report} corrections={corrections} parameters={parameters} />);
  return { user, asked };
}

test('a caption is taught only when somebody says so, and that can be undone at once', async () => {
  const { user, asked } = offers('PENCILLED', 'sheet.drawnBy');
  const teach = await screen.findByRole('button', { name: 'Teach the office that “PENCILLED” means Drawn by' });
  expect(asked).toEqual([]);
  await user.click(teach);
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(await screen.findByRole('button', { name: /^Teach the office/ })).toBeTruthy();
  expect(asked).toEqual([
    { kind: 'captions', sign: 'pencilled', answer: 'sheet.drawnBy' },
    { kind: 'captions', sign: 'pencilled', answer: null },
  ]);
});

test('a meaning that ships is named before it is overruled', async () => {
  offers('TITLE', 'project.name');
  expect(await screen.findByText(/means Project, and no longer Sheet title/)).toBeTruthy();
});

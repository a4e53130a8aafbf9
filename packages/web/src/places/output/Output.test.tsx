import { screen, waitFor, within } from '@testing-library/react';
import { evenTypefaces, measuredWith } from '../../testing/evenTypefaces';
import { practiceWith, sheetOf } from '../../testing/practice';
import { shown } from '../../testing/shown';
import Output from './Output';

const typefaces = evenTypefaces(0.5);
beforeEach(() => measuredWith(typefaces));

const rowOf = async (number: string): Promise<HTMLElement> => (await screen.findByText(number)).closest('tr')!;

test('every sheet tells its state, and the set how many have to be mended', async () => {
  const unserved = { kind: 'unserved', weight: 'error', message: 'Strip is not made for ISO B1', where: {} } as const;
  practiceWith({ sheets: [sheetOf('A-101'), sheetOf('A-102', { size: 'ISO B1' })], findings: { 'A-102': [unserved] } });
  shown(<Output />);
  await within(await rowOf('A-101')).findByText('fits');
  expect((await rowOf('A-102')).textContent).toContain('is not made for ISO B1');
  expect(screen.getByRole('region', { name: 'The whole set' }).textContent).toContain(
    '1 sheet with something that spills',
  );
});

test('a download that fails says which one and why, on the page, until it is dismissed', async () => {
  const message = 'A-101 cannot be drawn: this revision of the office standard has no lettering role “role-19”';
  practiceWith({
    sheets: [sheetOf('A-101')],
    also: ({ path }) => (path.includes('sheet.dxf') ? { status: 400, body: { code: 'invalid', message } } : undefined),
  });
  const { user } = shown(<Output />);
  await user.click(await screen.findByRole('button', { name: 'A-101 as DXF' }));
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toBe(`A-101 as DXF was not downloaded: ${message}`);
  await user.click(within(alert).getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a file is handed over under the name that the server gave it', async () => {
  practiceWith({ sheets: [sheetOf('A-101')] });
  const answer = globalThis.fetch;
  globalThis.fetch = async (input, init) =>
    new Request(input).url.includes('sheet.svg')
      ? new Response('<svg/>', {
          headers: { 'Content-Disposition': `attachment; filename*=UTF-8''Netzmacher-A%C3%A4.svg` },
        })
      : answer(input, init);
  const kept: string[] = [];
  URL.createObjectURL = () => 'blob:kept';
  URL.revokeObjectURL = () => undefined;
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    kept.push(this.download);
  });
  const { user } = shown(<Output />);
  await user.click(await screen.findByRole('button', { name: 'A-101 as SVG' }));
  await waitFor(() => expect(kept).toEqual(['Netzmacher-Aä.svg']));
});

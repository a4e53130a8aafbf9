import { screen, within } from '@testing-library/react';
import { answering } from '../../testing/answering';
import { evenTypefaces } from '../../testing/evenTypefaces';
import { practiceWith, sheetOf } from '../../testing/practice';
import { shown } from '../../testing/shown';
import { plainStrip } from '../settingOut/testing/plainStrip';
import Desk from './Desk';

const mockTypefaces = evenTypefaces(0.5);
jest.mock('../../app/typefaces', () => ({ useTypefaces: () => mockTypefaces }));

/** What the Desk says under its project. */
async function said(): Promise<string> {
  shown(<Desk />);
  const link = await screen.findByRole('link', { name: 'Netmakers Row Loft' });
  const section = link.closest('section')!;
  await within(section).findByText(/fits|not made|no lettering role|no design|no sheets/);
  return section.textContent;
}

test('a project whose sheets come out fits', async () => {
  practiceWith({ sheets: [sheetOf('A-101'), sheetOf('A-102')] });
  expect(await said()).toContain('fits');
});

test('a sheet of a size that the design is not made for is named, and nothing fits', async () => {
  practiceWith({ sheets: [sheetOf('A-101'), sheetOf('A-102', { size: 'ISO B1' })] });
  const words = await said();
  expect(words).toContain('is not made for ISO B1');
  expect(words).toContain('A-102');
  expect(words).not.toContain('fits');
});

test('a design that needs a role of another revision of the standard never fits', async () => {
  const json = JSON.stringify(plainStrip()).replaceAll(/"role":"[^"]+"/g, '"role":"role-19"');
  practiceWith({ sheets: [sheetOf('A-101')], design: JSON.parse(json) as ReturnType<typeof plainStrip> });
  const words = await said();
  expect(words).toContain('this revision of the office standard has no lettering role “role-19”');
  expect(words).not.toContain('fits');
});

test('a project without a design, or without sheets, says what is missing', async () => {
  practiceWith({ sheets: [sheetOf('A-101')], design: null });
  expect(await said()).toContain('no design chosen, so its sheets cannot be drawn');
});

test('a project without sheets says so', async () => {
  practiceWith({ sheets: [] });
  expect(await said()).toContain('no sheets yet');
});

test('an office without designs and projects is led through its first steps', async () => {
  answering(({ path }) => ({ body: path === '/office' ? { values: {}, version: 1 } : [] }));
  shown(<Desk />);
  const steps = await screen.findByRole('region', { name: 'First steps' });
  const places = within(steps)
    .getAllByRole('link')
    .map((link) => link.getAttribute('href'));
  expect(places).toEqual(['/standard/office', '/standard/sizes', '/designs', '/intake', '/projects']);
});

import { act, screen, waitFor, within } from '@testing-library/react';
import type { Project, ProjectPage } from '@mendrel/contract';
import { PROJECTS_ON_A_PAGE } from '@mendrel/contract';
import { api } from '../../app/api';
import { answering } from '../../testing/answering';
import { shown } from '../../testing/shown';
import ProjectList from './ProjectList';

const project = (i: number, more: Partial<Project> = {}): Project => ({
  id: `p${i}`,
  name: `Quay house ${i}`,
  designId: 'd',
  designName: 'Quay strip',
  designRevision: 1,
  standard: 1,
  values: { 'project.number': `24${i}`, 'project.client': 'Harbour Trust' },
  firstRevision: 'A',
  numbering: null,
  fileNames: null,
  device: null,
  archived: false,
  byHand: false,
  kinds: [],
  sheets: i,
  version: 1,
  ...more,
});

/** As the server does it. */
function pageOf(all: readonly Project[], asked: URLSearchParams): ProjectPage {
  const words = asked.get('find')!.toLowerCase();
  const found = all.filter(({ name, values, archived }) => {
    const one = `${name} ${values['project.number']} ${values['project.client']}`.toLowerCase();
    return archived === (asked.get('archived') === 'true') && words.split(/\s+/).every((part) => one.includes(part));
  });
  const first = Number(asked.get('page')) * PROJECTS_ON_A_PAGE;
  return {
    projects: found.slice(first, first + PROJECTS_ON_A_PAGE),
    count: found.length,
    all: all.length,
    archived: all.filter(({ archived }) => archived).length,
  };
}

function listed(projects: readonly Project[]) {
  answering(({ path, search }) => ({
    body: path === '/projects/page' ? pageOf(projects, new URLSearchParams(search)) : [],
  }));
  return shown(<ProjectList />);
}

/** The first column of the rows that are shown. */
const names = (): (string | null)[] => screen.getAllByRole('rowheader').map((cell) => cell.textContent);

test('many projects are listed a page at a time, with how many there are', async () => {
  const { user } = listed(Array.from({ length: 120 }, (_, i) => project(i)));
  const pages = await screen.findByRole('navigation', { name: 'Pages of projects' });
  expect(names()).toHaveLength(50);
  expect(pages.textContent).toContain('1 to 50 of 120');
  await user.click(within(pages).getByRole('button', { name: 'Go to page 3' }));
  await waitFor(() => expect(names()).toEqual(Array.from({ length: 20 }, (_, i) => `Quay house ${100 + i}`)));
});

test('where the last project of a page has gone, the page before it is shown', async () => {
  const projects = Array.from({ length: 51 }, (_, i) => project(i));
  const { user, store } = listed(projects);
  await user.click(await screen.findByRole('button', { name: 'Go to page 2' }));
  await waitFor(() => expect(names()).toEqual(['Quay house 50']));
  projects.pop();
  act(() => void store.dispatch(api.util.invalidateTags(['Project'])));
  await waitFor(() => expect(names()).toHaveLength(50));
});

test('a project is found by parts of its name, its number or its client, from the first page on', async () => {
  const loft = project(7, {
    name: 'Netmakers Row Loft',
    values: { 'project.number': '3107', 'project.client': 'Tolliver Watershed Council' },
  });
  const { user } = listed([...Array.from({ length: 60 }, (_, i) => project(i)), loft]);
  await user.click(await screen.findByRole('button', { name: 'Go to page 2' }));
  const find = screen.getByRole('searchbox', { name: 'Find a project' });
  for (const words of ['loft net', '3107', 'watershed']) {
    await user.clear(find);
    await user.type(find, words);
    await waitFor(() => expect(names()).toEqual(['Netmakers Row Loft']));
  }
  await user.type(find, ' x');
  await waitFor(() => expect(screen.getByRole('status').textContent).toContain('holds “watershed x”'));
});

test('a project without a design is marked, and an office without projects is told what to do', async () => {
  listed([project(1, { designId: null, designName: null })]);
  expect((await screen.findByText('no design chosen')).closest('tr')?.textContent).toContain('Quay house 1');
  document.body.replaceChildren();
  listed([]);
  expect(await screen.findByText('No projects yet')).toBeTruthy();
  expect(screen.queryByRole('searchbox')).toBeNull();
});

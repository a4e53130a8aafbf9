import { readFileSync } from 'node:fs';
import type { APIRequestContext, Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { goTo } from './goTo';

/** Ids of the demo's things by name. */
export async function designId(request: APIRequestContext, name: string): Promise<string> {
  const designs = (await (await request.get('/api/designs')).json()) as { id: string; name: string }[];
  const found = designs.find((design) => design.name === name);
  if (!found) throw new Error(`there is no design ${name}`);
  return found.id;
}

export async function projectId(request: APIRequestContext, name: string): Promise<string> {
  const projects = (await (await request.get('/api/projects')).json()) as { id: string; name: string }[];
  const found = projects.find((project) => project.name === name);
  if (!found) throw new Error(`there is no project ${name}`);
  return found.id;
}

export async function legacyId(request: APIRequestContext, name: string): Promise<string> {
  const drawings = (await (await request.get('/api/intake')).json()) as { id: string; name: string }[];
  const found = drawings.find((drawing) => drawing.name === name);
  if (!found) throw new Error(`there is no legacy drawing ${name}`);
  return found.id;
}

/** Makes a copy of a design to work on, so that tests do not meet in one document. */
export async function copyOfDesign(request: APIRequestContext, name: string, copy: string): Promise<string> {
  const id = await designId(request, name);
  const { document } = (await (await request.get(`/api/designs/${id}`)).json()) as {
    document: Record<string, unknown>;
  };
  const made = await request.post('/api/designs', { data: { document: { ...document, name: copy } } });
  return ((await made.json()) as { id: string }).id;
}

/** Waits until the paper is drawn. */
export async function paperShown(page: Page): Promise<void> {
  await expect(page.getByRole('application').locator('svg path')).not.toHaveCount(0);
}

/** A set of two sheets with one block and a file that is no drawing, brought in and being read. */
export async function drawingSet(request: APIRequestContext): Promise<string> {
  const made = await request.post('/api/intake/sets', { data: { name: 'Two sheets' } });
  const { id } = (await made.json()) as { id: string };
  const corner = readFileSync('demo/legacy/corner-block-a1.dxf', 'latin1');
  for (const [number, content] of [
    ['X-1', corner.replace('BFT-A-101', 'X-1')],
    ['X-2', corner.replace('BFT-A-101', 'X-2').replace('Brackenmouth Harbour Trust', 'Another client')],
    ['X-3', 'Dear all,\n'],
  ] as const) {
    const file = { name: `${number}.dxf`, mimeType: 'application/dxf', buffer: Buffer.from(content, 'latin1') };
    await request.post(`/api/intake/sets/${id}/drawings`, { multipart: { file } });
  }
  await request.post(`/api/intake/sets/${id}/read`);
  return id;
}

/** Goes to a sheet of a project to arrange its views. */
export async function goToSheet(page: Page, project: string, number: string): Promise<void> {
  await goTo(page, `/projects/${project}/arrange`);
  await page
    .getByRole('navigation', { name: 'Sheets' })
    .getByRole('button', { name: new RegExp(number) })
    .click();
  await expect(page.getByRole('heading', { name: new RegExp(`^${number}`) })).toBeVisible();
  await paperShown(page);
}

import type { APIRequestContext, Page } from '@playwright/test';
import { expect } from '@playwright/test';

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

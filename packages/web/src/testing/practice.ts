import type { Project, Sheet } from '@mendrel/contract';
import type { Design, Finding } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import { plainStrip } from './plainStrip';
import type { Asked } from './answering';
import { answering } from './answering';

/** A sheet as the server tells it, with an id made of its number. */
export const sheetOf = (number: string, more: Partial<Sheet> = {}): Sheet => ({
  id: number,
  projectId: 'p',
  number,
  title: 'Plan',
  kind: 'plan',
  size: 'ISO A1',
  design: null,
  values: { 'sheet.drawnBy': 'MO' },
  views: [],
  revisions: [],
  issues: [],
  changedSince: false,
  version: 1,
  ...more,
});

interface Practice {
  /** What the server found on some sheets, by their ids; nothing on the others. */
  findings?: Readonly<Record<string, readonly Finding[]>>;
  sheets: readonly Sheet[];
  /** Null for a project that has none. */
  design?: Design | null;
  /** Answers of other routes, or other answers of these. */
  also?: (asked: Asked) => { status?: number; body: unknown } | undefined;
}

/** Has the server tell of one project, its sheets, its design and a standard. */
export function practiceWith({ sheets, design = plainStrip(), findings = {}, also }: Practice): void {
  const project: Project = {
    id: 'p',
    name: 'Netmakers Row Loft',
    designId: design && 'd',
    designName: design && design.name,
    designRevision: null,
    standard: null,
    values: { 'project.name': 'Netmakers Row Loft' },
    firstRevision: 'A',
    numbering: null,
    fileNames: null,
    device: null,
    archived: false,
    byHand: false,
    kinds: [],
    sheets: sheets.length,
    version: 1,
  };
  const bodies: Record<string, unknown> = {
    '/projects': [project],
    '/projects/p/sheets': sheets,
    '/projects/p/findings': sheets.map(({ id }) => ({ sheet: id, findings: findings[id] ?? [] })),
    '/office': { values: {}, sheetKinds: [], replaceable: [], version: 1 },
    '/intake': [],
    '/projects/p/designs': { designs: design ? [design] : [], kinds: {}, own: [] },
    '/designs/d/revisions/draft': { number: null, document: design },
    '/standard/revisions/draft': { number: null, standard: STARTING_STANDARD, parametersAsPublished: [] },
  };
  answering((asked) => also?.(asked) ?? { body: bodies[asked.path] ?? [] });
}

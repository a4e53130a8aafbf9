import type { DesignSummary, Project } from '@mendrel/contract';
import { adoptionOf, behind, moveBack, moveTo } from './adoption';

const design = (id: string, revision: number | null) => ({ id, name: id, revision }) as DesignSummary;
const project = (id: string, more: Partial<Project>) =>
  ({ id, name: id, designId: 'strip', designRevision: 2, kinds: [], archived: false, ...more }) as Project;
const kind = (designId: string | null, designRevision: number | null) => ({
  kind: 'cover' as const,
  designId,
  designName: null,
  designRevision,
  size: null,
  modules: null,
});

const PROJECTS = [
  project('new', {}),
  project('old', { designRevision: 1 }),
  project('draft', { designRevision: null }),
  project('cover', { designId: 'other', kinds: [kind('strip', 1)] }),
  project('away', { designRevision: 1, archived: true }),
];

test('projects are told by the revision of each design that they draw with, for all sheets or for a kind', () => {
  const [strip, other] = adoptionOf([design('strip', 2), design('other', 1), design('unused', 1)], PROJECTS);
  expect(strip!.uses.map(({ revision, projects }) => [revision, projects.map(({ id }) => id)])).toEqual([
    [null, ['draft']],
    [2, ['new']],
    [1, ['old', 'cover']],
  ]);
  expect(behind(strip!).map(({ id }) => id)).toEqual(['old', 'cover']);
  expect(other!.design.id).toBe('other');
  expect(adoptionOf([design('unused', 1)], PROJECTS)).toEqual([]);
});

test('a move changes what draws with an older revision, and nothing else; it is taken back as it was', () => {
  const both = project('both', { designRevision: 1, kinds: [kind('strip', 1), kind('other', 3)] });
  expect(moveTo(both, 'strip', 2)).toEqual({
    designRevision: 2,
    kinds: [
      { kind: 'cover', designId: 'strip', designRevision: 2, size: null, modules: null },
      { kind: 'cover', designId: 'other', designRevision: 3, size: null, modules: null },
    ],
  });
  expect(moveTo(project('plain', { designRevision: 1 }), 'strip', 2)).toEqual({ designRevision: 2 });
  // Who follows the draft goes on following it.
  expect(moveTo(project('draft', { designRevision: null }), 'strip', 2)).toEqual({});
  expect(moveBack(both)).toMatchObject({ designRevision: 1, kinds: [{ designRevision: 1 }, { designRevision: 3 }] });
});

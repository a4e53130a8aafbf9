import { nanoid } from '@reduxjs/toolkit';
import type { OfficeStandard, WorkingUnit } from '@mendrel/core';
import { formatLength, newParameter, parseLength, QuantityError, SHEET_SIZES } from '@mendrel/core';
import type { Addition } from './useAdditions';

/** One thing that is asked for a new entry. */
interface EntryField {
  key: string;
  label: string;
  start: string;
  help?: string;
  options?: readonly string[];
}

interface EntryMaker {
  title: string;
  fields: (standard: OfficeStandard, unit: WorkingUnit) => EntryField[];
  /** The entry, and by what it is known. @throws QuantityError for a length that cannot be read */
  make: (
    typed: Readonly<Record<string, string>>,
    standard: OfficeStandard,
    unit: WorkingUnit,
  ) => { id: string; addition: Addition };
}

export type EntryKind = 'size' | 'role' | 'pen' | 'parameter';

const NAME: EntryField = { key: 'name', label: 'Name', start: '' };

/** An id made of a name that nothing has yet. */
function freeId(name: string, taken: readonly { id: string }[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 30) || 'own';
  let id = base;
  for (let n = 2; taken.some((each) => each.id === id); n++) id = `${base}-${n}`;
  return id;
}

/** A parameter's key made of its name: Fire class becomes project.fireClass. */
function keyOf(name: string, scope: string): string {
  const [first = '', ...others] = name
    .normalize('NFD')
    .replace(/[^A-Za-z0-9 ]+/g, '')
    .trim()
    .split(/\s+/);
  const word = [first.toLowerCase(), ...others.map((each) => each.charAt(0).toUpperCase() + each.slice(1))].join('');
  return `${scope}.${/^[a-z]/.test(word) ? word : `own${word}`}`.slice(0, 60);
}

const SCOPES = { 'each sheet': 'sheet', 'the project': 'project', 'the office': 'office' } as const;

/** What can be added to the office standard from setting-out. */
export const ENTRY_KINDS: Readonly<Record<EntryKind, EntryMaker>> = {
  size: {
    title: 'New sheet size',
    fields: (_standard, unit) => [
      NAME,
      {
        key: 'width',
        label: 'Width',
        start: '',
        help: unit === 'mm' ? 'In mm, or such as 36 in' : 'In inches, or such as 900 mm',
      },
      { key: 'height', label: 'Height', start: '' },
      {
        key: 'model',
        label: 'Frame as',
        start: unit === 'mm' ? 'ISO A1' : 'ARCH D',
        help: 'Margins and marks are those of this size.',
        options: SHEET_SIZES.map((size) => size.name),
      },
    ],
    make: (typed, _standard, unit) => {
      const name = typed['name']?.trim() ?? '';
      const [width, height] = [parseLength(typed['width'] ?? '', unit), parseLength(typed['height'] ?? '', unit)];
      const model = typed['model'] ?? '';
      return { id: name, addition: { sizes: [{ name, series: 'Office', width, height, unit, roll: false, model }] } };
    },
  },
  role: {
    title: 'New lettering role',
    fields: (standard, unit) => [
      NAME,
      {
        key: 'height',
        label: 'Height on paper',
        start: '',
        help: `The office’s heights: ${standard.heights.map((each) => formatLength(each, unit)).join(', ')}`,
      },
      {
        key: 'like',
        label: 'Otherwise as',
        start: standard.roles[0]?.name ?? '',
        options: standard.roles.map((role) => role.name),
      },
    ],
    make: (typed, standard, unit) => {
      const like = standard.roles.find((role) => role.name === typed['like']) ?? standard.roles[0];
      const name = typed['name']?.trim() ?? '';
      const id = freeId(name, standard.roles);
      if (!like) throw new QuantityError('the standard has no role to take after');
      return { id, addition: { roles: [{ ...like, id, name, height: parseLength(typed['height'] ?? '', unit) }] } };
    },
  },
  pen: {
    title: 'New pen',
    fields: () => [
      NAME,
      { key: 'width', label: 'Line width in mm', start: '', help: 'ISO 128: 0.13, 0.18, 0.25, 0.35, 0.5, 0.7, 1' },
    ],
    make: (typed, standard) => {
      const name = typed['name']?.trim() ?? '';
      const id = freeId(name, standard.pens);
      return {
        id,
        addition: { pens: [{ id, name, width: parseLength(typed['width'] ?? '', 'mm'), colour: '#000000' }] },
      };
    },
  },
  parameter: {
    title: 'New parameter',
    fields: () => [
      NAME,
      { key: 'scope', label: 'Entered for', start: 'each sheet', options: Object.keys(SCOPES) },
      { key: 'example', label: 'Example', start: '', help: 'What try-on shows' },
    ],
    make: (typed) => {
      const name = typed['name']?.trim() ?? '';
      const scope = SCOPES[typed['scope'] as keyof typeof SCOPES] ?? 'sheet';
      const key = keyOf(name, scope);
      const example = typed['example']?.trim() ?? '';
      const own = {
        ...newParameter({ id: nanoid(8), key, name }),
        typical: example,
        longest: example,
      };
      return { id: key, addition: { parameters: [own] } };
    },
  },
};

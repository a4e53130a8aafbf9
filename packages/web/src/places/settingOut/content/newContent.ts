import type { Content, ContentKind, Design } from '@mendrel/core';

const FIT = { lines: 1, condense: 0.85, steps: 1 };

/** A new content with the least that it needs; what it says is changed afterwards. */
export function newContent(kind: Exclude<ContentKind, 'picture'>, id: string, design: Design): Content {
  const base = { id, horizontal: 'left', rotation: 0 } as const;
  const inches = design.unit === 'in';
  switch (kind) {
    case 'caption':
      return { ...base, kind, vertical: 'top', role: 'caption', text: 'Caption', fit: FIT };
    case 'field':
      return { ...base, kind, vertical: 'bottom', role: 'value', pattern: '{sheet.title}', fit: FIT };
    case 'notes':
      return { ...base, kind, vertical: 'top', role: 'notes', text: 'Notes' };
    case 'symbol':
      return {
        ...base,
        kind,
        horizontal: 'centre',
        vertical: 'middle',
        symbol: 'north',
        height: inches ? '1/2 in' : '14 mm',
      };
    case 'table':
      return {
        ...base,
        kind,
        vertical: 'bottom',
        table: 'revisions',
        columns: inches
          ? [
              { heading: 'Rev', key: 'revision', width: '3/8 in' },
              { heading: 'Description', key: 'description', width: '1 3/4 in' },
              { heading: 'Date', key: 'date', width: '3/4 in' },
            ]
          : [
              { heading: 'Rev', key: 'revision', width: '10 mm' },
              { heading: 'Description', key: 'description', width: '48 mm' },
              { heading: 'Date', key: 'date', width: '20 mm' },
            ],
        rowHeight: inches ? '1/4 in' : '6 mm',
        rows: 4,
        heading: 'bottom',
        captionRole: 'caption',
        valueRole: 'value-small',
      };
  }
}

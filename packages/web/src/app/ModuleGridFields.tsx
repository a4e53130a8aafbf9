import Box from '@mui/material/Box';
import type { ModuleCorner, ModuleNames, Modules, WorkingUnit } from '@mendrel/core';
import {
  EditError,
  lengthAsFormula,
  MODULE_CORNERS,
  MODULE_NAMES,
  modulesSchema,
  MOST_MODULES,
  parseLength,
  QuantityError,
  renamedModules,
  USUAL_NAMING,
} from '@mendrel/core';
import { Chosen } from './Chosen';
import { Typed } from './Typed';

interface Props {
  modules: Modules;
  unit: WorkingUnit;
  /** Sheet sizes that may have a count of their own. */
  sizes: readonly string[];
  onSet: (modules: Modules) => void;
}

const CORNER_WORDS: Readonly<Record<ModuleCorner, string>> = {
  'lower-left': 'the lower left',
  'lower-right': 'the lower right',
  'upper-left': 'the upper left',
  'upper-right': 'the upper right',
};

const NAME_WORDS: Readonly<Record<ModuleNames, string>> = {
  'row-column': 'Row letter, column number',
  'column-row': 'Column letter, row number',
  'along-rows': 'Numbers running along rows',
  'along-columns': 'Numbers running along columns',
};

/** What modules begin with that get a wanted size: about what the US National CAD Standard has (from memory). */
const FIRST_WANTED = { width: 150, height: 145 };

const Pair = ({ children }: { children: React.ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2.5 }}>{children}</Box>
);

/** A whole number of modules. @throws EditError in words */
function countIn(text: string): string {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 1 || number > MOST_MODULES)
    throw new EditError(`A whole number from 1 to ${MOST_MODULES}.`);
  return String(number);
}

/** What reserved modules are called, by what their names are made of. */
const CALLED: Readonly<Record<ModuleNames, { form: RegExp; words: string; such: string }>> = {
  'row-column': { form: /^[A-Z]{1,2}\d+$/, words: 'Row letter and column number', such: 'A4, B4' },
  'column-row': { form: /^[A-Z]{1,2}\d+$/, words: 'Column letter and row number', such: 'D1, D2' },
  'along-rows': { form: /^\d+$/, words: 'Numbers', such: '4, 8' },
  'along-columns': { form: /^\d+$/, words: 'Numbers', such: '10, 11' },
};

const COUNTS = /^(\d{1,2})\s*(?:[x×*]|by)\s*(\d{1,2})$/i;

/** Columns and rows as they are typed, such as 6 × 4; undefined for anything else. */
export function readCounts(text: string): { columns: number; rows: number } | undefined {
  const match = COUNTS.exec(text.trim());
  const [columns, rows] = [Number(match?.[1]), Number(match?.[2])];
  const fits = (count: number): boolean => count >= 1 && count <= MOST_MODULES;
  return fits(columns) && fits(rows) ? { columns, rows } : undefined;
}

/** A grid without what says nothing, as it is kept. */
function tidy(modules: Modules): Modules {
  const kept = { ...modules };
  if (!kept.gutter) delete kept.gutter;
  if (!kept.margin) delete kept.margin;
  if (kept.naming?.from === USUAL_NAMING.from && kept.naming.by === USUAL_NAMING.by) delete kept.naming;
  if (kept.reserved?.length === 0) delete kept.reserved;
  if (kept.bySize && Object.keys(kept.bySize).length === 0) delete kept.bySize;
  return kept;
}

/** Everything about a module grid: how many modules or how large, what is free between them, their names, which are reserved. */
export function ModuleGridFields({ modules, unit, sizes, onSet }: Props) {
  const set = (change: Partial<Modules>): void => onSet(tidy({ ...modules, ...change }));
  const { wanted, gutter = 0, margin = 0, naming = USUAL_NAMING, reserved = [], bySize = {} } = modules;
  /** A length as it is typed, in mm. @throws EditError in words */
  const mm = (text: string, least: number, most: number): string => {
    try {
      const length = text === '' ? 0 : parseLength(text, unit);
      if (length >= least && length <= most) return String(length);
    } catch (error) {
      if (!(error instanceof QuantityError)) throw error;
    }
    throw new EditError(`From ${lengthAsFormula(least, unit)} to ${lengthAsFormula(most, unit)}.`);
  };
  const called = CALLED[naming.by];
  // What is reserved stays where it is.
  const setNaming = (next: typeof naming): void =>
    set({ naming: next, reserved: renamedModules(reserved, modules, next) });
  const byCount = (): void => {
    const left = { ...modules };
    delete left.wanted;
    onSet(tidy(left));
  };
  return (
    <>
      <Chosen
        label="Modules by"
        value={wanted ? 'size' : 'count'}
        options={[
          ['count', 'How many there are'],
          ['size', 'How large they are to be'],
        ]}
        onSet={(by) => (by === 'size' ? set({ wanted: FIRST_WANTED }) : byCount())}
        {...(wanted ? { help: 'As many as bring them nearest to this size.' } : {})}
      />
      <Pair>
        {(['columns', 'rows'] as const).map((key) => {
          const side = key === 'columns' ? 'width' : 'height';
          return wanted ? (
            <Typed
              key={side}
              label={`Wanted ${side}`}
              value={lengthAsFormula(wanted[side], unit)}
              read={(text) => mm(text, 5, 5000)}
              onSet={(text) => set({ wanted: { ...wanted, [side]: Number(text) } })}
            />
          ) : (
            <Typed
              key={key}
              label={key === 'columns' ? 'Columns' : 'Rows'}
              value={String(modules[key])}
              read={countIn}
              onSet={(text) => set({ [key]: Number(text) })}
            />
          );
        })}
      </Pair>
      {sizes.map((size) => {
        const own = bySize[size];
        return (
          <Typed
            key={size}
            label={`On ${size} instead`}
            value={own ? `${own.columns} × ${own.rows}` : ''}
            placeholder="as above"
            read={(text) => {
              if (text !== '' && !readCounts(text)) throw new EditError('Such as 3 × 2; empty for as above.');
              return text;
            }}
            onSet={(text) => {
              const others = Object.entries(bySize).filter(([name]) => name !== size);
              const counts = readCounts(text);
              set({ bySize: Object.fromEntries(counts ? [...others, [size, counts]] : others) });
            }}
          />
        );
      })}
      <Pair>
        <Typed
          label="Free between them"
          value={lengthAsFormula(gutter, unit)}
          read={(text) => mm(text, 0, 200)}
          onSet={(text) => set({ gutter: Number(text) })}
        />
        <Typed
          label="Free around them"
          value={lengthAsFormula(margin, unit)}
          read={(text) => mm(text, 0, 500)}
          onSet={(text) => set({ margin: Number(text) })}
        />
      </Pair>
      <Chosen
        label="Names"
        value={naming.by}
        options={MODULE_NAMES.map((by) => [by, NAME_WORDS[by]] as const)}
        onSet={(by) => setNaming({ ...naming, by })}
      />
      <Chosen
        label="Names begin at"
        value={naming.from}
        options={MODULE_CORNERS.map((from) => [from, CORNER_WORDS[from]] as const)}
        onSet={(from) => setNaming({ ...naming, from })}
      />
      <Typed
        label="Reserved modules"
        value={reserved.join(', ')}
        placeholder="none"
        help={`They take no views, on any size that has them. As they are named, such as ${called.such}.`}
        read={(text) => {
          const names = text
            .toUpperCase()
            .split(/[\s,;]+/)
            .filter(Boolean);
          const { success } = modulesSchema.shape.reserved.safeParse(names);
          if (!success || !names.every((name) => called.form.test(name)))
            throw new EditError(`${called.words}, such as ${called.such}.`);
          return [...new Set(names)].join(', ');
        }}
        onSet={(text) => set({ reserved: text.split(', ').filter(Boolean) })}
      />
    </>
  );
}

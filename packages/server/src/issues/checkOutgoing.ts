import type { IssueBlocks, IssueCheck } from '@mendrel/contract';
import { MOST_TOLD } from '@mendrel/contract';
import type { Finding } from '@mendrel/core';
import { rankOf, requiredFindings } from '@mendrel/core';
import { Failure } from '../http/failure';
import { sharing } from '../output/sheetDrawing';
import type { Work } from '../work/tasks';
import type { Outgoing } from './outgoing';

/** Sheets that are looked at in one go. */
const AT_ONCE = 50;

/** How much weight of a finding an office lets pass, from the least on. */
const BLOCKING: Readonly<Record<IssueBlocks, readonly Finding['weight'][]>> = {
  nothing: [],
  error: ['error'],
  gap: ['error', 'gap'],
};

/** Sheets that go out, in their order, each with what has to be mended on it; the sheets that go with them come last. */
export function checkOf(
  { from, transmittal }: Outgoing,
  findings: readonly (readonly Finding[])[],
  blocks: IssueBlocks,
): IssueCheck {
  const each = findings.map((found, i) => {
    const sheet = from.sheets[i];
    const goesWith = transmittal[i - from.sheets.length];
    return {
      id: sheet?.id ?? null,
      number: sheet?.number ?? goesWith?.sheet.number ?? '',
      title: sheet?.title ?? goesWith?.sheet.title ?? '',
      findings: [...found],
    };
  });
  const having = (weight: Finding['weight']): number =>
    each.filter((sheet) => sheet.findings.some((finding) => finding.weight === weight)).length;
  return {
    sheets: from.sheets.length,
    errors: having('error'),
    gaps: having('gap'),
    changed: from.sheets.filter((sheet) => sheet.changedSince).length,
    blocked: each.some((sheet) => sheet.findings.some(({ weight }) => BLOCKING[blocks].includes(weight))),
    told: each
      .filter((sheet) => sheet.findings.length > 0)
      .sort((a, b) => rankOf(a.findings) - rankOf(b.findings))
      .slice(0, MOST_TOLD),
  };
}

/** Looks at all sheets that would go out. @param gone stops it between two goes */
export async function checkOutgoing(
  out: Outgoing,
  blocks: IssueBlocks,
  { work, gone }: { work: Work; gone: AbortSignal },
): Promise<IssueCheck> {
  const { sources, transmittal } = out;
  const all = [...sources, ...transmittal];
  const findings: Finding[][] = all.map(() => []);
  for (const { shared, places } of sharing(all)) {
    for (let from = 0; from < places.length; from += AT_ONCE) {
      if (gone.aborted) throw new Failure('stopped', 'the check was stopped');
      const part = places.slice(from, from + AT_ONCE);
      const sheets = part.map((place) => ({ sheet: all[place]!.sheet, index: all[place]!.position.index }));
      const results = await work('findings', { source: shared, sheets, count: sources.length });
      part.forEach((place, i) => (findings[place] = results[i]?.findings ?? []));
    }
  }
  // What a set has to have is known once it goes out.
  sources.forEach(({ standard, office, project }, i) =>
    findings[i]?.push(...requiredFindings(standard, { ...office, ...project }, ['set'], findings[i])),
  );
  return checkOf(out, findings, blocks);
}

import { NAMED_SHEETS } from '@mendrel/contract';
import type { Finding } from '@mendrel/core';
import { topicOf, worstFinding } from '@mendrel/core';
import type { FindingGroup, GroupDesign, ProjectSummary } from './findingsModel';

/** Findings of a project's sheets told together; the sheets in the order of the register. */
export function summaryOf(
  sheets: readonly { id: string; number: string; design: GroupDesign | null; findings: readonly Finding[] }[],
): ProjectSummary {
  const groups = new Map<string, FindingGroup>();
  for (const { id, number, design, findings } of sheets) {
    const here = new Map<string, Finding[]>();
    for (const finding of findings) {
      const topic = topicOf(finding);
      here.set(topic, [...(here.get(topic) ?? []), finding]);
    }
    for (const [topic, same] of here) {
      // What one act mends in one design is another act in another.
      const key = `${design?.id} ${design?.revision} ${topic}`;
      const known = groups.get(key);
      const worst = worstFinding(known ? [known.finding as Finding, ...same] : same)!;
      const { weight, kind, message, mend, by } = worst;
      const finding = {
        weight,
        kind,
        message,
        ...(mend === undefined ? {} : { mend }),
        ...(by === undefined ? {} : { by }),
      };
      const named = known?.named ?? [];
      groups.set(key, {
        topic,
        design,
        finding,
        varied: known?.varied === true || [known?.finding, ...same].some((each) => each && each.message !== message),
        sheets: (known?.sheets ?? 0) + 1,
        named: named.length < NAMED_SHEETS ? [...named, { id, number }] : named,
      });
    }
  }
  return {
    sheets: sheets.length,
    fitting: sheets.filter(({ findings }) => findings.length === 0).length,
    groups: [...groups.values()],
  };
}

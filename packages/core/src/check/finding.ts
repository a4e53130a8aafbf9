/** Something a check reports: what, where, how far off, by which rule, and what would mend it. */
export interface Finding {
  kind:
    | 'spill'
    | 'room'
    | 'missing'
    | 'condensed'
    | 'stepped'
    | 'characters'
    | 'unknown'
    | 'view'
    | 'device'
    | 'standard'
    | 'overlap'
    | 'unserved'
    | 'unsolved';
  /** `error` spills or conflicts, `gap` is something missing, `note` is for information. */
  weight: 'error' | 'gap' | 'note';
  message: string;
  /** Ids of what it concerns. */
  where: {
    panel?: string;
    cell?: string;
    /** A track of the cell's division: `rows.2`. */
    track?: string;
    content?: string;
    view?: string;
    parameter?: string;
    role?: string;
    pen?: string;
    layer?: string;
    rule?: string;
    size?: string;
    device?: string;
  };
  /** The rule it breaks, with its source. */
  rule?: string;
  /** What was found and what the rule allows, in words. */
  measured?: string;
  limit?: string;
  /** How far off, in mm. */
  by?: number;
  mend?: string;
}

/** What has to be mended before a sheet is handed out; notes are for information. */
export const weighty = (findings: readonly Finding[]): Finding[] => findings.filter(({ weight }) => weight !== 'note');

/** A finding with what would mend it, as one line. */
export const inWords = ({ message, mend }: Pick<Finding, 'message' | 'mend'>): string =>
  mend === undefined ? message : `${message}. Fix: ${mend}.`;

const ORDER = { error: 0, gap: 1, note: 2 };

/** How bad findings are at their worst: 0 for an error, the largest for none at all. */
export function rankOf(findings: readonly Finding[]): number {
  const worst = worstFinding(findings);
  return worst ? ORDER[worst.weight] : Object.keys(ORDER).length;
}

/** The finding to show first: errors before gaps before notes, the larger before the smaller. */
export function worstFinding(findings: readonly Finding[]): Finding | undefined {
  return [...findings].sort((a, b) => ORDER[a.weight] - ORDER[b.weight] || (b.by ?? 0) - (a.by ?? 0))[0];
}

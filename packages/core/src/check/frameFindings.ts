import type { WorkingUnit } from '../quantity';
import type { Edge, FrameRule, OfficeStandard, SheetSize } from '../standard';
import { FILING_MARGIN, framesOutside, nearestSize, sheetExtent, ZONE_BAND } from '../standard';
import { formatLength } from '../quantity';
import type { Finding } from './finding';

/** A length as the office tells it: in mm to a hundredth, or in inches. */
const lengthsIn =
  (unit: WorkingUnit) =>
  (value: number): string =>
    unit === 'mm' ? `${Number(value.toFixed(2))} mm` : formatLength(value, 'in', true);

type Words = ReturnType<typeof lengthsIn>;

/** Frame rules that leave too little room for filing or for their zones. */
export function frameFindings({ frameRules, unit }: OfficeStandard): Finding[] {
  const mm = lengthsIn(unit);
  return frameRules.flatMap((rule) => [...bindingFinding(rule, mm), ...zoneRoom(rule, mm)]);
}

function bindingFinding(rule: FrameRule, mm: Words): Finding[] {
  if (rule.binding === 'none') return [];
  const margin = rule.margins[rule.binding];
  if (margin >= FILING_MARGIN - 0.005) return [];
  return [
    {
      kind: 'standard',
      weight: 'error',
      message: `the binding edge of ${rule.name} is narrower than the filing margin`,
      where: { rule: rule.id },
      rule: 'filing margin (ISO 5457, DIN 824)',
      measured: mm(margin),
      limit: mm(FILING_MARGIN),
      by: FILING_MARGIN - margin,
      mend: `widen the ${rule.binding} margin to ${mm(FILING_MARGIN)}, or say that no edge is bound`,
    },
  ];
}

function zoneRoom(rule: FrameRule, mm: Words): Finding[] {
  if (!rule.zones.shown) return [];
  const tight = (['left', 'right', 'top', 'bottom'] as Edge[]).filter(
    (edge) => rule.zones.edges[edge] && rule.margins[edge] < ZONE_BAND - 0.005,
  );
  const [first] = tight;
  if (!first) return [];
  return [
    {
      kind: 'standard',
      weight: 'error',
      message: `the zone marks of ${rule.name} do not fit outside the frame at the ${tight.join(' and ')}`,
      where: { rule: rule.id },
      rule: 'zone marks stand 5 mm outside the frame (ISO 5457)',
      measured: mm(rule.margins[first]),
      limit: mm(ZONE_BAND),
      by: ZONE_BAND - rule.margins[first],
      mend: `widen the margin to ${mm(ZONE_BAND)}, or leave the marks out there`,
    },
  ];
}

/** Own sizes that look like a slip: almost a shipped size, or off a roll that no device has. */
export function sizeFindings({ sizes, devices }: OfficeStandard): Finding[] {
  const rolls = devices.flatMap((device) => device.rolls.map((roll) => roll.width));
  return sizes.flatMap((size) => [...nearMiss(size), ...(size.roll ? rollFinding(size, rolls) : [])]);
}

function nearMiss(size: SheetSize): Finding[] {
  const mm = lengthsIn(size.unit);
  const near = nearestSize(size);
  if (!near) return [];
  const [own, shipped] = [sheetExtent(size, 'landscape'), sheetExtent(near, 'landscape')];
  const off = Math.max(Math.abs(own.width - shipped.width), Math.abs(own.height - shipped.height));
  if (off < 0.05 || off > 0.01 * own.width) return [];
  return [
    {
      kind: 'standard',
      weight: 'gap',
      message: `${size.name} is almost ${near.name}`,
      where: { size: size.name },
      rule: 'own sizes differ clearly from those that ship (office consistency)',
      measured: `${mm(own.width)} by ${mm(own.height)}`,
      limit: `${mm(shipped.width)} by ${mm(shipped.height)}`,
      by: off,
      mend: `use ${near.name}, or check the figures`,
    },
  ];
}

function rollFinding(size: SheetSize, rolls: readonly number[]): Finding[] {
  const mm = lengthsIn(size.unit);
  const short = Math.min(size.width, size.height);
  if (rolls.some((roll) => Math.abs(roll - short) < 1)) return [];
  return [
    {
      kind: 'standard',
      weight: 'gap',
      message: `no device has a roll for ${size.name}`,
      where: { size: size.name },
      rule: 'a roll length is as wide as a roll',
      measured: mm(short),
      limit: rolls.length > 0 ? rolls.map(mm).join(', ') : 'no rolls',
      mend: 'give its short edge the width of a roll, or add the roll to a device',
    },
  ];
}

/** Frames that fall outside what a device can print, the worst first. */
export function deviceFindings(standard: OfficeStandard): Finding[] {
  const mm = lengthsIn(standard.unit);
  return framesOutside(standard).map(({ device, size, paper, outside, unprintable, rule, worst }) => {
    const edges = (Object.keys(outside) as Edge[]).filter((edge) => outside[edge] > 0.005);
    const list = (of: Record<Edge, number>): string => edges.map((edge) => `${edge} ${mm(of[edge])}`).join(', ');
    return {
      kind: 'standard',
      weight: 'gap',
      message: `the frame of ${size.name} falls ${mm(worst)} outside what ${device.name} prints`,
      where: { device: device.id, size: size.name, rule: rule.id },
      rule: `frames lie inside the printable area (${device.name}, ${paper})`,
      measured: list(rule.margins),
      limit: list(unprintable),
      by: worst,
      mend: `widen the margins of ${rule.name}, or print ${size.name} on another device`,
    };
  });
}

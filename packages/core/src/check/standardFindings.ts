import type { Typefaces } from '../lettering';
import type { OfficeStandard } from '../standard';
import { LINE_WIDTHS } from '../standard';
import type { Finding } from './finding';

/** US National CAD Standard (from memory): nothing smaller than 3/32 in on the full-size sheet. */
const LEAST_INCH_HEIGHT = (3 / 32) * 25.4;
/** ISO 3098 (from memory): strokes of lettering are between h/14 (type A) and h/10 (type B). */
const STROKE = { thinnest: 1 / 14, thickest: 1 / 10 };
/** Layers that the writers put something on. */
const USED_LAYERS = new Set(['frame', 'marks', 'cells', 'captions', 'values', 'pictures', 'views']);

const mm = (value: number): string => `${Number(value.toFixed(3))} mm`;

/** What in an office standard contradicts itself or the published standards it follows. */
export function standardFindings(standard: OfficeStandard, typefaces: Typefaces): Finding[] {
  return [
    ...typefaceConflicts(standard),
    ...smallInchRoles(standard),
    ...oddPens(standard),
    ...idleLayers(standard),
    ...strokeFindings(standard, typefaces),
  ];
}

function typefaceConflicts({ roles }: OfficeStandard): Finding[] {
  const findings: Finding[] = [];
  roles.forEach((role, i) => {
    const other = roles
      .slice(0, i)
      .find(
        (each) =>
          each.use === role.use && Math.abs(each.height - role.height) < 0.01 && each.typeface !== role.typeface,
      );
    if (!other) return;
    findings.push({
      kind: 'standard',
      weight: 'error',
      message: `${role.name} and ${other.name} have one height and different typefaces`,
      where: { role: role.id },
      rule: 'one use and height, one typeface (office consistency)',
      measured: `${role.typeface} at ${mm(role.height)}`,
      limit: other.typeface,
      mend: `set both in ${other.typeface}`,
    });
  });
  return findings;
}

function smallInchRoles({ roles }: OfficeStandard): Finding[] {
  return roles
    .filter((role) => role.id.endsWith('-inch') && role.height < LEAST_INCH_HEIGHT - 0.001)
    .map((role) => ({
      kind: 'standard',
      weight: 'error',
      message: `${role.name} is smaller than 3/32 in`,
      where: { role: role.id },
      rule: 'least lettering height (US National CAD Standard)',
      measured: mm(role.height),
      limit: mm(LEAST_INCH_HEIGHT),
      mend: 'raise it to 3/32 in',
    }));
}

function oddPens({ pens }: OfficeStandard): Finding[] {
  return pens
    .filter((pen) => !LINE_WIDTHS.some((width) => Math.abs(width - pen.width) < 0.001))
    .map((pen) => {
      const near = LINE_WIDTHS.reduce((best, each) =>
        Math.abs(each - pen.width) < Math.abs(best - pen.width) ? each : best,
      );
      return {
        kind: 'standard',
        weight: 'gap',
        message: `${pen.name} is not in the series of line widths`,
        where: { pen: pen.id },
        rule: 'line widths (ISO 128)',
        measured: mm(pen.width),
        limit: LINE_WIDTHS.map((width) => String(width)).join(', '),
        mend: `use ${mm(near)}`,
      };
    });
}

function idleLayers({ layers, pens }: OfficeStandard): Finding[] {
  return layers.flatMap((layer): Finding[] => {
    const where = { layer: layer.id };
    const findings: Finding[] = [];
    if (!USED_LAYERS.has(layer.id)) {
      findings.push({
        kind: 'standard',
        weight: 'gap',
        message: `nothing goes onto layer ${layer.name}`,
        where,
        rule: 'every layer has a use (office consistency)',
        measured: layer.id,
        limit: [...USED_LAYERS].join(', '),
        mend: 'take the layer out',
      });
    }
    if (!pens.some((pen) => pen.id === layer.pen)) {
      findings.push({
        kind: 'standard',
        weight: 'error',
        message: `layer ${layer.name} uses the pen “${layer.pen}”, which is not there`,
        where,
        rule: 'layers use pens of the standard (office consistency)',
        measured: layer.pen,
        limit: pens.map((pen) => pen.id).join(', '),
        mend: 'choose one of the pens',
      });
    }
    return findings;
  });
}

/** Letters whose strokes are thinner than h/14 fade in print, those thicker than h/10 fill in. */
function strokeFindings({ roles }: OfficeStandard, typefaces: Typefaces): Finding[] {
  const names = [...new Set(roles.map((role) => role.typeface))];
  return names.flatMap((name): Finding[] => {
    const face = typefaces.get(name);
    const role = roles.find((each) => each.typeface === name);
    if (!face || !role) return [];
    const ratio = face.stem / face.capHeight;
    if (ratio >= STROKE.thinnest - 1e-9 && ratio <= STROKE.thickest + 1e-9) return [];
    return [
      {
        kind: 'standard',
        weight: 'note',
        message: `the strokes of ${name} are ${ratio > STROKE.thickest ? 'thicker' : 'thinner'} than those of drawing lettering`,
        where: { role: role.id },
        rule: 'stroke between h/14 and h/10 (ISO 3098)',
        measured: `h/${(1 / ratio).toFixed(1)}`,
        limit: 'h/14 to h/10',
      },
    ];
  });
}

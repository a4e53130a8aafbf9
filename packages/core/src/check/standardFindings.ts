import type { Typefaces } from '../lettering';
import type { LayerUse, OfficeStandard } from '../standard';
import { LAYER_USE_WORDS, LAYER_USES, LINE_WIDTHS, nearestHeight, nearestLineWidth } from '../standard';
import { formatLength } from '../quantity';
import type { Finding } from './finding';
import { frameFindings, sizeFindings } from './frameFindings';

/** US National CAD Standard (from memory): nothing smaller than 3/32 in on the full-size sheet. */
const LEAST_INCH_HEIGHT = (3 / 32) * 25.4;
/** ISO 3098 (from memory): strokes of lettering are between h/14 (type A) and h/10 (type B). */
const STROKE = { thinnest: 1 / 14, thickest: 1 / 10 };
const mm = (value: number): string => `${Number(value.toFixed(3))} mm`;

/** What in an office standard contradicts itself or the published standards it follows. */
export function standardFindings(standard: OfficeStandard, typefaces: Typefaces): Finding[] {
  return [
    ...typefaceConflicts(standard),
    ...smallInchRoles(standard),
    ...oddHeights(standard),
    ...missingTypefaces(standard, typefaces),
    ...oddPens(standard),
    ...layerFindings(standard),
    ...frameFindings(standard),
    ...sizeFindings(standard),
    ...strokeFindings(standard, typefaces),
  ];
}

function typefaceConflicts({ roles }: OfficeStandard): Finding[] {
  const findings: Finding[] = [];
  roles.forEach((role, i) => {
    const other = roles
      .slice(0, i)
      .find((each) => Math.abs(each.height - role.height) < 0.01 && each.typeface !== role.typeface);
    if (!other) return;
    findings.push({
      kind: 'standard',
      weight: 'error',
      message: `${role.name} and ${other.name} have one height and different typefaces`,
      where: { role: role.id },
      rule: 'one height, one typeface (office consistency)',
      measured: `${role.typeface} at ${formatLength(role.height, role.unit, true)}`,
      limit: other.typeface,
      mend: `set both in ${other.typeface}`,
    });
  });
  return findings;
}

function smallInchRoles({ roles }: OfficeStandard): Finding[] {
  return roles
    .filter((role) => role.unit === 'in' && role.height < LEAST_INCH_HEIGHT - 0.001)
    .map((role) => ({
      kind: 'standard',
      weight: 'error',
      message: `${role.name} is smaller than 3/32 in`,
      where: { role: role.id },
      rule: 'least lettering height (US National CAD Standard)',
      measured: formatLength(role.height, role.unit, true),
      limit: '3/32 in',
      mend: 'raise it to 3/32 in',
    }));
}

function oddHeights({ roles, heights }: OfficeStandard): Finding[] {
  return roles
    .filter((role) => !heights.some((height) => Math.abs(height - role.height) < 0.005))
    .map((role) => ({
      kind: 'standard',
      weight: 'gap',
      message: `the height of ${role.name} is not in the office's series`,
      where: { role: role.id },
      rule: 'heights of the series (ISO 3098 or the office’s own)',
      measured: formatLength(role.height, role.unit, true),
      limit: heights.map((height) => formatLength(height, role.unit)).join(', '),
      mend: `use ${formatLength(nearestHeight(role.height, heights), role.unit, true)}, or add the height to the series`,
    }));
}

function missingTypefaces({ roles, dimensions }: OfficeStandard, typefaces: Typefaces): Finding[] {
  return [...roles, ...dimensions]
    .filter((each) => !typefaces.get(each.typeface))
    .map((each) => ({
      kind: 'standard',
      weight: 'error',
      message: `the typeface of ${each.name} is not there`,
      where: { role: each.id },
      rule: 'lettering is drawn in typefaces that are available',
      measured: each.typeface,
      limit: 'the typefaces that ship and those that were uploaded',
      mend: 'upload it, or choose another',
    }));
}

function oddPens({ pens }: OfficeStandard): Finding[] {
  return pens
    .filter((pen) => !LINE_WIDTHS.some((width) => Math.abs(width - pen.width) < 0.001))
    .map((pen) => ({
      kind: 'standard',
      weight: 'gap',
      message: `${pen.name} is not in the series of line widths`,
      where: { pen: pen.id },
      rule: 'line widths (ISO 128)',
      measured: mm(pen.width),
      limit: LINE_WIDTHS.map((width) => String(width)).join(', '),
      mend: `use ${mm(nearestLineWidth(pen.width))}`,
    }));
}

function layerFindings({ layers, pens }: OfficeStandard): Finding[] {
  const idle = layers
    .filter((layer) => layer.holds.length === 0)
    .map((layer): Finding => ({
      kind: 'standard',
      weight: 'gap',
      message: `nothing goes onto layer ${layer.name}`,
      where: { layer: layer.id },
      rule: 'every layer has a use (office consistency)',
      measured: 'nothing',
      limit: LAYER_USES.map((use) => LAYER_USE_WORDS[use]).join(', '),
      mend: 'say what goes on it, or take the layer out',
    }));
  const homeless = LAYER_USES.filter((use) => !layers.some((layer) => layer.holds.includes(use))).map(
    (use: LayerUse): Finding => ({
      kind: 'standard',
      weight: 'gap',
      message: `no layer takes ${LAYER_USE_WORDS[use]}`,
      where: {},
      rule: 'everything drawn has a layer (office consistency)',
      measured: 'no layer',
      limit: 'one layer',
      mend: `say on which layer it goes; until then it goes on ${use.toUpperCase()}`,
    }),
  );
  const penless = layers
    .filter((layer) => !pens.some((pen) => pen.id === layer.pen))
    .map((layer): Finding => ({
      kind: 'standard',
      weight: 'error',
      message: `layer ${layer.name} uses the pen “${layer.pen}”, which is not there`,
      where: { layer: layer.id },
      rule: 'layers use pens of the standard (office consistency)',
      measured: layer.pen,
      limit: pens.map((pen) => pen.id).join(', '),
      mend: 'choose one of the pens',
    }));
  return [...idle, ...homeless, ...penless];
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

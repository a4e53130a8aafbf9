import type { Finding } from '../check';
import { amountInWords } from '../quantity';
import type { Design } from '../design';
import type { Device, Edge, Margins, OfficeStandard, Unprintable } from '../standard';
import { EDGES, frameRuleFor, sizesOf, unprintableOn } from '../standard';
import type { SheetLayout } from './sheetLayout';

/** What a device cannot print on along the edges of a solved sheet; undefined where it does not take the sheet. */
export function unprintableFor(
  device: Device,
  { sheet }: Pick<SheetLayout, 'sheet'>,
  standard: OfficeStandard,
): Unprintable | undefined {
  const usual = sizesOf(standard).find(({ name }) => name === sheet.name);
  return unprintableOn(device, { ...usual, ...sheet }, usual);
}

/** Told where something reaches less far, a device prints it; in mm. */
const TOLERANCE = 0.005;

/** How far the frame of a sheet lies outside what a device prints, where it does. */
export function frameOutside(
  device: Device,
  layout: Pick<SheetLayout, 'sheet' | 'unit' | 'margins'>,
  standard: OfficeStandard,
  weight: Finding['weight'],
): Finding[] {
  const unprintable = unprintableFor(device, layout, standard);
  if (!unprintable) return [];
  const { margins, unit, sheet } = layout;
  const over = (edge: Edge): number => unprintable.margins[edge] - margins[edge];
  const edges = EDGES.filter((edge) => over(edge) > TOLERANCE);
  const by = Math.max(0, ...edges.map(over));
  if (edges.length === 0) return [];
  return [
    {
      kind: 'device',
      weight,
      message: `the frame falls ${amountInWords(by, unit)} outside what ${device.name} prints (${edges.join(', ')})`,
      where: { device: device.id, size: sheet.name },
      rule: `frames lie inside the printable area (${device.name}, ${unprintable.paper})`,
      by,
      mend: `widen the margins, or print ${sheet.name} on another device`,
    },
  ];
}

/** Where the frame of a solved design falls outside what devices of the office print that take its size. */
export const frameOnAllDevices = (
  layout: Pick<SheetLayout, 'sheet' | 'unit' | 'margins'>,
  standard: OfficeStandard,
): Finding[] => standard.devices.flatMap((device) => frameOutside(device, layout, standard, 'note'));

/** Margins that are set from a device are whole millimetres, or sixteenths of an inch. */
const STEP = { mm: 1, in: 25.4 / 16 } as const;

/**
 * The narrowest margins at which the frame of a design lies inside what a device prints, on each of its sizes that the device takes.
 * The left one is no narrower than the standard has it, for binding. Lengths in mm.
 * @returns undefined where the device takes none of its sizes
 */
export function marginsInside(device: Device, design: Design, standard: OfficeStandard): Margins | undefined {
  const known = sizesOf(standard);
  const found = design.sizes.flatMap(({ size, orientation }) => {
    const usual = known.find(({ name }) => name === size);
    if (!usual) return [];
    const [short, long] = [Math.min(usual.width, usual.height), Math.max(usual.width, usual.height)];
    const lying = orientation === 'landscape' ? { width: long, height: short } : { width: short, height: long };
    const on = unprintableOn(device, { ...usual, ...lying }, usual);
    return on
      ? [{ ...on.margins, left: Math.max(on.margins.left, frameRuleFor(usual, standard.frameRules).margins.left) }]
      : [];
  });
  if (found.length === 0) return undefined;
  const step = STEP[design.unit];
  const widest = (edge: Edge): number => Math.ceil(Math.max(...found.map((each) => each[edge])) / step - 1e-6) * step;
  return { left: widest('left'), right: widest('right'), top: widest('top'), bottom: widest('bottom') };
}

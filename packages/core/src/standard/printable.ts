import type { Device } from './devices';
import type { OfficeStandard } from './officeStandard';
import { sizesOf } from './officeStandard';
import { EDGES, frameRuleFor } from './sheets';
import type { Edge, FrameRule, Margins, SheetSize } from './sheets';

/** A sheet's frame on one paper of a device. */
export interface FrameOnDevice {
  device: Device;
  size: SheetSize;
  rule: FrameRule;
  /** The paper in words: `cut sheet`, `roll 914.4 mm`. */
  paper: string;
  /** What cannot be printed on along each edge of the sheet, in mm. */
  unprintable: Margins;
  /** How far the frame lies outside the printable area at each edge, in mm; 0 where it is inside. */
  outside: Record<Edge, number>;
  worst: number;
}

/** What the sides and ends of a roll take from a sheet on it; undefined where the sheet does not go onto the roll. */
function onRoll(size: Pick<SheetSize, 'width' | 'height'>, roll: Device['rolls'][number]): Margins | undefined {
  const [short, long] = [Math.min(size.width, size.height), Math.max(size.width, size.height)];
  // The long edge lies along the roll if the short one fits across it; otherwise the sheet does not fit at all.
  if (short > roll.width + 0.5 || long > roll.longest) return undefined;
  const sides = Math.max(0, roll.side - (roll.width - short) / 2);
  return size.width >= size.height
    ? { left: roll.lead, right: roll.lead, top: sides, bottom: sides }
    : { left: sides, right: sides, top: roll.lead, bottom: roll.lead };
}

/** A sheet as it lies: its edges may be those of its size turned by a quarter. */
type LyingSheet = Pick<SheetSize, 'name' | 'width' | 'height'> & Partial<Pick<SheetSize, 'roll'>>;

/** What a device cannot print on along the edges of a sheet, with the paper in words. */
export interface Unprintable {
  paper: string;
  margins: Margins;
}

/**
 * What a device cannot print on along the edges of a sheet; of its rolls on the narrowest that is wide enough. Undefined where it
 * does not take the sheet.
 * @param usual the size as it usually lies, for which margins of cut sheets are given
 */
export function unprintableOn(device: Device, sheet: LyingSheet, usual: LyingSheet = sheet): Unprintable | undefined {
  const cut = device.papers.find(({ size }) => size === sheet.name);
  if (cut && !usual.roll) {
    const { left, right, top, bottom } = cut.margins;
    const turned = sheet.width > sheet.height !== usual.width > usual.height;
    // Turned to the left, as a sheet goes through the device.
    const margins = turned ? { left: top, bottom: left, right: bottom, top: right } : cut.margins;
    return { paper: 'cut sheet', margins };
  }
  for (const roll of [...device.rolls].sort((a, b) => a.width - b.width)) {
    const margins = onRoll(sheet, roll);
    if (margins) return { paper: `roll ${Number(roll.width.toFixed(1))} mm`, margins };
  }
  return undefined;
}

/** The frame of a size on every device that takes the size. */
export function frameOnDevices(standard: OfficeStandard, size: SheetSize): FrameOnDevice[] {
  const rule = frameRuleFor(size, standard.frameRules);
  const on = (device: Device, paper: string, unprintable: Margins): FrameOnDevice => {
    const outside = { left: 0, right: 0, top: 0, bottom: 0 };
    for (const edge of EDGES) outside[edge] = Math.max(0, unprintable[edge] - rule.margins[edge]);
    return { device, size, rule, paper, unprintable, outside, worst: Math.max(...Object.values(outside)) };
  };
  return standard.devices.flatMap((device) => {
    const found = unprintableOn(device, size);
    return found ? [on(device, found.paper, found.margins)] : [];
  });
}

/** Every frame that falls outside what a device can print, the worst first. */
export function framesOutside(standard: OfficeStandard): FrameOnDevice[] {
  return sizesOf(standard)
    .flatMap((size) => frameOnDevices(standard, size))
    .filter((each) => each.worst > 0.005)
    .sort((a, b) => b.worst - a.worst);
}

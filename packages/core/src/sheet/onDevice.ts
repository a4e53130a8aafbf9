import type { Finding } from '../check';
import { overlaps } from '../geometry';
import type { SheetLayout } from '../layout';
import type { ClaimedRect } from '../placement';
import { frameOutside, unprintableFor } from '../layout';
import type { OfficeStandard } from '../standard';

/**
 * What of the drawing area the device of a project leaves blank: views keep clear of it.
 * @param id of the device; nothing is left blank where there is none
 */
export function leftBlank(id: string | undefined, layout: SheetLayout, standard: OfficeStandard): ClaimedRect[] {
  const device = standard.devices.find((each) => each.id === id);
  const unprintable = device && unprintableFor(device, layout, standard);
  if (!unprintable) return [];
  const { sheet, drawingArea } = layout;
  const { left, right, top, bottom } = unprintable.margins;
  const name = `the edge that ${device.name} does not print`;
  const edges: ClaimedRect[] = [
    { name, fixed: true, x: 0, y: 0, width: left, height: sheet.height },
    { name, fixed: true, x: sheet.width - right, y: 0, width: right, height: sheet.height },
    { name, fixed: true, x: 0, y: 0, width: sheet.width, height: bottom },
    { name, fixed: true, x: 0, y: sheet.height - top, width: sheet.width, height: top },
  ];
  return edges.filter((edge) => edge.width > 0 && edge.height > 0 && overlaps(edge, drawingArea, 0.01));
}

/**
 * What of a sheet the device of its project does not print: the sheet itself where no paper of the device holds it, or its frame.
 * @param id of the device; it may be gone from the standard
 */
export function onDeviceFindings(id: string, layout: SheetLayout, standard: OfficeStandard): Finding[] {
  const device = standard.devices.find((each) => each.id === id);
  const { sheet } = layout;
  const about = { kind: 'device', where: { device: id, size: sheet.name } } as const;
  if (!device)
    return [
      {
        ...about,
        weight: 'note',
        message: 'the device of the project is not in the standard that it uses',
        mend: 'choose another device under Data',
      },
    ];
  const unprintable = unprintableFor(device, layout, standard);
  if (!unprintable)
    return [
      {
        ...about,
        weight: 'error',
        message: `${device.name}, the device of the project, takes no sheet of ${sheet.name}`,
        mend: 'choose another device under Data, give it this paper in the standard, or give the sheet another size',
      },
    ];
  return frameOutside(device, layout, standard, 'error');
}

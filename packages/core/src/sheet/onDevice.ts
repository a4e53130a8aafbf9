import type { Finding } from '../check';
import type { SheetLayout } from '../layout';
import { frameOutside, unprintableFor } from '../layout';
import type { PlacedView } from '../placement';
import { amountInWords } from '../quantity';
import type { OfficeStandard } from '../standard';

/**
 * What of a sheet the device of its project does not print: the sheet itself where no paper of the device holds it, its frame, views
 * that reach out of what is printed.
 * @param id of the device; it may be gone from the standard
 */
export function onDeviceFindings(
  id: string,
  layout: SheetLayout,
  placed: readonly PlacedView[],
  standard: OfficeStandard,
): Finding[] {
  const device = standard.devices.find((each) => each.id === id);
  const { sheet, unit } = layout;
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
  const { margins } = unprintable;
  const views = placed.flatMap(({ view, x, y, width, height }): Finding[] => {
    const by = Math.max(
      margins.left - x,
      margins.bottom - y,
      x + width - sheet.width + margins.right,
      y + height - sheet.height + margins.top,
    );
    if (by <= 0.01) return [];
    return [
      {
        kind: 'device',
        weight: 'error',
        message: `${view.name} reaches ${amountInWords(by, unit)} out of what ${device.name} prints`,
        where: { view: view.id, device: id },
        by,
        mend: 'move it further in',
      },
    ];
  });
  return [...frameOutside(device, layout, standard, 'error'), ...views];
}

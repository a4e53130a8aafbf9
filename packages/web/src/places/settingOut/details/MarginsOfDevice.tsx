import type { Design, OfficeStandard } from '@mendrel/core';
import { lengthAsFormula, marginsInside, setFrame } from '@mendrel/core';
import { Chosen } from '../../../app/Chosen';

interface Props {
  design: Design;
  standard: OfficeStandard;
  onEdit: (edit: (design: Design) => Design) => void;
}

/** Sets the margins so that the frame lies inside what a device prints, on all sizes that the device takes. */
export function MarginsOfDevice({ design, standard, onEdit }: Props) {
  const offered = standard.devices.flatMap((device) => {
    const margins = marginsInside(device, design, standard);
    return margins ? [{ device, margins }] : [];
  });
  if (offered.length === 0) return null;
  return (
    <Chosen
      label="Inside what a device prints"
      value=""
      options={[['', 'Choose one…'], ...offered.map(({ device }) => [device.id, device.name] as const)]}
      help="Sets its own margins, as narrow as the device allows; the left one stays for binding"
      onSet={(id) => {
        const margins = offered.find(({ device }) => device.id === id)?.margins;
        if (!margins) return;
        const text = (mm: number): string => lengthAsFormula(mm, design.unit);
        const { left, right, top, bottom } = margins;
        const own = { left: text(left), right: text(right), top: text(top), bottom: text(bottom) };
        onEdit((now) => setFrame(now, { margins: own }));
      }}
    />
  );
}

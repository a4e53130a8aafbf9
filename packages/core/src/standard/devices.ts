import { z } from 'zod';
import type { Margins } from './sheets';
import { marginsSchema } from './sheets';

const paperMargin = z.number().min(0, 'a margin is not negative').max(200, 'a printable margin is at most 200 mm');

export const deviceSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'a device needs a name').max(60),
  /** Cut papers by size name, with what cannot be printed on along each edge of the sheet as it usually lies. */
  papers: z.array(z.strictObject({ size: z.string().min(1).max(40), margins: marginsSchema })).max(60),
  rolls: z
    .array(
      z.strictObject({
        /** In mm. */
        width: z.number().min(50, 'a roll is at least 50 mm wide').max(3000, 'a roll is at most 3000 mm wide'),
        /** The longest piece that can be printed, in mm. */
        longest: z.number().min(100, 'a roll prints at least 100 mm').max(50_000, 'a roll prints at most 50 m'),
        /** What cannot be printed on along the roll's sides, and at the start and the end of a piece. */
        side: paperMargin,
        lead: paperMargin,
      }),
    )
    .max(20),
});
/** A printer or plotter with its papers. */
export type Device = z.infer<typeof deviceSchema>;

const even = (all: number): Margins => ({ left: all, right: all, top: all, bottom: all });

/** Simulated devices; their margins are invented but of a usual size. */
export const STARTING_DEVICES: readonly Device[] = [
  {
    id: 'office-printer',
    name: 'Office printer A3',
    papers: [
      { size: 'ISO A3', margins: even(4.2) },
      { size: 'ISO A4', margins: even(4.2) },
      { size: 'ASME B', margins: even(4.2) },
      { size: 'ASME A', margins: even(4.2) },
    ],
    rolls: [],
  },
  {
    id: 'plan-copier',
    name: 'Plan copier',
    papers: [
      { size: 'ISO A1', margins: { left: 5, right: 12, top: 5, bottom: 5 } },
      { size: 'ISO A2', margins: { left: 5, right: 12, top: 5, bottom: 5 } },
      { size: 'ARCH D', margins: { left: 5, right: 12, top: 5, bottom: 5 } },
    ],
    rolls: [],
  },
  {
    id: 'roll-plotter',
    name: 'Roll plotter',
    papers: [],
    rolls: [
      { width: 841, longest: 15_000, side: 5, lead: 5 },
      { width: 914.4, longest: 15_000, side: 5, lead: 5 },
    ],
  },
];

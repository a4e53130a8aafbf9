import { frameOf, frameRuleFor, SHEET_SIZES, STARTING_STANDARD, zonesOf } from '@mendrel/core';
import { readArguments } from '../arguments';
import type { Command } from './command';
import { tidy } from './tidy';

/** Lists the sheet sizes that ship, with the frame that a new office starts with. */
export const sizes: Command = (words, { output }) => {
  const read = readArguments(words, { options: [], flags: ['json'] });
  const list = SHEET_SIZES.map((size) => {
    const rule = frameRuleFor(size, STARTING_STANDARD.frameRules);
    const frame = frameOf(size, rule.margins);
    const zones = rule.zones.shown ? zonesOf(size, frame, rule.zones) : { columns: [], rows: [] };
    return {
      name: size.name,
      width: tidy(size.width),
      height: tidy(size.height),
      frame: { x: tidy(frame.x), y: tidy(frame.y), width: tidy(frame.width), height: tidy(frame.height) },
      zones: { columns: zones.columns.length, rows: zones.rows.length },
    };
  });
  if (read.flags.has('json')) output.out(JSON.stringify(list, null, 2));
  else for (const size of list) output.out(`${size.name.padEnd(10)} ${size.width} x ${size.height} mm`);
};

import type { OfficeStandard } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';

/** The standard of the demo's practice: what a new office starts from, with a size and parameters of its own. */
export const DEMO_STANDARD: OfficeStandard = {
  ...STARTING_STANDARD,
  sizes: [
    { name: 'Harbour long', series: 'Office', width: 1800, height: 841, unit: 'mm', roll: true },
    { name: 'Board 900 x 600', series: 'Office', width: 900, height: 600, unit: 'mm', roll: false },
  ],
  parameters: [
    {
      id: 'fire-class',
      key: 'project.fireClass',
      name: 'Fire class',
      kind: 'choice',
      choices: ['Class 1', 'Class 2', 'Class 3'],
      default: '',
      hint: 'As agreed with the fire consultant',
      required: false,
      most: null,
      typical: 'Class 2',
      longest: 'Class 3',
    },
    {
      id: 'datum',
      key: 'project.datum',
      name: 'Level datum',
      kind: 'length',
      choices: [],
      default: '',
      hint: 'Height of ±0.00 over mean sea level',
      required: false,
      most: 20,
      typical: '4.20 m',
      longest: '112.35 m',
    },
  ],
};

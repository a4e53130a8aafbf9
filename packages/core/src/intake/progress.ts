/** What intake does with a drawing, one after the other. */
export const INTAKE_STEPS = ['read', 'sheet', 'cells', 'texts', 'design', 'comparison'] as const;
export type IntakeStep = (typeof INTAKE_STEPS)[number];

/** How far intake is with a drawing: the step, and the part of it that is done, from 0 to 1. */
export interface IntakeProgress {
  step: IntakeStep;
  part: number;
}

/** Takes how far intake is, whenever there is something to say. */
export type TellProgress = (progress: IntakeProgress) => void;

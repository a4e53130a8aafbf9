import type { Command } from './command';

/** The commands by name. Each is loaded when it is asked for: most need far less than all of Mendrel. */
export const COMMANDS = {
  sizes: () => import('./sizes').then(({ sizes }) => sizes),
  convert: () => import('./convert').then(({ convert }) => convert),
  solve: () => import('./solve').then(({ solve }) => solve),
  draw: () => import('./draw').then(({ draw }) => draw),
} satisfies Record<string, () => Promise<Command>>;

export const isCommand = (word: string): word is keyof typeof COMMANDS => Object.hasOwn(COMMANDS, word);

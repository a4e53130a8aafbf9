import { use } from 'react';
import type { Typefaces } from '@mendrel/core';

let loading: Promise<Typefaces> | undefined;

/** The lettering typefaces, loaded with the code that reads them when a place first needs them. */
export function useTypefaces(): Typefaces {
  loading ??= import('./loadTypefaces').then((module) => module.loadTypefaces());
  return use(loading);
}

import { use } from 'react';
import type { Typefaces } from '@mendrel/core';
import { fontSize } from '@mendrel/core';

let loading: Promise<Typefaces> | undefined;

/** The lettering typefaces, loaded with the code that reads them when a place first needs them. */
export function useTypefaces(): Typefaces {
  loading ??= import('./loadTypefaces').then((module) => module.loadTypefaces());
  return use(loading);
}

/** Size of the em as a multiple of the capitals' height, for writing text as SVG. */
export function emPerCapital(typefaces: Typefaces): (name: string) => number {
  return (name) => {
    const face = typefaces.get(name);
    return face ? fontSize(face, 1) : 1.4;
  };
}

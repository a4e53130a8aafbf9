import type { Typefaces } from '@mendrel/core';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { readTypefaces } from '@mendrel/formats/typeface';
import regular from '@mendrel/fonts/ttf/BarlowSemiCondensed-Regular.ttf?url';
import strong from '@mendrel/fonts/ttf/BarlowSemiCondensed-SemiBold.ttf?url';

const URLS: Record<string, string> = {
  'BarlowSemiCondensed-Regular.ttf': regular,
  'BarlowSemiCondensed-SemiBold.ttf': strong,
};

/** Fetches the shipped font files and makes them ready for measuring. */
export async function loadTypefaces(): Promise<Typefaces> {
  const files = await Promise.all(
    SHIPPED_TYPEFACES.map(async ({ name, file }) => {
      const answer = await fetch(URLS[file] ?? '');
      if (!answer.ok) throw new Error(`the typeface ${name} could not be loaded`);
      return [name, new Uint8Array(await answer.arrayBuffer())] as const;
    }),
  );
  return readTypefaces(new Map(files));
}

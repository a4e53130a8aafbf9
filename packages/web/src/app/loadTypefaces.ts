import { typefaceSchema } from '@mendrel/contract';
import type { Typefaces } from '@mendrel/core';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { readTypefaces } from '@mendrel/formats/typeface';
import regular from '@mendrel/fonts/ttf/BarlowSemiCondensed-Regular.ttf?url';
import sans from '@mendrel/fonts/ttf/PublicSans-Regular.ttf?url';
import sansStrong from '@mendrel/fonts/ttf/PublicSans-SemiBold.ttf?url';
import strong from '@mendrel/fonts/ttf/BarlowSemiCondensed-SemiBold.ttf?url';

const URLS: Record<string, string> = {
  'BarlowSemiCondensed-Regular.ttf': regular,
  'BarlowSemiCondensed-SemiBold.ttf': strong,
  'PublicSans-Regular.ttf': sans,
  'PublicSans-SemiBold.ttf': sansStrong,
};

/** The typefaces that the office has uploaded, made known to the page as well, so that text can be shown in them. */
async function uploadedFiles(): Promise<(readonly [string, Uint8Array])[]> {
  const answer = await fetch('/api/typefaces');
  if (!answer.ok) return [];
  const all = typefaceSchema.array().parse(await answer.json());
  const files = all.map(async ({ id, name }) => {
    if (id === null) return undefined;
    const file = await fetch(`/api/typefaces/${id}/file`);
    if (!file.ok) return undefined;
    const bytes = new Uint8Array(await file.arrayBuffer());
    document.fonts.add(await new FontFace(name, bytes).load());
    return [name, bytes] as const;
  });
  return (await Promise.all(files)).filter((each) => each !== undefined);
}

/** Fetches the font files that ship and those of the office and makes them ready for measuring. */
export async function loadTypefaces(): Promise<Typefaces> {
  const uploaded = uploadedFiles();
  const files = await Promise.all(
    SHIPPED_TYPEFACES.map(async ({ name, file }) => {
      const answer = await fetch(URLS[file] ?? '');
      if (!answer.ok) throw new Error(`the typeface ${name} could not be loaded`);
      return [name, new Uint8Array(await answer.arrayBuffer())] as const;
    }),
  );
  return readTypefaces(new Map([...files, ...(await uploaded)]));
}

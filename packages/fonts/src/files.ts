import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { SHIPPED_TYPEFACES } from './index';

// The package is found by name from the checkout's root, so that this also works when bundled into another file.
const find = createRequire(join(process.env['MENDREL_ROOT'] ?? process.cwd(), 'package.json'));

/** The font files of the shipped typefaces by name. */
export function shippedFontFiles(): Map<string, Uint8Array> {
  return new Map(
    SHIPPED_TYPEFACES.map(({ name, file }) => [
      name,
      new Uint8Array(readFileSync(find.resolve(`@mendrel/fonts/ttf/${file}`))),
    ]),
  );
}

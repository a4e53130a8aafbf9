import type { Typeface, Typefaces } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypeface } from '@mendrel/formats/typeface';
import type { Knex } from 'knex';
import { assetContent } from '../assets/assetModel';
import { TypefaceModel } from './typefaceModel';

/** The lettering typefaces available: those that ship and those that were uploaded, ready for measuring and embedding. */
export class TypefaceLibrary {
  private files: ReadonlyMap<string, Uint8Array> = new Map();
  private readonly faces = new Map<string, Typeface>();

  /** For measuring; always as they are now. */
  readonly typefaces: Typefaces = { get: (name) => this.faces.get(name) };

  /** For embedding, by name; another map whenever one comes or goes, so that whoever was given it can tell. */
  get fontFiles(): ReadonlyMap<string, Uint8Array> {
    return this.files;
  }

  has(name: string): boolean {
    return this.faces.has(name);
  }

  /** @throws FontFileError when the bytes are no font */
  add(name: string, bytes: Uint8Array): void {
    this.faces.set(name, readTypeface(name, bytes));
    this.files = new Map([...this.files, [name, bytes]]);
  }

  remove(name: string): void {
    this.faces.delete(name);
    this.files = new Map([...this.files].filter(([other]) => other !== name));
  }

  /** The library of a database as the server starts. */
  static async load(database: Knex): Promise<TypefaceLibrary> {
    const library = new TypefaceLibrary();
    for (const [name, bytes] of shippedFontFiles()) library.add(name, bytes);
    for (const row of await TypefaceModel.query(database))
      library.add(row.name, new Uint8Array(await assetContent(row.asset, database)));
    return library;
  }
}

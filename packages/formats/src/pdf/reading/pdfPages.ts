import type { LegacySpace } from '@mendrel/core';
import { PAGE_EDGE } from '@mendrel/core';
import type { Matrix } from '../../geometry/matrix';
import { LegacyFileError } from '../../legacy/legacyFileError';
import { MOST_PIXELS } from '../../images';
import { refuseBombs } from './packedParts';
import type { PageObjects } from './pdfImages';
import { imagesOf } from './pdfImages';
import type { ContentGroup } from './pdfOperators';
import { lineworkOf } from './pdfOperators';
import { capitalsOf, shownLetters } from './pdfCapitals';
import type { PageText } from './pdfTexts';
import { textItemsOf } from './pdfTexts';

/** Pages that are read: more than any sheet set has sheets that goes into one file. */
const MOST_PAGES = 300;
const MM_PER_POINT = 25.4 / 72;
const NOT_TAKEN = 'a picture that is too large or cannot be unpacked';
/**
 * Reads the pages of a PDF file as legacy drawings, in mm with y up from the page's lower edge: its lines, areas and texts.
 * The page's own edge is the first item of each.
 * @param tell takes the part of the pages that was read, from 0 to 1
 * @throws LegacyFileError for what is no PDF file, is locked by a password, or holds pictures only
 */
export async function readPdfPages(bytes: Uint8Array, tell?: (part: number) => void): Promise<LegacySpace[]> {
  refuseBombs(bytes);
  // Loaded when first needed: it is large, and most drawings come as DXF.
  const pdf = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const operatorNames = new Map(Object.entries(pdf.OPS).map(([name, code]) => [code, name]));
  const task = pdf.getDocument({
    // It takes the bytes for itself.
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    disableFontFace: true,
    useSystemFonts: false,
    fontExtraProperties: true,
    verbosity: 0,
    maxImageSize: MOST_PIXELS,
    isOffscreenCanvasSupported: false,
    isImageDecoderSupported: false,
  });
  try {
    const document = await task.promise;
    const { PDFFormatVersion: version = '' } = (await document.getMetadata()).info as { PDFFormatVersion?: string };
    const optional = await document.getOptionalContentConfig();
    const groups = new Map<string, ContentGroup>();
    for (const [id, group] of optional as Iterable<[string, { name: string | null; visible: boolean }]>) {
      groups.set(id, { name: group.name ?? id, shown: group.visible });
    }
    const spaces: LegacySpace[] = [];
    const left = document.numPages - MOST_PAGES;
    const notRead = left > 0 ? [{ layer: '', entities: left, why: `pages after the ${MOST_PAGES}th` }] : [];
    let pictures = 0;
    const pages = Math.min(document.numPages, MOST_PAGES);
    for (let number = 1; number <= pages; number++) {
      tell?.((number - 1) / pages);
      const page = await document.getPage(number);
      const [x0, y0, x1, y1] = page.view as [number, number, number, number];
      const unit = MM_PER_POINT * (page.userUnit || 1);
      const toPaper = pageMatrix(x0, y0, x1, y1, page.rotate, unit);
      const { fnArray, argsArray } = await page.getOperatorList();
      const operators = fnArray.map((code, i) => ({
        name: operatorNames.get(code) ?? '',
        args: (argsArray[i] as readonly unknown[] | null) ?? [],
      }));
      const linework = lineworkOf(operators, toPaper, groups, operatorNames);
      const content = await page.getTextContent();
      const letters = shownLetters(operators);
      const capitals = new Map<string, number>();
      const texts = content.items.flatMap((item): PageText[] => {
        if (!('str' in item)) return [];
        const known =
          capitals.get(item.fontName) ??
          capitalsOf(typefaceOf(page.commonObjs, item.fontName), letters.get(item.fontName));
        capitals.set(item.fontName, known);
        return [{ words: item.str, matrix: item.transform as number[], width: item.width, capitals: known }];
      });
      const items = textItemsOf(texts, toPaper);
      pictures += linework.pictures;
      const turned = page.rotate % 180 !== 0;
      const [width, height] = [(turned ? y1 - y0 : x1 - x0) * unit, (turned ? x1 - x0 : y1 - y0) * unit];
      const edge = [0, 0, width, 0, width, height, 0, height];
      const images = await imagesOf(
        linework.images,
        [page.objs, page.commonObjs] as PageObjects[],
        pictures - linework.pictures + 1,
      );
      const lost = linework.images.flatMap(({ layer }, i) =>
        images[i] ? [] : [{ layer, entities: 1, why: NOT_TAKEN }],
      );
      const drawn = linework.items.length + items.length > 0;
      spaces.push({
        name: `Page ${number}`,
        drawing: {
          items: drawn
            ? [
                { kind: 'stroke', layer: PAGE_EDGE, part: 'block', points: edge, closed: true, width: 0.1 },
                ...linework.items,
                ...items,
                ...images.filter((image) => image !== undefined),
              ]
            : [],
          source: { format: 'PDF', version, entities: operators.length },
          dropped: [...linework.dropped, ...lost, ...notRead],
        },
      });
      page.cleanup();
    }
    if (pictures > 0 && spaces.every(({ drawing }) => drawing.items.length === 0)) {
      throw new LegacyFileError('this PDF file holds pictures only, as scans do; intake needs lines and texts');
    }
    return spaces;
  } catch (error) {
    if (error instanceof LegacyFileError) throw error;
    const { name, message } = error as Error;
    throw new LegacyFileError(
      name === 'PasswordException'
        ? 'this PDF file is locked by a password; save it without one'
        : `this PDF file is damaged or cut off (${message.replace(/\.$/, '')}); print or save it as PDF anew`,
    );
  } finally {
    await task.destroy();
  }
}

/** From a page's units to mm with y up from the lower-left corner of the page as it is seen. */
function pageMatrix(x0: number, y0: number, x1: number, y1: number, turn: number, unit: number): Matrix {
  switch (((turn % 360) + 360) % 360) {
    case 90:
      return [0, -unit, unit, 0, -y0 * unit, x1 * unit];
    case 180:
      return [-unit, 0, 0, -unit, x1 * unit, y1 * unit];
    case 270:
      return [0, unit, -unit, 0, y1 * unit, -x0 * unit];
    default:
      return [unit, 0, 0, unit, -x0 * unit, -y0 * unit];
  }
}

/** The file of a typeface that the page has; undefined for one that is not kept in the PDF. */
function typefaceOf(
  objects: { has: (id: string) => boolean; get: (id: string) => unknown },
  id: string,
): Uint8Array | undefined {
  return objects.has(id) ? (objects.get(id) as { data?: Uint8Array }).data : undefined;
}

import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The pages of a PDF as poppler draws them, with the words on them. */
export function pagesOf(pdf: Buffer): { picture: Buffer; words: string }[] {
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-pdf-'));
  try {
    const file = join(folder, 'file.pdf');
    writeFileSync(file, pdf);
    const words = execFileSync('pdftotext', ['-layout', file, '-']).toString().split('\f').slice(0, -1);
    return words.map((on, i) => {
      const page = String(i + 1);
      execFileSync('pdftoppm', ['-r', '20', '-gray', '-singlefile', '-f', page, '-l', page, file, join(folder, page)]);
      return { picture: readFileSync(join(folder, `${page}.pgm`)), words: on };
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The content of a PDF without its day and the mark that each file gets. */
export const contentOf = (pdf: Buffer): string =>
  pdf
    .toString('latin1')
    .replace(/D:\d{14}Z|\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ/g, '')
    .replace(/\/ID \[.*?\]/gs, '');

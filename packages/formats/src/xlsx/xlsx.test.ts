import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import fc from 'fast-check';
import { readXlsx, writeXlsx, XlsxError } from '.';

test('what was written is read back by another library, whatever letters the cells hold', async () => {
  const cell = fc
    .string({ unit: 'grapheme', maxLength: 20 })
    // Control characters, and code points that stand for no character, are left out by whoever writes the file.
    .filter((text) => !/[\u0000-\u001f\u007f-\u009f\ufdd0-\ufdef\ufffd-\uffff]|_x[0-9A-F]{4}_/u.test(text));
  await fc.assert(
    fc.asyncProperty(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), async (rows) => {
      const filled = rows.filter((row) => row.join('').trim() !== '');
      const read = await readXlsx(await writeXlsx('Register', ['Number', 'Title'], filled));
      const trimmed = (row: readonly string[]): string[] => row.map((each) => each.trim());
      expect(read.map(trimmed)).toEqual([['Number', 'Title'], ...filled.map(trimmed)]);
    }),
    { numRuns: 30 },
  );
});

test('Python’s zipfile reads the same cells, and none of them is a formula', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'mendrel-xlsx-'));
  try {
    const file = join(folder, 'register.xlsx');
    writeFileSync(
      file,
      await writeXlsx(
        'Register',
        ['Number', 'Title'],
        [
          ['A-101', '=1+1'],
          ['1e5', 'Façade “nord”'],
        ],
      ),
    );
    const script = `
import re, sys, zipfile
from xml.etree import ElementTree
book = zipfile.ZipFile(sys.argv[1])
assert book.testzip() is None
ns = {'m': 'http://schemas.openxmlformats.org/spreadsheetml/2006/main'}
shared = []
if 'xl/sharedStrings.xml' in book.namelist():
    root = ElementTree.fromstring(book.read('xl/sharedStrings.xml'))
    shared = [''.join(t.text or '' for t in si.iter('{%s}t' % ns['m'])) for si in root.findall('m:si', ns)]
sheet = ElementTree.fromstring(book.read('xl/worksheets/sheet1.xml'))
assert not list(sheet.iter('{%s}f' % ns['m']))
for row in sheet.iter('{%s}row' % ns['m']):
    cells = []
    for c in row.findall('m:c', ns):
        if c.get('t') == 's': cells.append(shared[int(c.find('m:v', ns).text)])
        else: cells.append(''.join(t.text or '' for t in c.iter('{%s}t' % ns['m'])))
    print('|'.join(cells))
`;
    const said = execFileSync('/usr/bin/python3', ['-B', '-c', script, file], { env: { PYTHONIOENCODING: 'utf-8' } });
    expect(said.toString().trim().split('\n')).toEqual(['Number|Title', 'A-101|=1+1', '1e5|Façade “nord”']);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test('what is no workbook, and one that swells beyond all measure, is refused in words', async () => {
  await expect(readXlsx(new TextEncoder().encode('Number,Title\r\n'))).rejects.toThrow('no XLSX workbook');
  await expect(readXlsx(zipSync({ 'a.txt': new Uint8Array(3) }))).rejects.toThrow(XlsxError);
  // The size that the directory of the archive tells, at its place in the entry (APPNOTE 6.3, 4.3.12).
  const swollen = Buffer.from(zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(9) }));
  swollen.writeUInt32LE(210 * 1024 * 1024, swollen.indexOf(Buffer.from([0x50, 0x4b, 1, 2])) + 24);
  await expect(readXlsx(swollen)).rejects.toThrow('too large when it is unpacked');
});

import { execFileSync, spawn } from 'node:child_process';
import { linkSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readBytes, refuseSameFile, writeFile } from './files';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-files-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const path = (name: string): string => join(folder, name);
writeFileSync(path('old.dxf'), 'words');

describe('a file that is read is not written over, whatever it is called', () => {
  beforeAll(() => {
    symlinkSync(path('old.dxf'), path('link.dxf'));
    linkSync(path('old.dxf'), path('hard.dxf'));
    mkdirSync(path('inner'));
  });
  test.each([['old.dxf'], ['./old.dxf'], ['inner/../old.dxf'], ['link.dxf'], ['hard.dxf']])('%s', (name) => {
    expect(() => refuseSameFile([path('old.dxf')], [`${folder}/${name}`])).toThrow('would be written over');
  });
  test('nor are two files written to one place that is not there yet', () => {
    expect(() => refuseSameFile([path('old.dxf')], [path('new.json'), `${folder}/inner/../new.json`])).toThrow(
      'choose another name',
    );
    expect(() => refuseSameFile([path('old.dxf')], [path('new.json'), path('other.json')])).not.toThrow();
  });
});

test.each([
  ['/dev/zero', /this is a device, which may never come to an end/],
  [folder, /this is a folder/],
  [join(folder, 'none'), /there is no such file/],
  [join(folder, 'old.dxf/x'), /a part of its path is a file/],
])('%s is not read', (file, words) => {
  expect(() => readBytes(file)).toThrow(words);
});

test('what comes through a pipe is read to its end', () => {
  execFileSync('mkfifo', [path('pipe')]);
  // It waits until somebody reads from the pipe.
  spawn('sh', ['-c', `head -c 300000 /dev/zero > '${path('pipe')}'`], { stdio: 'ignore' });
  expect(readBytes(path('pipe'))).toHaveLength(300_000);
});

test('what cannot be written is told in words, not by a code', () => {
  expect(() => writeFile(join(path('old.dxf'), 'x.json'), '')).toThrow(
    /cannot be written: (a part of its path is a file|there is)/,
  );
  expect(() => writeFile(folder, '')).toThrow(/cannot be written: this is a folder/);
  expect(readFileSync(path('old.dxf'), 'utf8')).toBe('words');
});

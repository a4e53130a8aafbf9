// Installs what the tests need: npm packages, PostgreSQL, a browser, and the programs that outputs are checked with.
import { ensureDebian } from './debian.mjs';
import { install } from './install.mjs';

try {
  ensureDebian(['postgresql'], 'the database');
  ensureDebian(['chromium'], 'the browser tests');
  ensureDebian(
    ['python3-ezdxf', 'poppler-utils', 'qpdf', 'librsvg2-bin', 'file'],
    'reference readers for DXF, PDF and SVG',
  );
  await install();
} catch (error) {
  console.error(error.message);
  process.exit(1);
}

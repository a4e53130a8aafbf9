/** The name of an uploaded file without path and control characters. */
export function fileName(name: string): string {
  // Upload names arrive as Latin-1 although browsers send UTF-8.
  const decoded = Buffer.from(name, 'latin1').toString('utf8');
  const base = decoded.split(/[/\\]/).pop() ?? '';

  return (
    base
      .replace(/[\u0000-\u001f\u007f]/g, '')
      .trim()
      .slice(0, 120) || 'Legacy drawing.dxf'
  );
}

/** A drawing's name without the ending of its kind of file. */
export const withoutEnding = (name: string): string => name.replace(/\.(dxf|svg|pdf)$/i, '');

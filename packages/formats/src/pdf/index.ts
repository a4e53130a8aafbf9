export type { PdfOptions } from './pdfWriter';
export { streamPdf, writePdf } from './pdfWriter';

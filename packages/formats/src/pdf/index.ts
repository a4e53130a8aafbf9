export * from './pdfWriter';

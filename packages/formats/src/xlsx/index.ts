export { MOST_XLSX_BYTES, readXlsx, XlsxError } from './xlsxReader';
export { writeXlsx } from './xlsxWriter';

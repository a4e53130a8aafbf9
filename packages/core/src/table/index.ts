export type { OwnTable } from './ownTable';
export { MOST_OWN_COLUMNS, ownTableSchema, renamedColumns } from './ownTable';
export type { Row, TableRows } from './rows';
export { enteredRowsSchema, enteredTables, MOST_ROWS, rowKeysOf, rowsOf, tableId, tryOnRows, valueIn } from './rows';
export type { RowKey, TableKind, TableKindName } from './tableKinds';
export { patternFor, TABLE_KINDS, tableKindOf, TABLES, usualColumns } from './tableKinds';

/** The face of this folder: what others may use of it. */
export { FIELDS, fieldsFor, scalarFields } from './fieldTables';
export { type Field, KIT_TABLES, type KitTable, type ScalarField } from './fieldTypes';
export { valueAt, valueAtKeys, withValueAt } from './paths';
export { readQuantity, type Unit, UNIT_WORDS } from './quantity';

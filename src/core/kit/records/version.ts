/**
 * Version of the records, stated by everything that holds some: the database, its journal and backups,
 * workspace and rig files. Raised together with a new entry of the list in checks/migrations.ts.
 */
export const RECORDS_VERSION = 8;

// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = 'a1e6bd70b0925125';

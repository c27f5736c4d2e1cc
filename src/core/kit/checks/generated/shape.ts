// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = 'a03da5aedb1f2aca';

// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '6012130a8265b9c8';

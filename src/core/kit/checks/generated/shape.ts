// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = 'bd72538d927c3f89';

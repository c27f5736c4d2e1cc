// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = 'bc44bc4659079ef0';

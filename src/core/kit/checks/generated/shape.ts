// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '50006d485ae6426f';
